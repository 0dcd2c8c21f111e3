import { describe, expect, it } from 'vitest';
import { opened } from '$tests/support/stores';

/** A folder as a browser hands it over, as far as it can be kept here: functions cannot, so that it has none. */
const folderOf = (name: string) => ({ name }) as unknown as FileSystemDirectoryHandle;

describe('folders of frames', () => {
	it('are kept by their job, over a restart, and go with it', async () => {
		const store = opened('folders');
		await store.folders.addFrameFolder('a', folderOf('one'));
		await store.folders.addFrameFolder('b', folderOf('other'));
		store.close();
		const again = opened('folders');
		const namesOf = async (jobId: string) =>
			(await again.folders.frameFoldersOf(jobId)).map(({ folder }) => folder.name);
		expect(await namesOf('a')).toEqual(['one']);
		await again.eraseJob('a');
		expect([await namesOf('a'), await namesOf('b')]).toEqual([[], ['other']]);
	});
});

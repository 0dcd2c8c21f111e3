import { describe, expect, it } from 'vitest';
import { UNJUDGED, type Mark } from '$core/format/review';
import { measuredFrame } from '$tests/support/frames';
import { chosenFile } from '$tests/support/chosen';
import { sidecarsOf } from './out';
import { ChosenSidecars } from '../../frames/sidecars';

const framed = (path: string, mark: Mark) => {
	const file = chosenFile(path);
	const judgement = { ...UNJUDGED, mark };
	return { id: path, name: file.name, file, measured: measuredFrame(path), judgement, problem: '' };
};
const viewOf = (files: readonly ReturnType<typeof framed>[], ...there: readonly File[]) => {
	const sidecars = new ChosenSidecars();
	for (const file of there) sidecars.add(file);
	const group = { id: 'a', title: 'A', shot: null, files };
	return { groups: [group], home: { files, sidecars }, sets: new Map() } as never;
};
const written = async (view: never, existing: 'merge' | 'leave' = 'merge') => {
	const { files, refused } = await sidecarsOf(view, existing);
	const texts = await Promise.all(files.map(({ content }) => content.text()));
	const ratings = texts.map((text) => /Rating[="> ]+(-?\d)/.exec(text)?.[1]);
	return {
		files: Object.fromEntries(files.map(({ name }, i) => [name, ratings[i]])),
		refused: refused.map(({ name, problem }) => `${name} ${problem}`)
	};
};

describe('sidecars that go out', () => {
	it('of two cameras that name frames alike each has its own', async () => {
		const frames = [framed('day/one/a.jpg', 'keep'), framed('day/two/a.jpg', 'maybe')];
		expect(await written(viewOf(frames))).toEqual({
			files: { 'one/a.xmp': '4', 'two/a.xmp': '2' },
			refused: []
		});
	});

	it('of frames of one name whose folders nobody knows, one is written and the other said', async () => {
		const frames = [framed('a.jpg', 'keep'), framed('a.jpg', 'maybe')];
		const { files, refused } = await written(viewOf(frames));
		expect(Object.values(files)).toHaveLength(1);
		expect(refused).toEqual(['a.jpg unsure']);
	});

	it('none is written where it may be that of either of two', async () => {
		const there = [chosenFile('one/a.xmp'), chosenFile('two/a.xmp')];
		const view = viewOf([framed('a.jpg', 'keep')], ...there);
		expect(await written(view)).toEqual({ files: {}, refused: ['a.jpg unsure'] });
		expect(await written(view, 'leave')).toEqual({ files: {}, refused: [] });
	});
});

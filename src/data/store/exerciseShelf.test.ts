import { describe, expect, it } from 'vitest';
import type { ExerciseRecord } from '$core/format/exerciseLog';
import { opened } from '$tests/support/stores';

describe('the log of exercises', () => {
	const record = (id: string, doneAt: number): ExerciseRecord => ({
		id,
		exercise: 'four-edges',
		doneAt,
		isPractice: false,
		frames: 6,
		score: { good: 4, of: 5 },
		lensName: 'a lens'
	});

	it('is read in order of time, also after a restart', async () => {
		const store = opened('exercises');
		await store.exercises.put(record('b', 2));
		await store.exercises.put(record('a', 1));
		store.close();
		const again = opened('exercises');
		expect((await again.exercises.all()).map(({ id }) => id)).toEqual(['a', 'b']);
		await again.exercises.forget('a');
		expect((await again.exercises.all()).map(({ id }) => id)).toEqual(['b']);
	});

	it('takes nothing that is no record', async () => {
		const store = opened('no exercise');
		await expect(store.exercises.put({ ...record('a', 1), frames: -1 })).rejects.toThrow();
		expect(await store.exercises.all()).toEqual([]);
	});
});

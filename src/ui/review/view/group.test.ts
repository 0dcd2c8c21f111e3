import { describe, expect, it } from 'vitest';
import { UNJUDGED } from '$core/format/review';
import { reviewSet } from '$core/review/reviewSet';
import { measuredFrame } from '$tests/support/frames';
import { isSameGroup, judgedIn, NONE_JUDGED, type Group } from './group';
import type { IntakeFile } from '../../frames/intakeFile';

const home = (name: string): IntakeFile => ({
	id: `job|${name}`,
	name,
	file: null,
	measured: measuredFrame(name),
	judgement: UNJUDGED,
	problem: ''
});
const groupOf = (files: readonly IntakeFile[]): Group => ({
	id: 'shot',
	title: 'A shot',
	shot: null,
	files
});
const setOf = (files: readonly IntakeFile[]) =>
	reviewSet(
		files.flatMap(({ measured }) => measured ?? []),
		null,
		[]
	);

describe('the judged files of a group', () => {
	const files = ['a.jpg', 'b.jpg', 'c.jpg'].map(home);
	const set = setOf(files.slice(0, 2));

	it('are those that its set knows, which may be of a moment ago', () => {
		const judged = judgedIn(groupOf(files), set);
		expect([...judged.keys()]).toEqual(['job|a.jpg', 'job|b.jpg']);
		expect(judged.get('job|b.jpg')).toMatchObject({ index: 1, reviewed: set.frames[1] });
		expect(judgedIn(groupOf(files), null)).toBe(NONE_JUDGED);
	});

	it('stay the same while others are measured', () => {
		const before = judgedIn(groupOf(files.slice(0, 2)), set);
		expect(judgedIn(groupOf(files), set, before)).toBe(before);
	});

	it('of which one was marked differ in that one alone', () => {
		const before = judgedIn(groupOf(files), set);
		const [first, ...others] = files as [IntakeFile, ...IntakeFile[]];
		const kept = { ...first, judgement: { ...UNJUDGED, mark: 'keep' as const } };
		const after = judgedIn(groupOf([kept, ...others]), set, before);
		expect(after.get('job|a.jpg')?.file).toBe(kept);
		expect(after.get('job|b.jpg')).toBe(before.get('job|b.jpg'));
	});

	it('are other ones when the set is judged again', () => {
		const before = judgedIn(groupOf(files), set);
		const again = setOf(files);
		const after = judgedIn(groupOf(files), again, before);
		expect(after.size).toBe(3);
		expect(after.get('job|a.jpg')?.reviewed).toBe(again.frames[0]);
	});
});

describe('a group', () => {
	const files = ['a.jpg', 'b.jpg'].map(home);

	it('is the same while none of its files is another', () => {
		expect(isSameGroup(groupOf(files), groupOf([...files]))).toBe(true);
		expect(isSameGroup(groupOf(files), groupOf(files.slice(0, 1)))).toBe(false);
		expect(isSameGroup(groupOf(files), groupOf(files.map((one) => ({ ...one }))))).toBe(false);
		expect(isSameGroup(groupOf(files), { ...groupOf(files), title: 'Another' })).toBe(false);
	});
});

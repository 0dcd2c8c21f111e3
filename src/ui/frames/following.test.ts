import { beforeEach, describe, expect, it, vi } from 'vitest';
import { UNJUDGED, type PointedSpot } from '$core/format/review';
import { measuredFrame, measuredSpot } from '$tests/support/frames';
import { Following } from './following.svelte';
import type { IntakeFile } from './intakeFile';
import type { followedIn } from './pictures';

const POINTING = { id: 'point', x: 100, y: 500, reachPx: 40 };
const spot = (discPx: number | null): PointedSpot => ({
	...measuredSpot(100, discPx),
	id: 'point',
	reachPx: 40,
	likeness: 1
});
const file = (name: string, isMeasured = true): IntakeFile => ({
	id: name,
	name,
	file: new File(['x'], name),
	measured: isMeasured ? measuredFrame(name) : null,
	judgement: UNJUDGED,
	problem: ''
});

describe('what was pointed at', () => {
	let found: string[] = [];
	const lookIn = vi.fn<typeof followedIn>();
	const following = () =>
		new Following(lookIn, (fileId, _, spot) => found.push(`${fileId} ${!!spot}`));
	beforeEach(() => {
		found = [];
		lookIn.mockReset().mockResolvedValue(spot(1));
	});

	it('is looked for in every frame that is measured, once', async () => {
		const files = [file('a'), file('b'), file('c')];
		const one = following();
		await one.begin(files[1] as IntakeFile, POINTING, () => files);
		await one.look();
		expect(found).toEqual(['b true', 'a true', 'c true']);
		expect(one.isBusy).toBe(false);
		await one.look();
		expect(found).toHaveLength(3);
	});

	it('is looked for in frames that are measured only later', async () => {
		let files = [file('a'), file('b', false)];
		const one = following();
		await one.begin(files[0] as IntakeFile, POINTING, () => files);
		await one.look();
		expect(found).toEqual(['a true']);
		files = [file('a'), file('b'), file('c')];
		await one.look();
		expect(found).toEqual(['a true', 'b true', 'c true']);
	});

	it('must have something to measure by', async () => {
		lookIn.mockResolvedValue(spot(null));
		const files = [file('a'), file('b')];
		const one = following();
		await one.begin(files[0] as IntakeFile, POINTING, () => files);
		await one.look();
		expect(one.problem).toContain('tap an edge');
		expect(found).toEqual([]);
	});

	it('is no longer looked for once it is forgotten', async () => {
		const files = [file('a'), file('b'), file('c')];
		const one = following();
		lookIn.mockImplementation((_, __, into) => {
			if (into.name === 'b') one.forget('point');
			return Promise.resolve(spot(1));
		});
		await one.begin(files[0] as IntakeFile, POINTING, () => files);
		await one.look();
		expect(found).toEqual(['a true']);
	});

	it('that cannot be looked for in one frame is looked for in the others, and that is said', async () => {
		const files = [file('a'), file('b'), file('c')];
		lookIn.mockImplementation((_, __, into) =>
			into.name === 'b' ? Promise.reject(new Error('the file is gone')) : Promise.resolve(spot(1))
		);
		const one = following();
		await one.begin(files[0] as IntakeFile, POINTING, () => files);
		await one.look();
		expect(found).toEqual(['a true', 'c true']);
		expect(one.problem).toBe('the file is gone');
	});
});

import { describe, expect, it } from 'vitest';
import { sampleDay } from '$data/sample/sampleDay';
import { measuredFace, measuredFrame } from '$tests/support/frames';
import { ahead, shotOf } from '$tests/support/shots';
import { there } from '$tests/support/there';
import { APART } from '../format/review';
import { clockByAll, intoShots, seriesOf } from './intoShots';
import { frameSignOf, shotSignOf, type FrameSign, type ShotSign } from './signs';

const NOON = Date.UTC(2026, 8, 26, 12);
const MINUTE = 60_000;
const frame = (id: string, atMin: number, more: Partial<FrameSign> = {}): FrameSign => ({
	id,
	localMs: NOON + atMin * MINUTE,
	focalMm: 85,
	faces: 2,
	awayM: 3,
	isUpright: false,
	shotId: null,
	...more
});
const shot = (id: string, atMin: number, more: Partial<ShotSign> = {}): ShotSign => ({
	id,
	startMs: NOON + atMin * MINUTE,
	minutes: 10,
	focalMm: 85,
	people: 2,
	awayM: 3,
	isUpright: false,
	...more
});

describe('into shots', () => {
	const day = [
		shot('couple', 0),
		shot('families', 20, { focalMm: 50, people: 15, awayM: 7 }),
		shot('toast', 60)
	];

	it('go by time and lens', () => {
		const frames = [
			frame('a', 2),
			frame('b', 2.2),
			frame('c', 25, { focalMm: 50, faces: 14 }),
			frame('d', 200)
		];
		const placed = intoShots(frames, day, 0);
		expect([...placed.values()]).toEqual(['couple', 'couple', 'families', null]);
	});

	it('a lens tells more than a few minutes', () => {
		const early = frame('a', 12, { focalMm: 50, faces: 15 });
		expect(intoShots([early], day, 0).get('a')).toBe('families');
	});

	it('so do people who are not planned, and how far they are', () => {
		// four of the families, with the lens of the couple
		const some = { faces: 4, awayM: 7 };
		expect(intoShots([frame('a', 20, some)], day, 0).get('a')).toBe('families');
		expect(intoShots([frame('a', 20, { awayM: 3.4 })], day, 0).get('a')).toBe('couple');
		// nothing is known of the distance
		expect(intoShots([frame('a', 20, { awayM: null })], day, 0).get('a')).toBe('couple');
	});

	it('a zoom that is turned a little is no other lens', () => {
		const turned = frame('a', 25, { focalMm: 60, faces: 13, awayM: 6 });
		expect(intoShots([turned], day, 0).get('a')).toBe('families');
	});

	it.each([-5, 0, 10])('find their own in the sample day, %d minutes late', (late) => {
		const shots = sampleDay(0).shots.map(({ id, shot, slot }) =>
			shotSignOf(id, shot, Date.parse(`${slot.startsAt}Z`), slot.minutes)
		);
		const frames = shots.map(({ id, startMs, focalMm, people, awayM, isUpright }) => ({
			...frame(id, 0, { focalMm, faces: people, awayM, isUpright }),
			localMs: startMs + (late + 3) * MINUTE
		}));
		const placed = intoShots(frames, shots, 0);
		expect([...placed]).toEqual(shots.map(({ id }) => [id, id]));
	});

	it('the signs of both say how far people are, and agree', () => {
		const planned = shotOf({ people: [ahead('a', 3), ahead('b', 3.2), ahead('c', 8)] });
		expect(shotSignOf('s', planned, NOON, 10)).toMatchObject({ people: 3, isUpright: false });
		expect(shotSignOf('s', planned, NOON, 10).awayM).toBeCloseTo(3.2, 1);
		// a head 0.14 m wide, 3.2 m away: 50 mm on 36 mm of 6000 px
		const widthPx = (0.14 / 3.2) * (50 / 36) * 6000;
		const facts = { focalMm: 50, bodyName: planned.body.name };
		const face = { ...measuredFace({ x: 900, eyes: [1, 1] }), widthPx };
		const shown = { ...measuredFrame('f', [face]), facts };
		const sign = frameSignOf('f', shown, { shotId: null }, [planned.body]);
		expect(sign.awayM).toBeCloseTo(3.2, 5);
		expect(frameSignOf('f', { ...shown, faces: [] }, { shotId: null }, []).awayM).toBeNull();
	});

	it('a pause or another lens begins another series', () => {
		const all = [frame('a', 0), frame('b', 0.3), frame('c', 2), frame('d', 2.1, { focalMm: 50 })];
		expect(seriesOf(all).map((one) => one.map(({ id }) => id))).toEqual([['a', 'b'], ['c'], ['d']]);
	});

	it('one that was put by hand takes its series along, and sets the clock', () => {
		// a camera that is two hours ahead
		const frames = [
			frame('a', 120, { shotId: 'couple' }),
			frame('b', 120.2),
			frame('c', 145, { focalMm: 50, faces: 15 })
		];
		const clockMs = there(clockByAll([{ frame: there(frames[0]), shot: there(day[0]) }]));
		expect(clockMs).toBe(120 * MINUTE);
		expect([...intoShots(frames, day, clockMs).values()]).toEqual(['couple', 'couple', 'families']);
	});

	it('stays apart where somebody said so, or nothing says when it was taken', () => {
		const frames = [frame('a', 1, { shotId: APART }), frame('b', 1, { localMs: null })];
		expect([...intoShots(frames, day, 0).values()]).toEqual([null, null]);
	});
});

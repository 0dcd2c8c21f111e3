import { describe, expect, it } from 'vitest';
import { cameraPose, framePoint, seenFrom } from '../geometry/camera';
import { BODIES, LENSES } from '$data/kit';
import { person, shotOf } from '$tests/support/shots';
import { ShotSchema } from '../format/shot';
import { arePeopleOf, measured, stageOf, type RealCamera, type StagedHead } from './stage';

const SIZE = { widthPx: 6000, heightPx: 4000 };
const FOCAL_PX = (50 * 6000) / 36;
const PHOTOGRAPH = { size: SIZE, focalPx: FOCAL_PX };
const SAME: RealCamera = {
	body: BODIES.fullFrame24,
	lens: LENSES.normal50,
	focalMm: 50,
	isFramedAlike: false
};

const head = (rightM: number, upM: number, depthM: number, row: number): StagedHead => ({
	build: 'adult',
	standing: {
		rightM,
		upM,
		depthM,
		row,
		turnDeg: 10,
		nodDeg: 0,
		leanDeg: 0,
		sigmaM: 0.2,
		amongSigmaM: 0.1
	}
});
const HEADS = [head(0.5, 0.3, 5, 2), head(0.4, 0, 4, 1), head(-0.4, 0.1, 4, 1)];

describe('the stage of a photograph', () => {
	const base = shotOf({ people: [] });
	const shot = stageOf(base, HEADS, PHOTOGRAPH, SAME);

	it('is a shot, row by row from the left, and says how unsure it is', () => {
		expect(ShotSchema.parse(shot)).toEqual(shot);
		expect(shot.people.map(({ row, depthSigmaM }) => [row, depthSigmaM])).toEqual([
			[1, 0.1],
			[1, 0.1],
			[2, 0.1]
		]);
		expect(shot.people[0]?.eyeMidpoint.x).toBeLessThan(shot.people[1]?.eyeMidpoint.x ?? 0);
		expect(measured(shot).people.every(({ depthSigmaM }) => depthSigmaM === 0)).toBe(true);
	});

	it('those in front stand on the ground', () => {
		const heights = shot.people.slice(0, 2).map(({ eyeMidpoint }) => eyeMidpoint.y);
		expect((heights[0] ?? 0) + (heights[1] ?? 0)).toBeCloseTo(3.2, 9);
	});

	it('from the same place everybody is where they were in the frame', () => {
		const pose = cameraPose(shot.camera, shot.body.sensor);
		const [, , back] = shot.people;
		if (!back) throw new Error('nobody');
		const seen = seenFrom(pose, back.eyeMidpoint);
		expect(seen.depthM).toBeCloseTo(5, 9);
		// the photograph has them as if the lens were focused far away
		const { x, y } = framePoint(pose, seen, 50);
		expect(x).toBeCloseTo(0.5 + (0.5 / 5) * (FOCAL_PX / 6000), 9);
		expect(y).toBeCloseTo(0.5 - (0.3 / 5) * (FOCAL_PX / 4000), 9);
	});

	it('framed alike by a longer lens it stands back as much', () => {
		const lens = LENSES.portrait85;
		const alike = stageOf(base, HEADS, PHOTOGRAPH, {
			...SAME,
			lens,
			focalMm: 85,
			isFramedAlike: true
		});
		const middleM = (5 + 4 + 4) / 3;
		expect(alike.camera.position.z).toBeCloseTo(middleM * (1 - 85 / 50), 9);
		// nobody turned their head meanwhile: who looks past the camera does so more, or less
		expect(alike.people[1]?.turnDeg).not.toBeCloseTo(10, 1);
	});

	it('as many in as many rows are those who were planned, with their names and wishes', () => {
		const planned = shotOf({
			people: [
				person('back', [0.1, 1.9, 3.6], { need: 'key' }),
				person('right', [0.5, 1.6, 2.5]),
				person('left', [-0.5, 1.6, 2.5], { keep: 'face' })
			],
			choices: { focus: { personId: 'back' } }
		});
		const now = stageOf(planned, HEADS, PHOTOGRAPH, SAME);
		expect(now.people.map(({ id }) => id)).toEqual(['left', 'right', 'back']);
		expect(now.people[0]).toMatchObject({ keep: 'face', depthSigmaM: 0.1, row: 1 });
		expect(now.people[2]?.eyeMidpoint.z).toBeCloseTo(5, 9);
		expect(now.choices.focus).toEqual({ personId: 'back' });
		expect(arePeopleOf(planned, now)).toBe(true);
		// one more or fewer, and they are somebody else
		const others = stageOf(planned, HEADS.slice(1), PHOTOGRAPH, SAME);
		expect(others.people[0]?.name).toBe('Person 1');
		expect(arePeopleOf(planned, others)).toBe(false);
	});

	it('what was to be focused on is gone with who was there', () => {
		const fixed = { ...base, choices: { ...base.choices, focus: { personId: 'gone' } } };
		expect(stageOf(fixed, HEADS, PHOTOGRAPH, SAME).choices.focus).toBeUndefined();
	});
});

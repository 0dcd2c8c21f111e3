import { describe, expect, it } from 'vitest';
import { lookAt } from '$core/study/scene';
import { ahead, EYE_M, person, shotOf, thing } from '$tests/support/shots';
import { moveObject, positionOf, removeObject, rowPeople, turnObject } from './edits';
import { CAMERA, PLANE, type ObjectRef } from '../../drawing/stageObjects';

const personRef = (id: string): ObjectRef => ({ kind: 'person', id });
const rowRef = (id: string): ObjectRef => ({ kind: 'row', id });
const shot = () =>
	shotOf({
		people: [
			person('a', [-0.5, EYE_M, 4], { row: 1 }),
			person('b', [0.5, EYE_M, 4], { row: 1 }),
			person('c', [0, EYE_M + 0.4, 4.8], { row: 2 })
		],
		things: [thing('lamp', [1, 2, 6])],
		choices: { focus: { personId: 'a' } }
	});
const rows = () => lookAt(shot()).rows;
const by = (x: number, y: number, z: number) => ({ x, y, z });

describe('moving', () => {
	it('a person, a thing, the camera; the plane stands nowhere', () => {
		expect(moveObject(shot(), personRef('a'), by(0.1, 0, 0.5), []).people[0]?.eyeMidpoint).toEqual(
			by(-0.4, EYE_M, 4.5)
		);
		const lamp = moveObject(shot(), { kind: 'thing', id: 'lamp' }, by(0, -1, 0), []).things[0];
		expect(lamp?.position).toEqual(by(1, 1, 6));
		expect(moveObject(shot(), CAMERA, by(0, 2, -1), []).camera.position).toEqual(by(0, 3.6, -1));
		expect(moveObject(shot(), PLANE, by(1, 1, 1), [])).toEqual(shot());
	});

	it('a row moves as one thing', () => {
		const ids = rowPeople(shot(), rows(), 'b').map(({ id }) => id);
		expect(ids).toEqual(['a', 'b']);
		const moved = moveObject(shot(), rowRef('a'), by(0, 0, 0.5), ids);
		expect(moved.people.map(({ eyeMidpoint }) => eyeMidpoint.z)).toEqual([4.5, 4.5, 4.8]);
	});

	it('stays within what a file may hold, to a tenth of a millimetre', () => {
		const far = moveObject(shot(), CAMERA, by(0, 0, -9999), []);
		expect(far.camera.position.z).toBe(-500);
		const fine = moveObject(shot(), CAMERA, by(0.123456, 0, 0), []);
		expect(fine.camera.position.x).toBe(0.1235);
	});

	it('knows where everything stands', () => {
		expect(positionOf(shot(), rows(), personRef('c'))).toEqual(by(0, EYE_M + 0.4, 4.8));
		expect(positionOf(shot(), rows(), rowRef('a'))).toEqual(by(0, EYE_M, 4));
		expect(positionOf(shot(), rows(), PLANE)).toBeNull();
		expect(positionOf(shot(), rows(), personRef('nobody'))).toBeNull();
	});
});

describe('turning', () => {
	it('goes round: past 180 degrees it comes back from the other side', () => {
		const start = shotOf({ people: [ahead('a', 3, { turnDeg: 170 })], camera: { panDeg: -175 } });
		expect(turnObject(start, personRef('a'), 20).people[0]?.turnDeg).toBe(-170);
		expect(turnObject(start, CAMERA, -10).camera.panDeg).toBe(175);
		expect(turnObject(start, { kind: 'thing', id: 'x' }, 5)).toBe(start);
	});
});

describe('taking out', () => {
	it('frees a focus that was fixed on it, and no other', () => {
		const without = removeObject(shot(), personRef('a'));
		expect(without.people.map(({ id }) => id)).toEqual(['b', 'c']);
		expect(without.choices.focus).toBeUndefined();
		expect(removeObject(shot(), personRef('b')).choices.focus).toEqual({ personId: 'a' });
		expect(removeObject(shot(), { kind: 'thing', id: 'lamp' }).things).toEqual([]);
	});
});

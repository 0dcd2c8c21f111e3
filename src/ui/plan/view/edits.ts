import type { FocusChoice, Lens, Person, Shot, Thing } from '$core/format/shot';
import { LIMITS } from '$core/format/shot';
import { wrapDeg } from '$core/geometry/angle';
import type { Vec3 } from '$core/geometry/vector';
import type { Row } from '$core/arrange/rows';
import type { ObjectRef } from '../../drawing/stageObjects';

/** Small changes to a shot, each giving a new one. */

export function changePerson(shot: Shot, id: string, change: Partial<Person>): Shot {
	const people = shot.people.map((one) => (one.id === id ? { ...one, ...change } : one));
	return { ...shot, people };
}

export function changeThing(shot: Shot, id: string, change: Partial<Thing>): Shot {
	const things = shot.things.map((one) => (one.id === id ? { ...one, ...change } : one));
	return { ...shot, things };
}

export function changeCamera(shot: Shot, change: Partial<Shot['camera']>): Shot {
	return { ...shot, camera: { ...shot.camera, ...change } };
}

/** The shot at the focal length of a lens that is nearest to the one in use. */
export function withFocal(shot: Shot, { focalMm: [short, long] }: Lens): Shot {
	return changeCamera(shot, { focalMm: Math.min(long, Math.max(short, shot.camera.focalMm)) });
}

/** The people of a row, from left to right, as the shot has them. */
export function rowPeople(shot: Shot, rows: readonly Row[], memberId: string): Person[] {
	const row = rows.find(({ members }) => members.some(({ personId }) => personId === memberId));
	return (row?.members ?? []).flatMap(
		({ personId }) => shot.people.find(({ id }) => id === personId) ?? []
	);
}

/** Where an object stands; null for the plane of focus, which stands nowhere. */
export function positionOf(shot: Shot, rows: readonly Row[], ref: ObjectRef): Vec3 | null {
	switch (ref.kind) {
		case 'person':
			return shot.people.find(({ id }) => id === ref.id)?.eyeMidpoint ?? null;
		case 'thing':
			return shot.things.find(({ id }) => id === ref.id)?.position ?? null;
		case 'camera':
			return shot.camera.position;
		case 'row': {
			const people = rowPeople(shot, rows, ref.id);
			const mean = (axis: keyof Vec3) =>
				people.reduce((sum, { eyeMidpoint }) => sum + eyeMidpoint[axis], 0) / people.length;
			return people.length > 0 ? { x: mean('x'), y: mean('y'), z: mean('z') } : null;
		}
		case 'plane':
			return null;
	}
}

/** Moves an object by so many metres; the people of a row move together. */
export function moveObject(shot: Shot, ref: ObjectRef, by: Vec3, rowIds: readonly string[]): Shot {
	const moved = (place: Vec3): Vec3 => ({
		x: withinFile(place.x + by.x),
		y: withinFile(place.y + by.y),
		z: withinFile(place.z + by.z)
	});
	switch (ref.kind) {
		case 'person':
		case 'row': {
			const ids = ref.kind === 'row' ? rowIds : [ref.id];
			const people = shot.people.map((one) =>
				ids.includes(one.id) ? { ...one, eyeMidpoint: moved(one.eyeMidpoint) } : one
			);
			return { ...shot, people };
		}
		case 'thing': {
			const thing = shot.things.find(({ id }) => id === ref.id);
			return thing ? changeThing(shot, ref.id, { position: moved(thing.position) }) : shot;
		}
		case 'camera':
			return changeCamera(shot, { position: moved(shot.camera.position) });
		case 'plane':
			return shot;
	}
}

/** Within the bounds of the file, to a tenth of a millimetre. */
function withinFile(metres: number): number {
	const { positionM } = LIMITS;
	return Math.round(Math.min(positionM, Math.max(-positionM, metres)) * 1e4) / 1e4;
}

/** Turns a head, or the camera, by so many degrees. */
export function turnObject(shot: Shot, ref: ObjectRef, byDeg: number): Shot {
	if (ref.kind === 'camera') {
		return changeCamera(shot, { panDeg: wrapDeg(shot.camera.panDeg + byDeg) });
	}
	const person = ref.kind === 'person' && shot.people.find(({ id }) => id === ref.id);
	return person ? changePerson(shot, ref.id, { turnDeg: wrapDeg(person.turnDeg + byDeg) }) : shot;
}

/** Takes a person or a thing out; a focus that was fixed on it is freed. */
export function removeObject(shot: Shot, ref: ObjectRef): Shot {
	const { focus, ...rest } = shot.choices;
	return {
		...shot,
		people: shot.people.filter(({ id }) => ref.kind !== 'person' || id !== ref.id),
		things: shot.things.filter(({ id }) => ref.kind !== 'thing' || id !== ref.id),
		choices: focus && !isOn(focus, ref) ? { ...rest, focus } : rest
	};
}

function isOn(focus: FocusChoice, ref: ObjectRef): boolean {
	if ('personId' in focus) return ref.kind === 'person' && focus.personId === ref.id;
	return 'thingId' in focus && ref.kind === 'thing' && focus.thingId === ref.id;
}

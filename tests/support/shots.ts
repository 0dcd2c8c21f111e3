import type { Body, Lens, Person, Shot, ShotInput, Thing } from '$core/format/shot';
import { readShot } from '$core/format/shotFile';
import { lookAt } from '$core/study/scene';
import { solve } from './solved';
import { toldPlan } from '$words/told';
import { BODIES, LENSES } from '$data/kit';

/** Short ways to write the shots that tests need. Everything goes through the real schema. */

export type Place = readonly [x: number, y: number, z: number];

export const at = ([x, y, z]: Place) => ({ x, y, z });

/** Height of the camera and of everybody's eyes unless a test says otherwise, m. */
export const EYE_M = 1.6;

type PersonInput = NonNullable<ShotInput['people']>[number];
type ThingInput = NonNullable<ShotInput['things']>[number];

/** Somebody at a place, facing the camera, of whom both eyes are kept sharp. */
export const person = (id: string, place: Place, more: Partial<Person> = {}): PersonInput => ({
	id,
	name: id,
	eyeMidpoint: at(place),
	...more
});

/** Somebody straight ahead at a distance, at the height of the camera. */
export const ahead = (id: string, distanceM: number, more: Partial<Person> = {}) =>
	person(id, [0, EYE_M, distanceM], more);

export const thing = (id: string, place: Place, more: Partial<Thing> = {}): ThingInput => ({
	id,
	label: id,
	position: at(place),
	detailMm: 20,
	...more
});

export interface Sketch {
	readonly people?: readonly PersonInput[];
	readonly things?: readonly ThingInput[];
	readonly body?: Body;
	readonly lens?: Lens;
	readonly focalMm?: number;
	readonly camera?: Partial<Shot['camera']>;
	readonly sharpness?: Shot['sharpness'];
	readonly choices?: Partial<Shot['choices']>;
	readonly light?: ShotInput['light'];
}

/** The shot as one would write it in a file: 50 mm on full frame, held level at eye height. */
export function shotInput(sketch: Sketch = {}): ShotInput {
	const lens = sketch.lens ?? LENSES.normal50;
	return {
		format: 'focalis-shot',
		version: 1,
		title: 'A test shot',
		body: sketch.body ?? BODIES.fullFrame24,
		lens,
		camera: {
			position: { x: 0, y: EYE_M, z: 0 },
			focalMm: sketch.focalMm ?? lens.focalMm[0],
			...sketch.camera
		},
		people: [...(sketch.people ?? [])],
		things: [...(sketch.things ?? [])],
		...(sketch.sharpness ? { sharpness: sketch.sharpness } : {}),
		...(sketch.light ? { light: sketch.light } : {}),
		...(sketch.choices ? { choices: sketch.choices } : {})
	};
}

/** @throws when the sketch is no valid shot */
export function shotOf(sketch: Sketch = {}): Shot {
	const reading = readShot(shotInput(sketch));
	if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
	return reading.shot;
}

export const sceneOf = (sketch: Sketch) => lookAt(shotOf(sketch));
export const planOf = (sketch: Sketch) => solve(shotOf(sketch)).plan;
/** The plan as it is written and answered, with its words. */
export const toldOf = (sketch: Sketch) => toldPlan(solve(shotOf(sketch)));

/** Three rows of four in a small room: 35 mm cannot hold them at f/2.8. */
export const rowsInRoom = (more: Partial<Parameters<typeof shotOf>[0]> = {}) =>
	shotOf({
		lens: LENSES.wide35,
		people: [0, 1, 2].flatMap((row) =>
			[-0.9, -0.3, 0.3, 0.9].map((x, i) =>
				person(`row ${row} place ${i}`, [x, 1.3 + 0.25 * row, 2.6 + 0.7 * row], { row })
			)
		),
		camera: { position: { x: 0, y: 1.6, z: 0 } },
		...more
	});

import type { Body, Lens, Person, PlaceKind, Shot, Thing } from '$core/format/shot';
import { BODIES, LENSES } from '../kit';
import { crowd, families, person, thing } from './sampleGroups';

/**
 * The shots of the sample day: an invented wedding at an old rope works on a harbour, in late
 * September. Nobody in it is real.
 */

export interface Sketch {
	readonly title: string;
	/** When, on the wall clock. */
	readonly at: string;
	readonly minutes: number;
	/** Where on the premises. */
	readonly where: string;
	/** What the picture shows around them. */
	readonly kind?: PlaceKind;
	readonly notes?: string;
	readonly body?: Body;
	readonly lens: Lens;
	readonly focalMm: number;
	readonly camera?: Partial<Shot['camera']>;
	readonly people: readonly Person[];
	readonly things?: readonly Thing[];
	readonly light?: Shot['light'];
	readonly safetyStops?: number;
}

export function shotOf(sketch: Omit<Sketch, 'at' | 'minutes' | 'where'>): Shot {
	const { title, notes = '', body = BODIES.fullFrame24, lens, focalMm, people, light } = sketch;
	return {
		format: 'focalis-shot',
		version: 1,
		title,
		notes,
		body,
		lens,
		camera: {
			position: { x: 0, y: 1.6, z: 0 },
			panDeg: 0,
			tiltDeg: 0,
			orientation: 'landscape',
			support: 'handheld',
			...sketch.camera,
			focalMm
		},
		people: [...people],
		things: [...(sketch.things ?? [])],
		sharpness: { standard: 'screen' },
		...(sketch.kind ? { place: { kind: sketch.kind } } : {}),
		...(light ? { light } : {}),
		choices: {
			safetyStops: sketch.safetyStops ?? (people.length > 2 ? 1 : 1 / 3),
			shutterRule: 'computed',
			pickBy: 'odds',
			focusBy: 'point'
		}
	};
}

export const SAMPLE_SHOTS: readonly Sketch[] = [
	{
		title: 'The couple under the arcade',
		at: '13:30',
		minutes: 20,
		where: 'arcade',
		kind: 'arcade',
		light: { mode: 'ambient', ev100: 6 },
		notes: 'Before anyone arrives; the lanterns are lit already.',
		lens: LENSES.portrait85,
		focalMm: 85,
		people: [
			person('Ilinca', [-0.17, 1.58, 3.2], { need: 'key', turnDeg: 22, keep: 'near-eye' }),
			person('Tomás', [0.16, 1.7, 3.27], { need: 'key', turnDeg: -25, keep: 'near-eye' })
		],
		things: [thing('lantern string', [0, 2, 9], [4, 0.4], 20, 'dissolved', 'lights')]
	},
	{
		title: 'Two families on the steps',
		at: '14:00',
		minutes: 20,
		where: 'stone steps',
		kind: 'steps',
		light: { mode: 'ambient', ev100: 12 },
		notes: 'Front row sits, the others stand. Count heads before the first frame.',
		lens: LENSES.zoom2470,
		focalMm: 50,
		people: families(),
		things: [
			thing('lanterns', [0, 2.9, 12], [5, 0.4], 7, 'recognisable', 'lights'),
			thing('old sign', [1.9, 2.6, 10], [1.2, 0.6], 60, 'readable', 'bars')
		]
	},
	{
		title: 'Rings, walking in',
		at: '15:00',
		minutes: 15,
		where: 'rope walk',
		kind: 'hall',
		light: { mode: 'ambient', ev100: 7 },
		lens: LENSES.zoom70200,
		focalMm: 135,
		camera: { support: 'monopod', orientation: 'portrait' },
		people: [
			person('Ilinca', [-0.28, 1.58, 6.8], { need: 'key', motion: 'walking' }),
			person('Tomás', [0.26, 1.7, 6.85], { need: 'key', motion: 'walking' })
		],
		things: [thing('brick wall', [0, 1.5, 14], [8, 5], 25, 'dissolved', 'bars')]
	},
	{
		title: 'The bandleader and the trumpet',
		at: '15:45',
		minutes: 10,
		where: 'bandstand',
		light: { mode: 'ambient', ev100: 8 },
		notes: 'Three pictures in one: the face, the trumpet, both.',
		lens: LENSES.normal50,
		focalMm: 50,
		people: [person('Sione', [0.12, 1.7, 1.9], { need: 'key', turnDeg: 12 })],
		things: [
			thing('trumpet', [-0.16, 1.5, 1.42], [0.13, 0.13], 8, 'recognisable', 'object'),
			thing('bandstand', [0.4, 1.7, 6], [3, 2.4], 35, 'dissolved', 'bars')
		]
	},
	{
		title: 'The toast, seen through glasses',
		at: '16:20',
		minutes: 15,
		where: 'long hall',
		kind: 'hall',
		light: { mode: 'ambient', ev100: 6 },
		lens: LENSES.portrait85,
		focalMm: 85,
		camera: { position: { x: 0, y: 1.25, z: 0 } },
		people: [
			person('Leila', [0.1, 1.24, 2.6], { need: 'key', turnDeg: -15, keep: 'near-eye' }),
			person('Anders', [-0.42, 1.28, 3.1], { need: 'soft' })
		],
		things: [thing('glasses', [-0.08, 1.13, 1.0], [0.3, 0.1], 12, 'dissolved', 'lights')]
	},
	{
		title: 'A profile at the window',
		at: '16:30',
		minutes: 10,
		where: 'loft',
		kind: 'window',
		light: { mode: 'ambient', ev100: 9 },
		lens: LENSES.portrait85Fast,
		focalMm: 85,
		camera: { orientation: 'portrait' },
		people: [person('Ifeoma', [0.02, 1.6, 2.1], { need: 'key', turnDeg: 70, keep: 'near-eye' })],
		things: [thing('window', [0.8, 1.7, 2.9], [1, 1.6], 20, 'recognisable', 'window')]
	},
	{
		title: 'An elder before black cloth',
		at: '16:50',
		minutes: 10,
		where: 'spinning room',
		kind: 'window',
		lens: LENSES.portrait85,
		focalMm: 85,
		camera: { position: { x: 0, y: 1.3, z: 0 }, support: 'tripod' },
		people: [
			person('Halina', [0, 1.3, 1.8], { need: 'key', turnDeg: 30, nodDeg: 5, keep: 'face' })
		],
		things: [thing('black cloth', [0, 1.3, 3.4], [3, 3], 2, 'dissolved', 'wall')],
		light: { mode: 'flash', guideNumberM: 36, distanceM: 1.6, ambientEv100: 5, leastPower: 1 / 128 }
	},
	{
		title: 'The ring bearer and the terrier',
		at: '17:10',
		minutes: 10,
		where: 'rope yard',
		kind: 'arcade',
		light: { mode: 'ambient', ev100: 12 },
		lens: LENSES.wide35,
		focalMm: 35,
		camera: { position: { x: 0, y: 0.8, z: 0 }, support: 'kneeling' },
		people: [
			person('Teo', [-0.12, 0.98, 1.7], { need: 'key', build: 'child', motion: 'restless' }),
			person('Biscuit', [0.22, 0.55, 1.6], { build: 'dog', motion: 'restless', keep: 'near-eye' })
		],
		things: [thing('coiled ropes', [0.3, 0.6, 4.5], [2.5, 1.2], 12, 'recognisable', 'bars')]
	},
	{
		title: 'Everyone, from the balcony',
		at: '17:30',
		minutes: 15,
		where: 'quay, from the balcony',
		kind: 'quay',
		light: { mode: 'ambient', ev100: 13 },
		lens: LENSES.zoom2470,
		focalMm: 45,
		camera: { position: { x: 0, y: 5, z: 0 }, tiltDeg: -21, support: 'braced' },
		people: crowd()
	},
	{
		title: 'The two, wide on the quay',
		at: '18:00',
		minutes: 20,
		where: 'quay',
		kind: 'quay',
		light: { mode: 'ambient', ev100: 14 },
		lens: LENSES.wide24,
		focalMm: 24,
		people: [
			person('Ilinca', [-0.3, 1.58, 5.2], { need: 'key', turnDeg: 10 }),
			person('Tomás', [0.3, 1.7, 5.25], { need: 'key', turnDeg: -10 })
		],
		things: [thing('moored boats', [-4, 3, 30], [12, 6], 250, 'readable', 'bars')]
	}
];

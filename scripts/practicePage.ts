import { sampleDay } from '../src/data/sample/sampleDay';
import { rollsOf } from '../src/practice/day';
import { develop } from '../src/practice/develop';
import { framesOf, type RollOrder } from '../src/practice/roll';
import { truthOf } from '../src/practice/truth';
import { ASSUMED } from '../src/core/tables/spreads';
import { Studio } from '../src/preview/render/studio';

/** Runs in a page: the sample day, taken by the practice camera, for `npm run practice`. */

interface Wanted {
	readonly framesOfEach: number;
	readonly longSidePx: number;
	readonly seed: number;
	/** One row of one shot alone, brought nearer by the lens, instead of the whole day. */
	readonly only?: { readonly title: string; readonly row: number; readonly focalMm: number };
}

/** Of the place the sample day is at: summer time. */
const OFFSET_MINUTES = 120;

const ordersOf = (wanted: Wanted): RollOrder[] =>
	rollsOf({
		...wanted,
		shots: shotsOf(wanted).map(({ shot, slot }) => ({
			shot,
			localMs: Date.parse(`${slot.startsAt}Z`),
			offsetMinutes: OFFSET_MINUTES
		})),
		spreads: ASSUMED
	});

function shotsOf({ only }: Wanted) {
	const all = sampleDay(0).shots;
	if (!only) return all;
	return all
		.filter(({ shot }) => shot.title === only.title)
		.map(({ shot, slot }) => {
			const people = shot.people.filter(({ row }) => row === only.row);
			const camera = { ...shot.camera, focalMm: only.focalMm };
			return { slot, shot: { ...shot, people, camera } };
		});
}

const studio = new Studio(new OffscreenCanvas(1, 1));
const ALONE = { breathe: () => Promise.resolve(), tell: () => undefined };

const practice = {
	truth: (wanted: Wanted) => truthOf(ordersOf(wanted)),

	/** The file of a frame, in base 64. */
	async file(wanted: Wanted, roll: number, index: number) {
		const order = ordersOf(wanted)[roll];
		const frame = order && framesOf(order)[index];
		if (!frame) throw new Error('no such frame');
		const { name, jpeg } = await develop(studio, order, frame, ALONE);
		const bytes = new Uint8Array(await jpeg.arrayBuffer());
		const letters = Array.from(bytes, (byte) => String.fromCharCode(byte));
		return { name, base64: btoa(letters.join('')) };
	},

	/** What a roll is of, how many people, and how many frames it has. */
	rolls: (wanted: Wanted) =>
		ordersOf(wanted).map(({ shot, frames }) => ({
			title: shot.title,
			people: shot.people.length,
			frames
		}))
};

Object.assign(globalThis, { practice });

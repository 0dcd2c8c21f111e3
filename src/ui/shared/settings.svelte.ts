import { z } from 'zod';
import { KINDS } from '$core/day/limits';
import { FIGURE_PARTS } from '$core/anatomy/figure';
import { USUAL_MARGIN, type Framing } from '$core/arrange/framing';
import { BodySchema, LensSchema } from '$core/format/gear';
import { PLACE_NAMES } from './places';

/** How the app looks and speaks on this device. */

const KEY = 'focalis-settings';

/** What lies over the picture. */
const OverlaysSchema = z.object({
	point: z.boolean().catch(true),
	reach: z.boolean().catch(false),
	states: z.boolean().catch(false),
	cuts: z.boolean().catch(true),
	thirds: z.boolean().catch(false),
	margin: z.boolean().catch(false)
});
export type Overlays = z.infer<typeof OverlaysSchema>;

/** One's own school: what new shots begin with. */
const MyWaySchema = z.object({
	shutterRule: z.union([z.literal(1), z.literal(2), z.literal('computed')]).catch('computed'),
	pickBy: z.enum(['widest', 'odds']).catch('odds'),
	sharpness: z.enum(['album', 'screen', 'pixel']).catch('screen'),
	technique: z.enum(['move-point', 'reframe', 'manual']).catch('move-point'),
	marginStops: z
		.number()
		.min(0)
		.max(2)
		.catch(1 / 3)
});
export type MyWay = z.infer<typeof MyWaySchema>;

/** One's own limits for a kind of shot. */
const LimitsSchema = z.object({
	slowestS: z.number().positive().optional().catch(undefined),
	fNumber: z.number().positive().optional().catch(undefined),
	highestIso: z.number().positive().optional().catch(undefined)
});

const SunPlaceSchema = z.object({
	latitudeDeg: z.number().min(-90).max(90).catch(50),
	longitudeDeg: z.number().min(-180).max(180).catch(10),
	lookingDeg: z.number().min(0).max(360).catch(0)
});

const FramingSchema = z.object({
	part: z.enum(FIGURE_PARTS).catch('waist-up'),
	margin: z.number().min(0).max(0.4).catch(USUAL_MARGIN)
});

/** A setting whose value is missing or not known falls back alone; the others stay. */
const SettingsSchema = z.object({
	look: z.enum(['day', 'night']).optional().catch(undefined),
	units: z.enum(['m', 'ft']).catch('m'),
	/** Single-letter shortcuts can be turned off. */
	shortcuts: z.boolean().catch(true),
	/** Keys that were changed, by the name of their action; empty for none. */
	keys: z.record(z.string(), z.string().max(4)).catch({}),
	/** The camera turns after people who are moved. */
	keepsAimed: z.boolean().catch(false),
	/** How people were framed last: where newcomers stand. */
	framing: FramingSchema.catch(FramingSchema.parse({})),
	/** Body and lens that were chosen last: what new shots begin with. */
	gear: z.object({ body: BodySchema, lens: LensSchema }).nullable().catch(null),
	myWay: MyWaySchema.catch(MyWaySchema.parse({})),
	/** Where the sun was asked for last, and where the stage looked, from north. */
	sunPlace: SunPlaceSchema.catch(SunPlaceSchema.parse({})),
	limits: z.partialRecord(z.enum(KINDS), LimitsSchema).catch({}),
	lastShotId: z.string().nullable().catch(null),
	/** When everything was backed up last, ms. */
	backedUpAt: z.number().nullable().catch(null),
	/** When something was changed first that no backup holds, ms. */
	changedAt: z.number().nullable().catch(null),
	/** No word of a backup before then, ms. */
	askAgainAt: z.number().catch(0),
	/** The tour was there, whether it was followed or not. */
	isToured: z.boolean().catch(false),
	lastPlace: z.enum(PLACE_NAMES).catch('plan'),
	overlays: OverlaysSchema.catch(OverlaysSchema.parse({}))
});

type Values = z.infer<typeof SettingsSchema>;

/** The settings kept in the browser; the defaults when there are none or they cannot be read. */
function read(): Values {
	try {
		return settingsFrom(localStorage.getItem(KEY));
	} catch {
		return settingsFrom(null);
	}
}

/** The settings of a text as they were kept; what is not known there is as usual. */
export function settingsFrom(text: string | null): Values {
	let kept: unknown = {};
	try {
		kept = JSON.parse(text ?? '{}');
	} catch {
		// damaged: as usual
	}
	const isRecord = typeof kept === 'object' && kept !== null && !Array.isArray(kept);
	return SettingsSchema.parse(isRecord ? kept : {});
}

class Settings {
	#values = $state<Values>(read());

	get units() {
		return this.#values.units;
	}
	get look() {
		return (
			this.#values.look ?? (document.documentElement.dataset['look'] === 'night' ? 'night' : 'day')
		);
	}
	get shortcuts() {
		return this.#values.shortcuts;
	}
	get keys() {
		return this.#values.keys;
	}
	get myWay() {
		return this.#values.myWay;
	}
	get framing(): Framing {
		return { ...this.#values.framing, personIds: [] };
	}
	get sunPlace() {
		return this.#values.sunPlace;
	}
	get limits() {
		return this.#values.limits;
	}
	get gear() {
		return this.#values.gear;
	}
	get keepsAimed() {
		return this.#values.keepsAimed;
	}
	get overlays() {
		return this.#values.overlays;
	}
	get backedUpAt() {
		return this.#values.backedUpAt;
	}
	get changedAt() {
		return this.#values.changedAt;
	}
	get askAgainAt() {
		return this.#values.askAgainAt;
	}
	get isToured() {
		return this.#values.isToured;
	}
	get lastPlace() {
		return this.#values.lastPlace;
	}
	get lastShotId() {
		return this.#values.lastShotId;
	}

	set(change: Partial<Values>) {
		this.#values = { ...this.#values, ...change };
		if (change.look) document.documentElement.dataset['look'] = change.look;
		try {
			localStorage.setItem(KEY, JSON.stringify(this.#values));
		} catch {
			// a browser that keeps nothing still works; the shots' own notice says so
		}
	}
}

export const settings = new Settings();

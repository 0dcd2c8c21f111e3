import { z } from 'zod';

/** How the app looks and speaks on this device. */

const KEY = 'focalis-settings';

/** What lies over the picture. */
const OverlaysSchema = z.object({
	point: z.boolean().default(true),
	reach: z.boolean().default(false),
	states: z.boolean().default(false),
	cuts: z.boolean().default(true),
	thirds: z.boolean().default(false),
	margin: z.boolean().default(false)
});
export type Overlays = z.infer<typeof OverlaysSchema>;

/** The places of the work, in its order. */
export const PLACES = ['day', 'plan', 'card'] as const;
export type Place = (typeof PLACES)[number];

/** One's own school: what new shots begin with. */
const MyWaySchema = z.object({
	shutterRule: z.union([z.literal(1), z.literal(2)]).default(1),
	sharpness: z.enum(['album', 'screen', 'pixel']).default('screen'),
	technique: z.enum(['move-point', 'reframe', 'manual']).default('move-point'),
	marginStops: z
		.number()
		.min(0)
		.max(2)
		.default(1 / 3)
});
export type MyWay = z.infer<typeof MyWaySchema>;

const SettingsSchema = z.object({
	look: z.enum(['day', 'night']).optional(),
	units: z.enum(['m', 'ft']).default('m'),
	/** Single-letter shortcuts can be turned off. */
	shortcuts: z.boolean().default(true),
	/** Keys that were changed, by the name of their action; empty for none. */
	keys: z.record(z.string(), z.string().max(4)).default({}),
	/** The camera turns after people who are moved. */
	keepsAimed: z.boolean().default(false),
	myWay: MyWaySchema.default(MyWaySchema.parse({})),
	lastShotId: z.string().nullable().default(null),
	/** When everything was backed up last, ms. */
	backedUpAt: z.number().nullable().default(null),
	/** When something was changed first that no backup holds, ms. */
	changedAt: z.number().nullable().default(null),
	/** No word of a backup before then, ms. */
	askAgainAt: z.number().default(0),
	lastPlace: z.enum(PLACES).default('plan'),
	overlays: OverlaysSchema.default(OverlaysSchema.parse({}))
});

type Values = z.infer<typeof SettingsSchema>;

/** The settings kept in the browser; the defaults when there are none or they cannot be read. */
function read(): Values {
	try {
		return SettingsSchema.parse(JSON.parse(localStorage.getItem(KEY) ?? '{}'));
	} catch {
		return SettingsSchema.parse({});
	}
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

import type { Plan } from '../format/plan';
import type { Shot } from '../format/shot';
import { stopsBetween } from '../optics/fNumber';

/** A photographer's own limits for a kind of shot, and where a plan goes past them. */

/** Kinds of shot that one has habits for, the first that fits. */
export const KINDS = ['flash', 'moving', 'one', 'two', 'group'] as const;
export type Kind = (typeof KINDS)[number];

export interface Limits {
	/** The slowest shutter, s. */
	readonly slowestS?: number | undefined;
	/** The f-number one means to work at. */
	readonly fNumber?: number | undefined;
	readonly highestIso?: number | undefined;
}

/** A limit that was passed. */
export interface Passed {
	readonly what: keyof Limits;
	readonly value: number;
	readonly limit: number;
}

/** Dials differ by a hair, and half a stop from the f-number one means is as meant. */
const A_HAIR = 1.05;
const AS_MEANT_STOPS = 0.5;

export function limitKindOf({ people, light }: Shot): Kind {
	const counted = people.filter(({ need }) => need !== 'free');
	if (light?.mode === 'flash') return 'flash';
	if (counted.some(({ motion }) => motion !== 'still')) return 'moving';
	return counted.length > 2 ? 'group' : counted.length === 2 ? 'two' : 'one';
}

const IS_PAST: Readonly<Record<keyof Limits, (value: number, limit: number) => boolean>> = {
	slowestS: (value, limit) => value > limit * A_HAIR,
	fNumber: (value, limit) => Math.abs(stopsBetween(value, limit)) > AS_MEANT_STOPS,
	highestIso: (value, limit) => value > limit * A_HAIR
};

/** The limits that a plan goes past; none of what it does not know. */
export function pastLimits({ fNumberExact, exposure }: Plan, limits: Limits): Passed[] {
	const values: Readonly<Record<keyof Limits, number | undefined>> = {
		slowestS: exposure?.shutterS,
		fNumber: fNumberExact ?? undefined,
		highestIso: exposure?.iso
	};
	return (['slowestS', 'fNumber', 'highestIso'] as const).flatMap((what) => {
		const [value, limit] = [values[what], limits[what]];
		if (value === undefined || limit === undefined) return [];
		return IS_PAST[what](value, limit) ? [{ what, value, limit }] : [];
	});
}

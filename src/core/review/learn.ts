import { FOCUSING_KEYS, focusingKey } from '../odds/conditions';
import { rayleighScale } from '../numeric/rayleigh';
import { ASSUMED, withAssumed, type SpreadKey } from '../tables/spreads';
import { biasOf, focusErrors, focusingSpread, swayTimes } from './focusErrors';
import type { SetOfShot } from './setOfShot';
import { shakeRates } from './shakeRates';

/**
 * What the frames that came home say of hands, lenses and people: spreads of section 8, as the mean of the assumption
 * with the weight of 20 frames and of the measurement with the weight of its own.
 */

/** With fewer frames nothing is learned. */
const LEAST_FRAMES = 8;

/** A spread as it was measured, together with the assumption, and how many frames stand behind it. */
export interface Learned {
	readonly key: SpreadKey;
	/** The lens that it is the bias of; null for what is no lens’s. */
	readonly lens: string | null;
	readonly frames: number;
	readonly value: number;
}

/** Ways of holding the camera that have a sway worth measuring. */
const HELD = ['handheld', 'braced', 'kneeling', 'monopod'] as const;

/** Without what the practice camera took: it shakes and focuses as it was told to, not as anybody does. */
const withoutPractice = (one: SetOfShot): SetOfShot => ({
	...one,
	set: { ...one.set, frames: one.set.frames.filter(({ frame }) => !frame.facts.isPractice) }
});

/** What is learned from sets of real frames, against what was assumed. */
export function learn(taken: readonly SetOfShot[]): Learned[] {
	const sets = taken.map(withoutPractice);
	const learned: Learned[] = [];
	const told = (key: SpreadKey, measured: number, frames: number, weight = frames) => {
		if (weight < LEAST_FRAMES) return;
		learned.push({ key, lens: null, frames, value: withAssumed(key, measured, weight) });
	};
	const all = sets.map((one) => ({ one, errors: focusErrors(one) }));
	const errorsOf = (isMeant: (one: SetOfShot) => boolean) =>
		all.flatMap(({ one, errors }) => (isMeant(one) ? errors : []));

	const sways = new Map<string, number>();
	for (const support of HELD) {
		const errors = errorsOf(({ shot }) => shot.camera.support === support);
		const sway = errors.length >= LEAST_FRAMES ? swayTimes(errors) : null;
		if (!sway) continue;
		sways.set(support, sway.spread);
		const key = `${support}Mm` as const;
		told(key, sway.spread * ASSUMED[key], errors.length, sway.weight);
	}
	for (const key of FOCUSING_KEYS) {
		const errors = all.flatMap(({ one: { shot, handling }, errors }) => {
			if (focusingKey(shot, handling) !== key) return [];
			const sway = sways.get(shot.camera.support) ?? 1;
			return errors.map((each) => ({ ...each, swaySquare: sway ** 2 * each.swaySquare }));
		});
		if (errors.length < LEAST_FRAMES) continue;
		const { spread, weight } = focusingSpread(errors);
		told(key, spread, errors.length, weight);
	}
	for (const lens of new Set(sets.map(({ shot }) => shot.lens.name))) {
		const errors = errorsOf(({ shot }) => shot.lens.name === lens);
		const bias = errors.length >= LEAST_FRAMES ? biasOf(errors) : null;
		if (bias === null) continue;
		const frames = errors.length;
		learned.push({ key: 'biasMm', lens, frames, value: withAssumed('biasMm', bias, frames) });
	}

	const rates = sets.flatMap(shakeRates);
	const scale = rates.length >= LEAST_FRAMES ? rayleighScale(rates) : null;
	if (scale !== null) told('shake', scale, rates.length);

	const frames = sets.flatMap(({ set }) =>
		set.frames.map(({ faces }) => faces.filter((face) => face !== null && !face.isPointed))
	);
	const looks = frames.flat();
	if (frames.length >= LEAST_FRAMES && looks.length > 0) {
		const share = looks.filter((face) => face?.isShut).length / looks.length;
		told('blinksPerMinute', (60 * share) / ASSUMED.blinkS, frames.length, looks.length);
	}
	return learned;
}

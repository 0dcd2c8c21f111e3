import type { MoveMade } from '../format/advice';
import type { Person, Shot } from '../format/shot';
import { nominalShutter } from '../light/dials';
import { usualFlash } from '../light/usualFlash';
import { hasFixedAperture } from '../optics/fNumber';
import { exposureOf } from '../study/light';
import { faceRatios } from '../study/take';
import { isHuman } from '../tables/heads';
import { withNeed } from './moves';
import type { Prospect } from './prospect';

/** Ways of working that save frames: each one thing, done or not. */

export interface Working {
	readonly shot: Shot;
	/** What was done, as data, from what came of it. */
	readonly made: (after: Prospect) => MoveMade;
	/** How much trouble it is, in steps of one's own feet. */
	readonly effort: number;
}

/** Every other way of working that a shot allows. */
export const otherWorkings = (now: Prospect): Working[] => [
	...held(now),
	...faster(now),
	...lit(now),
	...focusedOtherwise(now),
	...stoppedDown(now),
	...ofHardest(now)
];

const HOLD_EFFORT = { braced: 0.4, kneeling: 0.4, monopod: 1, tripod: 2 } as const;

/** Steadier than the hand. */
function held({ study: { shot } }: Prospect): Working[] {
	return (['braced', 'kneeling', 'monopod', 'tripod'] as const)
		.filter((support) => support !== shot.camera.support)
		.map((support) => ({
			shot: { ...shot, camera: { ...shot.camera, support } },
			made: () => ({ code: 'hold', support }),
			effort: HOLD_EFFORT[support]
		}));
}

/** A shutter twice as fast, with the ISO that it takes; a telephone chooses its own. */
function faster({ study: { shot }, take }: Prospect): Working[] {
	const exposure = exposureOf(take);
	if (!exposure || shot.light?.mode !== 'ambient' || hasFixedAperture(shot.lens)) return [];
	const shutterS = nominalShutter(exposure.shutterS / 2);
	if (shutterS < shot.body.fastestShutterS || exposure.iso * 2 > shot.body.iso[1]) return [];
	return [
		{
			shot: { ...shot, choices: { ...shot.choices, shutterS } },
			made: (after) => ({
				code: 'faster-shutter',
				shutterS,
				iso: exposureOf(after.take)?.iso ?? exposure.iso
			}),
			effort: 0.1
		}
	];
}

/** Below this a room is dark enough to ask for a flash, EV at ISO 100. */
const DARK_EV = 8;

/** A stop more light, or a flash: never into the eyes of infants and animals. */
function lit({ study: { shot }, take }: Prospect): Working[] {
	const { light, people } = shot;
	if (light?.mode !== 'ambient') return [];
	const more: Working = {
		shot: { ...shot, light: { ...light, ev100: light.ev100 + 1 } },
		made: () => ({ code: 'more-light', stops: 1 }),
		effort: 1.5
	};
	const minds = people.some(({ build }) => build === 'infant' || !isHuman(build));
	if (minds || light.ev100 >= DARK_EV || hasFixedAperture(shot.lens)) return [more];
	const farthestM = Math.max(...take.scene.targets.map(({ seen }) => seen.distanceM));
	const distanceM = Math.round(farthestM * 10) / 10;
	const flash: Working = {
		shot: { ...shot, light: usualFlash(light.ev100, distanceM) },
		made: () => ({ code: 'flash', distanceM }),
		effort: 1.5
	};
	return [more, flash];
}

/** Somebody else chooses the focus point. By hand, magnified, nobody focuses but on a tripod. */
function focusedOtherwise({ study: { shot } }: Prospect): Working[] {
	const onTripod = shot.camera.support === 'tripod';
	return (['point', 'eye-found', ...(onTripod ? (['hand-magnified'] as const) : [])] as const)
		.filter((focusBy) => focusBy !== shot.choices.focusBy)
		.map((focusBy) => ({
			shot: { ...shot, choices: { ...shot.choices, focusBy } },
			made: () => ({ code: 'focus-by', focusBy }),
			effort: 0.3
		}));
}

/** A third of a stop more than is taken. */
function stoppedDown({ study: { shot, ladder }, take }: Prospect): Working[] {
	const fNumberExact = ladder.find((rung) => rung > take.fNumber * (1 + 1e-9));
	if (fNumberExact === undefined) return [];
	return [
		{
			shot: { ...shot, choices: { ...shot.choices, fNumberExact } },
			made: () => ({ code: 'third-more' }),
			effort: 0.1
		}
	];
}

/** A head turned as far as this has a far eye, degrees. */
const TURNED_DEG = 15;

/** Whoever is hardest to hold asks for less: only the near eye, or a little softer. */
function ofHardest({ study: { shot }, take, feasible }: Prospect): Working[] {
	const [hardest] = [...faceRatios(take)].sort(([, a], [, b]) => b - a);
	const person = shot.people.find(({ id }) => id === hardest?.[0]);
	if (!person) return [];
	const { id: personId } = person;
	const others = shot.people.some(({ id, need }) => id !== personId && need !== 'free');
	return [
		...(person.keep !== 'near-eye' && Math.abs(person.turnDeg) >= TURNED_DEG
			? [
					{
						shot: withPerson(shot, { ...person, keep: 'near-eye' }),
						made: () => ({ code: 'near-eye', personId }) as const,
						effort: 1
					}
				]
			: []),
		// of those who fail each may be soft: see the moves
		...(feasible && person.need === 'sharp' && others
			? [
					{
						shot: withNeed(shot, [personId], 'soft'),
						made: () => ({ code: 'softer-need', personId }) as const,
						effort: 3.5
					}
				]
			: [])
	];
}

const withPerson = (shot: Shot, person: Person): Shot => ({
	...shot,
	people: shot.people.map((one) => (one.id === person.id ? person : one))
});

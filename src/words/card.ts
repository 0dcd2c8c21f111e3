import { faceShare } from '$core/arrange/edges';
import { whereStands } from '$core/arrange/rows';
import type { Reason } from '$core/format/reasons';
import type { Odds } from '$core/odds/odds';
import { isZoom } from '$core/optics/zoom';
import type { Take } from '$core/study/candidate';
import type { Solution } from '$core/study/plan';
import { stitchingOf } from '$core/study/wideShot';
import type { State } from '$core/format/plan';
import { faceRatios, holdState } from '$core/study/take';
import { cautionText } from './cautions';
import { equivalentWords } from './framing';
import { isoWords, powerWords, shutterWords } from './light';
import { nameOfId } from './names';
import { distance, fStop, shareInWords, type Units } from './numbers';
import { framesSentence } from './odds';
import { supportWords } from './options';
import { reasonText } from './reasons';
import {
	movingWords,
	pathWords,
	stepWords,
	stitchProblemWords,
	stitchWords,
	WIDE_REMINDERS
} from './stitching';
import { whereWords } from './rows';
import { verdictOf } from './verdict';

/** What stands on the card of a shot. */

export interface Setting {
	readonly label: string;
	readonly value: string;
}

/** What one needs to know of a shot with the camera in the hand. */
export interface CardContent {
	/** "Ilinca’s left eye"; empty when there is nothing to focus on. */
	readonly focusOn: string;
	/** "middle row, third from left" */
	readonly where: string;
	/** Whether it holds, and in most frames. */
	readonly state: State;
	/** The large ones: f-number, shutter, ISO, flash. */
	readonly settings: readonly Setting[];
	/** How it comes out, one sentence each. */
	readonly sentences: readonly string[];
	/** What to set up and how to do it. */
	readonly facts: readonly Setting[];
	/** Faces to look at afterwards at full size. */
	readonly checks: readonly string[];
	readonly cautions: readonly string[];
}

/** How many faces are worth checking: those nearest to being soft. */
const FACES_TO_CHECK = 2;

export function cardOf(solution: Solution, odds: Odds | null, units: Units): CardContent {
	const { plan } = solution;
	const { focus, exposure } = plan;
	const verdict = verdictOf(solution, units);
	const settings: Setting[] = [];
	if (plan.fNumber !== null) settings.push({ label: 'aperture', value: fStop(plan.fNumber) });
	if (exposure) {
		settings.push(
			{ label: 'shutter', value: shutterWords(exposure.shutterS) },
			{ label: 'ISO', value: isoWords(exposure.iso).replace('ISO ', '') }
		);
		if (exposure.flashPower !== null) {
			settings.push({ label: 'flash', value: powerWords(exposure.flashPower) });
		}
	}
	return {
		focusOn: verdict.focusOn,
		where: verdict.where,
		state: holdState(solution.take),
		settings,
		sentences: verdict.sentences,
		facts: focus ? factsOf(solution, odds, units) : [],
		checks: checksOf(solution),
		cautions: plan.cautions.map(cautionText)
	};
}

function factsOf({ plan, study, take }: Solution, odds: Odds | null, units: Units): Setting[] {
	const { shot, scene } = study;
	const { focus } = plan;
	const { lens, camera } = shot;
	const said = (...codes: readonly Reason['code'][]) => {
		const found = plan.reasons.find(({ code }) => codes.includes(code));
		return found ? reasonText(found, shot, units) : '';
	};
	const person = shot.people.find(({ id }) => id === focus?.personId);
	const face = person
		? `; a face fills ${shareInWords(faceShare(scene.pose, person))} of the frame’s height`
		: '';
	const facts: Setting[] = [
		{
			label: 'lens',
			value: `${lens.name}${isZoom(lens) ? ` at ${Math.round(camera.focalMm)} mm` : ''}${camera.orientation === 'portrait' ? ', camera upright' : ''}`
		},
		{
			label: 'from',
			value: `${distance(focus?.fromSensorM ?? 0, units)} from the sensor mark${face}`
		},
		{ label: 'view', value: equivalentWords(shot) },
		...wideFacts(take),
		{ label: 'hold', value: supportWords(camera.support) },
		{ label: 'focus', value: said('between', 'move-point', 'reframe', 'manual', 'tap') },
		{ label: 'mode', value: said('mode-single', 'mode-continuous') },
		{ label: 'exposure', value: said('exposure-mode') },
		{ label: 'drive', value: said('drive') },
		{ label: 'metering', value: said('metering') },
		{
			label: 'also',
			value: [said('stabiliser'), said('highlights'), said('level')].filter(Boolean).join(' ')
		}
	];
	if (plan.feasible) {
		facts.push({ label: 'frames', value: odds ? framesSentence(odds) : 'being counted' });
	}
	return facts.filter(({ value }) => value !== '');
}

/** The way through the frames, where there are many. */
function wideFacts(take: Take | null): Setting[] {
	const view = take?.scene.shot.choices.wide;
	if (!take || !view) return [];
	const stitching = stitchingOf(take, view);
	if (!stitching.ok) {
		return [{ label: 'frames', value: stitchProblemWords(stitching, view.mostFrames) }];
	}
	const { stitch } = stitching;
	const { personId } = take.candidate;
	const on = personId ? nameOfId(take.scene.shot, personId) : 'what is focused on';
	return [
		{ label: 'wide', value: `${stitchWords(stitch)} ${stepWords(stitch)}` },
		{ label: 'path', value: pathWords(stitch, on) },
		{ label: 'then', value: [...WIDE_REMINDERS, movingWords(take)].filter(Boolean).join(' ') }
	];
}

/** The faces with the least to spare, the worst first; only where there is more than one. */
function checksOf({ take, study: { shot, scene } }: Solution): string[] {
	const worst = take ? faceRatios(take) : new Map<string, number>();
	if (worst.size < 2) return [];
	return [...worst]
		.sort(([, a], [, b]) => b - a)
		.slice(0, FACES_TO_CHECK)
		.map(([id]) => {
			const where = whereWords(whereStands(scene.rows, id));
			return nameOfId(shot, id) + (where ? ` (${where})` : '');
		});
}

import type { ApertureLadder, LadderRound } from '$core/exercises/apertureLadder';
import { OBJECTS } from '$core/exercises/exercise';
import type { EyesThenNose } from '$core/exercises/eyesThenNose';
import type { EdgeFrame, EdgePlace, FourEdges } from '$core/exercises/fourEdges';
import type { ExerciseReading } from '$core/exercises/reading';
import type { ThreeObjects } from '$core/exercises/threeObjects';
import { frameNumbers, listed } from './listed';
import { capital, distance, fStop, type Units } from './numbers';

/** What an exercise showed, in words: what came out first, then what went wrong. */
export function exerciseWords(reading: ExerciseReading, units: Units): string[] {
	switch (reading.exercise) {
		case 'three-objects':
			return objectsWords(reading);
		case 'aperture-ladder':
			return ladderWords(reading);
		case 'eyes-then-nose':
			return noseWords(reading, units);
		case 'four-edges':
			return edgesWords(reading, units);
	}
}

/** What a frame was focused on, for its caption. */
export function exerciseCaption(reading: ExerciseReading, frame: number, units: Units): string {
	switch (reading.exercise) {
		case 'three-objects':
			return onObject(reading.inFocus[frame] ?? null);
		case 'aperture-ladder':
			return onObject(reading.rounds.find(({ frames }) => frames.includes(frame))?.object ?? null);
		case 'eyes-then-nose': {
			const look = reading.looks.find((one) => one.frame === frame);
			if (!look || look.sharp === 'none') return 'nothing in focus';
			const on = look.sharp === 'both' ? 'eye and nose' : `on the ${look.sharp}`;
			return `${on}, from ${distance(look.distanceM, units)}`;
		}
		case 'four-edges': {
			const seen = reading.frames[frame];
			return seen?.place ? `${PLACE_WORDS[seen.place]}: ${OUTCOME_WORDS[seen.outcome]}` : 'no face';
		}
	}
}

const onObject = (object: number | null): string =>
	object === null ? 'nothing in focus' : `on the ${OBJECTS[object]}`;

function objectsWords({ framesOf, inFocus }: ThreeObjects): string[] {
	const told = framesOf.map((frames, object) => {
		const is = object === 0 ? ' is in focus' : '';
		return `the ${OBJECTS[object]}${is} in ${frames.length > 0 ? frameNumbers(frames) : 'none'}`;
	});
	const without = OBJECTS.filter((_, object) => framesOf[object]?.length === 0);
	const nothing = inFocus.flatMap((one, frame) => (one === null ? [frame] : []));
	return [
		`${capital(listed(told))}.`,
		...(without.length > 0
			? [
					`${capital(listed(without.map((id) => `the ${id}`)))} got no frame: was the point moved onto it?`
				]
			: []),
		...(nothing.length > 0 ? [`Nothing is sharp in ${frameNumbers(nothing)}: take it again.`] : [])
	];
}

function roundWords({ object, sharpFrom }: LadderRound): string {
	if (object === null) return 'At its widest nothing is sharp: focus on one of them, and leave it.';
	const others = sharpFrom.flatMap((from, other) => {
		if (other === object) return [];
		const what = `the ${OBJECTS[other]}`;
		return [from === null ? `${what} is never sharp` : `${what} is sharp from ${fStop(from)} on`];
	});
	return `Focused on the ${OBJECTS[object]}: ${listed(others)}.`;
}

function ladderWords({ rounds, moved, untold }: ApertureLadder): string[] {
	const twice = [...new Set(rounds.flatMap((round) => round.twice))];
	const lost = rounds.flatMap((round) => round.lost);
	return [
		...rounds.map(roundWords),
		...(rounds.length === 1 ? ['Now the same again, focused on the one in the middle.'] : []),
		...(twice.length > 0
			? [`Two frames at one stop: ${listed(twice.map(fStop))}. The ring or the dial did not turn.`]
			: []),
		...(moved.length > 0 ? [`The camera or a block moved in ${frameNumbers(moved)}.`] : []),
		...(lost.length > 0
			? [`What was focused on is soft itself in ${frameNumbers(lost)}: focus only once.`]
			: []),
		...(untold.length > 0 ? [`The file does not say its f-number in ${frameNumbers(untold)}.`] : [])
	];
}

function noseWords({ lenses, looks }: EyesThenNose, units: Units): string[] {
	if (looks.length === 0) return ['In none of these frames can it be told where the focus fell.'];
	return lenses.map(({ focalMm, apartUpToM, togetherFromM }) => {
		const at = (metres: number) => distance(metres, units);
		const apart =
			apartUpToM === null
				? 'eye and nose are never apart'
				: `up to ${at(apartUpToM)} one is soft while the other is sharp`;
		const together = togetherFromM === null ? '' : `; from ${at(togetherFromM)} on both are sharp`;
		return `At ${Math.round(focalMm)} mm ${apart}${together}.`;
	});
}

const PLACE_WORDS: Readonly<Record<EdgePlace | 'middle', string>> = {
	left: 'left edge',
	right: 'right edge',
	top: 'top',
	bottom: 'bottom',
	upright: 'upright',
	middle: 'middle'
};

const OUTCOME_WORDS: Readonly<Record<EdgeFrame['outcome'], string>> = {
	sharp: 'the eye is sharp',
	nearly: 'the eye is nearly sharp',
	'focused-behind': 'focused again, behind',
	soft: 'the eye is soft',
	'cannot-tell': 'cannot tell'
};

function edgesWords({ frames, missing, best }: FourEdges, units: Units): string[] {
	const placed = (index: number) => {
		const place = frames[index]?.place;
		return place ? PLACE_WORDS[place] : '';
	};
	const again = frames.flatMap(({ outcome, behindM, place }, i) => {
		if (outcome !== 'focused-behind') return [];
		const far = behindM !== null && Number.isFinite(behindM) ? distance(behindM, units) : 'far';
		const where = place ? ` (${PLACE_WORDS[place]})` : '';
		return [`Frame ${i + 1}${where} focused again, ${far} behind the eye: on the background.`];
	});
	const those = (wanted: EdgeFrame['outcome']) =>
		frames.flatMap(({ outcome }, i) => (outcome === wanted ? [i] : []));
	const [soft, nearly] = [those('soft'), those('nearly')];
	const faceless = frames.flatMap(({ place }, i) => (place === null ? [i] : []));
	return [
		best.length > 0
			? `The eye is sharp in ${listed(best.map((i) => `frame ${i + 1} (${placed(i)})`))}.`
			: 'The eye is sharp at no edge yet.',
		...again,
		...(soft.length > 0
			? [
					`The eye is soft in ${frameNumbers(soft)}: it focused again, or the body turned instead of the wrists.`
				]
			: []),
		...(nearly.length > 0 ? [`It is nearly sharp in ${frameNumbers(nearly)}.`] : []),
		...(faceless.length > 0 ? [`No face is found in ${frameNumbers(faceless)}.`] : []),
		...(missing.length > 0
			? [`Still to be taken: ${listed(missing.map((place) => PLACE_WORDS[place]))}.`]
			: [])
	];
}

import type { Take } from '../study/candidate';
import type { Camera, Lens, Shot } from '../format/shot';
import type { Exposure } from '../light/exposure';
import { widestFNumber } from '../optics/fNumber';
import { focalsOf } from '../optics/zoom';
import { nosePerspective, STRONG_FROM } from '../optics/perspective';
import { backgroundWidthM } from '../arrange/edges';
import {
	fartherBackM,
	groundDistanceM,
	hasRoom,
	pivotOf,
	sameFraming
} from '../arrange/standpoint';
import { byOrder } from '../numeric/order';
import { exposureOf } from '../study/light';
import type { Study } from '../study/study';
import { failingPeople } from '../study/take';
import { prospectOf, prospectWith, seenPeople, type Prospect } from './prospect';

/** Ways to take the same framing: each lens of the kit from the place it needs. */

export type BestFor = 'faces' | 'background' | 'light';

/** A lens at a place from which it frames the shot as it is framed now. */
export interface LensPlace {
	readonly lens: Lens;
	readonly focalMm: number;
	/** The shot taken this way. */
	readonly shot: Shot;
	/** How far the camera moves back from where it is, m; forward negative. */
	readonly backM: number;
	/** The place does not allow it. */
	readonly isOutOfRoom: boolean;
}

export interface LensWay extends LensPlace {
	/** From the camera to the nearest face that counts, m. */
	readonly distanceM: number;
	/** Exact; null when the lens cannot focus on anybody there. */
	readonly fNumber: number | null;
	readonly feasible: boolean;
	readonly failingIds: readonly string[];
	readonly intentsMet: number;
	readonly intents: number;
	/** How much larger the nose stands against the ears than as usual, a share. */
	readonly perspective: number;
	/** Width of the frame at the farthest thing in it, or ten metres behind the people, m. */
	readonly backgroundWidthM: number;
	readonly exposure: Exposure | null;
	/** Things that are in the frame now and would no longer be. */
	readonly droppedIds: readonly string[];
	/** What it is the best way for. */
	readonly bestFor: readonly BestFor[];
}

/** Without a thing behind them, the background is taken to lie so far behind the people, m. */
const BACKGROUND_M = 10;

/** Every way to take a shot with lenses of the kit, as it is framed now. */
export function lensWays(study: Study, lenses: readonly Lens[]): LensWay[] {
	const now = prospectOf(study);
	return withBest(lensPlaces(study.shot, lenses).map((place) => wayFrom(place, study, now)));
}

/** Where each lens of the kit would have to be, without a look at what comes of it. */
export const lensPlaces = (shot: Shot, lenses: readonly Lens[]): LensPlace[] =>
	lenses.flatMap((lens) =>
		focalsOf(lens, shot.camera.focalMm).flatMap((focalMm) => placeOf(shot, lens, focalMm) ?? [])
	);

function placeOf(shot: Shot, lens: Lens, focalMm: number): LensPlace | null {
	const isSame = lens.name === shot.lens.name && focalMm === shot.camera.focalMm;
	const camera = isSame ? shot.camera : sameFraming(shot, focalMm);
	if (!camera) return null;
	return {
		lens,
		focalMm,
		shot: shotWith(shot, lens, camera),
		backM: fartherBackM(shot, camera),
		isOutOfRoom: !hasRoom(shot, camera)
	};
}

/** The shot with a lens at a place, its f-number left to the solver. */
function shotWith(shot: Shot, lens: Lens, camera: Camera): Shot {
	const choices = { ...shot.choices };
	delete choices.fNumberExact;
	return { ...shot, lens, camera, choices };
}

/** What comes of a lens at its place. */
function wayFrom(place: LensPlace, study: Study, now: Prospect | null): LensWay {
	const { shot } = place;
	const then = prospectWith(study, shot);
	const base = { ...place, bestFor: [] };
	if (!then) {
		const distanceM = groundDistanceM(shot.camera, pivotOf(study.shot));
		return {
			...base,
			distanceM,
			fNumber: null,
			feasible: false,
			failingIds: shot.people.filter(({ need }) => need !== 'free').map(({ id }) => id),
			intentsMet: 0,
			intents: 0,
			perspective: nosePerspective(distanceM),
			backgroundWidthM: 0,
			exposure: null,
			droppedIds: []
		};
	}
	const { take } = then;
	const { scene, candidate } = take;
	const nearEyes = scene.sightings.flatMap(({ nearEye, person }) =>
		nearEye && person.need !== 'free' ? nearEye.seen.distanceM : []
	);
	const distanceM = nearEyes.length > 0 ? Math.min(...nearEyes) : candidate.seen.distanceM;
	const inFrame = (one: Prospect | null) =>
		one?.study.scene.things.filter((thing) => thing.inFrame).map(({ thing }) => thing.id) ?? [];
	const stillIn = inFrame(then);
	return {
		...base,
		distanceM,
		fNumber: take.fNumber,
		feasible: then.feasible && (!now || seenPeople(then) >= seenPeople(now)),
		failingIds: failingPeople(take),
		intentsMet: then.intents.met,
		intents: then.intents.of,
		perspective: nosePerspective(distanceM),
		backgroundWidthM: backgroundOf(take),
		exposure: exposureOf(take),
		droppedIds: inFrame(now).filter((id) => !stillIn.includes(id))
	};
}

function backgroundOf({ scene, candidate }: Take): number {
	const { imageDistanceMm } = candidate.focus;
	const behind = [...scene.things, ...(scene.background ? [scene.background] : [])]
		.map(({ seen }) => seen.depthM)
		.filter((depthM) => depthM > candidate.seen.depthM);
	const depthM = behind.length > 0 ? Math.max(...behind) : candidate.seen.depthM + BACKGROUND_M;
	return backgroundWidthM(scene.pose, depthM, imageDistanceMm);
}

/** Names the best way for faces, for the background and for the light, of those the place allows. */
function withBest(ways: readonly LensWay[]): LensWay[] {
	const open = ways.filter(({ isOutOfRoom, fNumber }) => !isOutOfRoom && fNumber !== null);
	const best = (order: (way: LensWay) => readonly number[]): LensWay | undefined =>
		open.toSorted((a, b) => byOrder(order(a), order(b)))[0];
	const lightOf = ({ exposure, fNumber }: LensWay): readonly number[] => {
		if (!exposure) return [fNumber ?? Infinity];
		const { flags, iso, flashPower, shutterS } = exposure;
		return [flags.length, flashPower ?? 0, iso, -shutterS];
	};
	const chosen: Readonly<Record<BestFor, LensWay | undefined>> = {
		faces: best(({ failingIds, perspective, backM }) => [
			failingIds.length,
			Math.max(0, perspective - STRONG_FROM),
			Math.abs(backM)
		]),
		background: best((way) => [
			way.feasible ? 0 : 1,
			way.intents - way.intentsMet,
			way.backgroundWidthM
		]),
		light: best((way) => [way.feasible ? 0 : 1, ...lightOf(way)])
	};
	return ways.map((way) => ({
		...way,
		bestFor: (['faces', 'background', 'light'] as const).filter((goal) => chosen[goal] === way)
	}));
}

/** Whether a lens of the kit reaches a focal length, and its widest f-number there; null if none. */
export function lensFor(lenses: readonly Lens[], focalMm: number): Lens | null {
	const able = lenses.filter(
		({ focalMm: [short, long] }) => focalMm >= short * 0.97 && focalMm <= long * 1.03
	);
	return able.toSorted((a, b) => widestFNumber(a, focalMm) - widestFNumber(b, focalMm))[0] ?? null;
}

import { landmarkPoint } from '../anatomy/head';
import type { Sighting } from '../anatomy/sight';
import { landmarkFacts, type Landmark } from '../tables/landmarks';
import { defocusAt } from '../optics/blur';
import { widestFNumber } from '../optics/fNumber';
import { focusAt, planeThrough, type FocusedOptic } from '../optics/focus';
import { offCentreMm, seenFrom, type CameraPoint } from '../geometry/camera';
import { lazily } from '../numeric/lazily';
import type { Candidate, Chance, JudgedTarget, FocusSpot } from './candidate';
import { isMeantSharp, type Scene, type Target } from './scene';

/**
 * What the lens may be focused on: what the user fixed, else the near eye of everyone who must be
 * sharp and every thing meant to be sharp; if there is neither, the near eye of everyone who may be
 * soft. Spots nearer than the lens's closest focus are left to `tooClose`.
 */
export function spotsOf(scene: Scene): { within: FocusSpot[]; tooClose: FocusSpot[] } {
	const all = scene.shot.choices.focus ? fixedSpots(scene) : freeSpots(scene);
	const { closestFocusM } = scene.shot.lens;
	return {
		within: all.filter(({ seen }) => seen.depthM >= closestFocusM),
		tooClose: all.filter(({ seen }) => seen.depthM < closestFocusM)
	};
}

/** Focuses on each spot and works out the worst ratios; the others when somebody asks for them. */
export const candidatesOf = (
	scene: Scene,
	spots: readonly FocusSpot[],
	chance: Chance
): Candidate[] => spots.map((spot) => candidateAt(scene, spot, chance));

function candidateAt(scene: Scene, spot: FocusSpot, chance: Chance): Candidate {
	const focus = focusAt(scene.optic, spot.planeM);
	let worstAtF1 = 0;
	let keyWorstAtF1 = 0;
	for (const target of scene.targets) {
		const ratioAtF1 = ratioWideOpen(scene, focus, target);
		worstAtF1 = Math.max(worstAtF1, ratioAtF1);
		if (target.isKey) keyWorstAtF1 = Math.max(keyWorstAtF1, ratioAtF1);
	}
	const judged = lazily((): readonly JudgedTarget[] =>
		scene.targets.map((target) => ({ target, ratioAtF1: ratioWideOpen(scene, focus, target) }))
	);
	const { kind, personId, thingId, landmark, seen, planeM, isKey, leanM } = spot;
	// each by its name: with a spread whatever looks at candidates is slower, all advice by a fifth
	return {
		kind,
		personId,
		thingId,
		landmark,
		seen,
		planeM,
		isKey,
		leanM,
		focus,
		offCentreMm: offCentreMm(scene.pose, seen),
		judged,
		worstAtF1,
		keyWorstAtF1,
		chance
	};
}

/**
 * Defocus of a target over what it allows, at f/1. Blur is linear in 1/N, so the ratio at f/N is
 * this over N.
 */
function ratioWideOpen(scene: Scene, focus: FocusedOptic, { seen, factor }: Target): number {
	return defocusAt(focus, 1, seen) / (factor * scene.toleranceMm);
}

/** The worst ratio of all targets at f/1 for a focus: the f-number that makes them all sharp. */
export function worstWideOpen(scene: Scene, focus: FocusedOptic): number {
	return scene.targets.reduce(
		(worst, target) => Math.max(worst, ratioWideOpen(scene, focus, target)),
		0
	);
}

/**
 * The f-number needed, continuous: never below the lens's widest, null above its smallest.
 *
 * @param worstAtF1 worst ratio at f/1
 */
export function fNumberNeeded({ shot: { lens, camera } }: Scene, worstAtF1: number): number | null {
	if (worstAtF1 > lens.smallestFNumber) return null;
	return Math.max(worstAtF1, widestFNumber(lens, camera.focalMm));
}

function freeSpots(scene: Scene): FocusSpot[] {
	const nearEyes = (wanted: (sighting: Sighting) => boolean) =>
		scene.sightings.filter(wanted).flatMap((sighting) => nearEyeSpot(scene, sighting));
	const things = scene.things
		.filter(isMeantSharp)
		.map(({ thing, seen }) => thingSpot(scene, thing.id, seen));
	const first = [
		...nearEyes(({ person }) => person.need === 'key' || person.need === 'sharp'),
		...things
	];
	return first.length > 0 ? first : nearEyes(({ person }) => person.need === 'soft');
}

function fixedSpots(scene: Scene): FocusSpot[] {
	const choice = scene.shot.choices.focus;
	if (!choice) return [];
	if ('depthM' in choice) return [depthSpot(choice.depthM)];
	if ('thingId' in choice) {
		return scene.things
			.filter(({ thing }) => thing.id === choice.thingId)
			.map(({ thing, seen }) => thingSpot(scene, thing.id, seen));
	}
	const { landmark } = choice;
	return scene.sightings
		.filter(({ person }) => person.id === choice.personId)
		.flatMap((sighting) => {
			if (!landmark) return nearEyeSpot(scene, sighting);
			const seen = seenFrom(scene.pose, landmarkPoint(sighting.head, landmark));
			return [faceSpot(scene, sighting, landmark, seen)];
		});
}

function nearEyeSpot(scene: Scene, sighting: Sighting): FocusSpot[] {
	const eye = sighting.nearEye;
	return eye ? [faceSpot(scene, sighting, eye.landmark, eye.seen)] : [];
}

function faceSpot(
	scene: Scene,
	{ person }: Sighting,
	landmark: Landmark,
	seen: CameraPoint
): FocusSpot {
	return {
		kind: landmarkFacts(landmark).isEye ? 'eye' : 'landmark',
		personId: person.id,
		thingId: null,
		landmark,
		seen,
		planeM: planeThrough(scene.optic, seen.depthM, seen.cosOffAxis),
		isKey: person.need === 'key',
		leanM: null
	};
}

function thingSpot(scene: Scene, thingId: string, seen: CameraPoint): FocusSpot {
	return {
		kind: 'thing',
		personId: null,
		thingId,
		landmark: null,
		seen,
		planeM: planeThrough(scene.optic, seen.depthM, seen.cosOffAxis),
		isKey: false,
		leanM: null
	};
}

/** A fixed depth is the focused depth on the axis itself. */
function depthSpot(depthM: number): FocusSpot {
	return {
		kind: 'depth',
		personId: null,
		thingId: null,
		landmark: null,
		seen: { depthM, rightM: 0, upM: 0, distanceM: depthM, cosOffAxis: 1 },
		planeM: depthM,
		isKey: false,
		leanM: null
	};
}

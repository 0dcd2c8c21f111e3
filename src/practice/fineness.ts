import { dot, type Vec3 } from '$core/geometry/vector';
import { MOST_SAMPLES } from '../preview/lens/aperture';
import { discPx, samplesForDisc } from '../preview/lens/samples';
import { outsideOf, reaches, type Outside } from '../preview/render/reach';
import { wallAtM } from '../preview/places';
import type { Figure, PreviewThing, Subject } from '../preview/scene';

/** How finely a part of a frame is drawn: what is blurred needs fewer pixels, what is sharp fewer glimpses. */
export interface Fineness {
	/** Glimpses that are added up. */
	readonly glimpses: number;
	/** Pixels of the frame across one that is drawn. */
	readonly coarseness: number;
}

/** How far a face and a body reach before and behind the eyes, m. */
const FACE_M = 0.1;
const BODY_M = 0.35;
/** Half the side of a square around the eyes that holds a head, m. */
const HEAD_M = 0.25;
/** Fewer leave edges rough: on faces that would be seen, on charts measured. */
const LEAST_GLIMPSES = 8;
const LEAST_ON_FACES = 16;
const LEAST_ON_CHARTS = 64;
/** Besides faces, which are looked at closely, there may be so many; a few more where nobody is seen. */
const MOST_BESIDES = 32;
const MOST_ALONE = 64;
/** Neighbours may lie this far apart in the blur of what is no face, px. */
const BESIDES_APART_PX = 2;
/** Across the blur of a face no more than so many are needed, however wide it is. */
const MOST_ACROSS_FACES = 12;
/** The least blur is so many drawn pixels wide: drawing it coarsely adds a fiftieth to it. */
const LEAST_DISC_DRAWN = 10;
const MOST_COARSENESS = 8;

/** Discs of blur of what a part of a frame shows, px; `least` is Infinity where it is all smooth. */
interface Discs {
	readonly least: number;
	readonly most: number;
}

const NOTHING: Discs = { least: Infinity, most: 0 };

/** How finely a part is drawn that shows this. */
export function finenessOf(subject: Subject): Fineness {
	const { window, widthPx, streakMm = 0 } = subject;
	const streakPx = (streakMm * widthPx) / window.widthMm;
	const outside = outsideOf(subject);
	const figures = subject.scene.figures.filter((figure) => reaches(figure, outside));
	const heads = figures
		.map(({ head }) => head.origin)
		.filter((centre) => squareReaches(centre, HEAD_M, outside));
	const faces = together(heads.map(({ z }) => discsBetween(subject, z - FACE_M, z + FACE_M)));
	const things = subject.scene.things.filter((thing) => thingReaches(thing, outside));
	const shows = (look: PreviewThing['look']) => things.some((thing) => thing.look === look);
	const besides = together([
		floorDiscs(subject),
		...figures.map((figure) => discsOfBody(subject, figure)),
		...things
			.filter(({ look }) => look !== 'lights')
			.map(({ centre }) => discsBetween(subject, centre.z - 0.01, centre.z + 0.01))
	]);
	const low = shows('chart') ? LEAST_ON_CHARTS : heads.length > 0 ? LEAST_ON_FACES : LEAST_GLIMPSES;
	const still = samplesForDisc(Math.min(faces.most, MOST_ACROSS_FACES));
	const moving = still + Math.ceil((faces.most + 1) * streakPx);
	const forBesides = samplesForDisc(besides.most / BESIDES_APART_PX);
	const mostBesides = figures.length > 0 ? MOST_BESIDES : MOST_ALONE;
	const least = Math.min(faces.least, besides.least);
	return {
		glimpses: Math.min(MOST_SAMPLES, Math.max(low, moving, Math.min(mostBesides, forBesides))),
		// discs of light have sharp edges, however wide they are
		coarseness: shows('lights')
			? 1
			: Math.min(MOST_COARSENESS, Math.max(1, Math.floor(least / LEAST_DISC_DRAWN)))
	};
}

const together = (all: readonly Discs[]): Discs =>
	all.reduce(
		(sum, one) => ({
			least: Math.min(sum.least, one.least),
			most: Math.max(sum.most, one.most)
		}),
		NOTHING
	);

const discsOfBody = (subject: Subject, { head, eyeHeightM, body }: Figure): Discs => {
	// somebody seen from above or below has their feet elsewhere
	const feetM = head.origin.z - eyeHeightM * body.up.z;
	const [nearM, farM] = [Math.min(head.origin.z, feetM), Math.max(head.origin.z, feetM)];
	return discsBetween(subject, nearM - BODY_M, farM + BODY_M);
};

/** Blur between two depths: none where the focus lies between. */
function discsBetween(subject: Subject, nearM: number, farM: number): Discs {
	const { focus } = subject.setting;
	if (farM <= 0) return NOTHING;
	const ends = [discPx(subject, nearM, 1), discPx(subject, farM, 1)];
	const isWithin = focus.fieldCurvature !== 0 || (focus.planeM > nearM && focus.planeM < farM);
	return { least: isWithin ? 0 : Math.min(...ends), most: Math.max(...ends) };
}

/** Blur of the floor as far as it is seen, and of what closes the view; above the horizon all is smooth without that. */
function floorDiscs(subject: Subject): Discs {
	const { scene, setting, window } = subject;
	const { up, origin } = scene.ground;
	const { imageDistanceMm } = setting.focus;
	const wallM = wallAtM(scene.place);
	const depths = [-1, 1].flatMap((side) =>
		[-1, 1].map((level) => {
			const ray = {
				x: (window.x + (side * window.widthMm) / 2) / imageDistanceMm,
				y: (window.y + (level * window.heightMm) / 2) / imageDistanceMm,
				z: 1
			};
			const along = dot(origin, up) / dot(ray, up);
			return Math.min(wallM, along > 0 ? along : Infinity);
		})
	);
	const nearM = Math.min(...depths);
	return nearM === Infinity ? NOTHING : discsBetween(subject, nearM, Math.max(...depths));
}

function thingReaches({ centre, widthM, heightM }: PreviewThing, outside: Outside): boolean {
	// a chart may hang aslant
	return squareReaches(centre, Math.max(widthM, heightM) / 2, outside);
}

function squareReaches({ x, y, z }: Vec3, halfM: number, outside: Outside): boolean {
	let common = 31;
	for (const right of [-halfM, halfM]) {
		for (const up of [-halfM, halfM]) common &= outside(x + right, y + up, z);
	}
	return common === 0;
}

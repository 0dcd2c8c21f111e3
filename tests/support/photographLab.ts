import { unseenOf } from '$core/anatomy/sight';
import type { Shot, ShotInput } from '$core/format/shot';
import { readShot } from '$core/format/shotFile';
import { cameraPose, seenFrom } from '$core/geometry/camera';
import { chanceOf } from '$core/odds/chanceOf';
import { fitHead } from '$core/photograph/fitHead';
import { lensOf } from '$core/photograph/lensOf';
import { stageOf } from '$core/photograph/stage';
import { standingOf, type StandingHead } from '$core/photograph/standing';
import { solve } from '$core/study/plan';
import { lookAt } from '$core/study/scene';
import { isHuman, type Build } from '$core/tables/heads';
import { ASSUMED } from '$core/tables/spreads';
import { isBehind, nearest, placesOf, pointedAt } from './facePlaces';
import { emptyScene, randomGroup } from './randomGroups';
import { sampleDay } from '$data/sample/sampleDay';
import { faceModels } from '../../src/photograph/faces/models';
import { lookFor, type SeenFace } from '../../src/photograph/lookFor';
import { openPicture } from '../../src/photograph/read/openPicture';
import { develop } from '../../src/practice/develop';
import { framesOf } from '../../src/practice/roll';
import { Studio } from '../../src/preview/render/studio';

/** Runs in a page: takes a practice frame, looks at it as at any photograph, and compares with what is true. */

/** One person of a frame: what is true, and what was found. */
export interface Compared {
	readonly id: string;
	/** From ear to ear, px. */
	readonly earsPx: number;
	/** Whole in the picture, and with nobody before them. */
	readonly isToBeFound: boolean;
	readonly depthM: number;
	readonly turnDeg: number;
	/** From the front, from 1; 0 where none is said. */
	readonly row: number;
	readonly found: StandingHead | null;
	/** By the size of the head alone. */
	readonly fittedM: number | null;
}

/** What a plan says, so that it can be said of either. */
interface Said {
	readonly whom: string | null;
	readonly eye: string | null;
	readonly fNumber: number | null;
}

export interface Trip {
	readonly people: readonly Compared[];
	/** Faces that are nobody's. */
	readonly others: number;
	readonly asked: Said;
	readonly cameBack: Said;
	readonly measuredFNumber: number | null;
	readonly msToLook: number;
}

const ALONE = { breathe: () => Promise.resolve(), tell: () => undefined };
let studio: Studio | null = null;

async function photographOf(shot: Shot, longSidePx: number, seed: number) {
	studio ??= new Studio(new OffscreenCanvas(1, 1));
	const order = {
		shot,
		own: {},
		frames: 1,
		seed,
		spreads: ASSUMED,
		longSidePx,
		localMs: Date.UTC(2026, 4, 1, 15, 30),
		offsetMinutes: 120,
		firstNumber: 1
	};
	const [frame] = framesOf(order);
	if (!frame) throw new Error('no frame');
	const { jpeg } = await develop(studio, order, frame, ALONE);
	return { jpeg, stood: frame.release.shot };
}

async function look(jpeg: Blob) {
	const models = await faceModels();
	const startedAt = performance.now();
	const opening = await openPicture(jpeg);
	if (!opening.ok) throw new Error(opening.problem);
	const seen = await lookFor(models, opening.picture, ALONE);
	return { seen, ms: performance.now() - startedAt };
}

function saidOf(shot: Shot): Said & { readonly place: Shot['people'][number] | undefined } {
	const { plan } = solve(shot, chanceOf(ASSUMED));
	const whom = plan.focus?.personId ?? null;
	return {
		whom,
		eye: plan.focus?.landmark ?? null,
		fNumber: plan.fNumber,
		place: shot.people.find(({ id }) => id === whom)
	};
}

export const photographLab = {
	sampleTitles: () => sampleDay(0).shots.map(({ shot }) => shot.title),

	/** A shot, or one of the sample day by its title: taken, looked at, and planned from that. */
	async trip(from: ShotInput | string, longSidePx: number, seed: number): Promise<Trip> {
		const shot = typeof from === 'string' ? sampleShot(from) : read(from);
		const { jpeg, stood } = await photographOf(shot, longSidePx, seed);
		const { seen, ms } = await look(jpeg);
		const lens = lensOf(seen.facts, seen.size, [shot.body]);
		if (!lens) throw new Error('the file does not say its lens');
		const places = placesOf(stood, lens.focalPx, seen.size);
		const whose = seen.faces.map((face) => nearest(places, face));
		// a photographer says who is a child, and drops whom nobody knows
		const known = seen.faces.flatMap((face, i) => {
			const place = whose[i];
			return place ? [{ face, place, build: place.build }] : [];
		});
		// and points at the eyes of an animal
		const heads = [
			...known,
			...places
				.filter((place) => !isHuman(place.build) && !whose.includes(place))
				.map((place) => ({ face: pointedAt(place, seen.size), place, build: place.build }))
		];
		const standing = standingOf(
			heads.map(({ face, build }) => ({ ...face, build })),
			lens
		);
		const unseen = new Set(unseenOf(lookAt(stood).sightings).map(({ personId }) => personId));
		const people = places.map((place): Compared => {
			const earsPx = 0.14 * place.pxPerM;
			const isInside =
				Math.min(place.x, seen.size.widthPx - place.x, place.y, seen.size.heightPx - place.y) >
				0.8 * earsPx;
			const i = heads.findIndex((head) => head.place === place);
			const head = heads[i];
			return {
				id: place.id,
				earsPx,
				isToBeFound:
					isInside && !unseen.has(place.id) && !places.some((other) => isBehind(place, other)),
				depthM: place.depthM,
				turnDeg: place.turnDeg,
				row: place.row,
				found: standing[i] ?? null,
				fittedM: head ? (fitHead(head.face, lens.focalPx, head.build)?.depthM ?? null) : null
			};
		});
		const staged = standing.flatMap((one, i) =>
			one ? [{ standing: one, build: buildOf(heads, i) }] : []
		);
		const plain = stageOf(
			{ ...shot, people: [], things: [] },
			staged,
			{ size: seen.size, focalPx: lens.focalPx },
			{ body: shot.body, lens: shot.lens, focalMm: shot.camera.focalMm, isFramedAlike: false }
		);
		const toPlace = (from: Shot, person: Shot['people'][number]) => {
			const { rightM, upM, depthM } = seenFrom(
				cameraPose(from.camera, from.body.sensor),
				person.eyeMidpoint
			);
			return nearest(places, {
				x: seen.size.widthPx / 2 + (lens.focalPx * rightM) / depthM,
				y: seen.size.heightPx / 2 - (lens.focalPx * upM) / depthM
			});
		};
		// what is wished of each is the photographer's, and in no photograph
		const back = {
			...plain,
			choices: shot.choices,
			people: plain.people.map((person) => {
				const asked = shot.people.find(({ id }) => id === toPlace(plain, person)?.id);
				return asked
					? { ...person, need: asked.need, keep: asked.keep, motion: asked.motion }
					: person;
			})
		};
		const cameBack = saidOf(back);
		const asked = saidOf({ ...shot, things: [] });
		const same = cameBack.place && toPlace(back, cameBack.place);
		return {
			people,
			others: whose.filter((one) => one === null).length,
			asked: { whom: asked.whom, eye: asked.eye, fNumber: asked.fNumber },
			cameBack: { whom: same?.id ?? null, eye: cameBack.eye, fNumber: cameBack.fNumber },
			measuredFNumber: saidOf({
				...back,
				people: back.people.map((person) => ({ ...person, depthSigmaM: 0 }))
			}).fNumber,
			msToLook: ms
		};
	},

	/** A random group; what is true of heads that differ in size is told as such. */
	async group(seed: number, sizes: boolean, longSidePx: number): Promise<Trip> {
		const { shot, stood } = randomGroup(seed, sizes);
		const trip = await photographLab.trip(shot, longSidePx, seed);
		const people = trip.people.map((one) => {
			const size = stood.find(({ id }) => id === one.id)?.size ?? 1;
			return { ...one, depthM: one.depthM * size };
		});
		return { ...trip, people };
	},

	/** How many faces are found in a picture of things alone. */
	async empty(seed: number, longSidePx: number): Promise<number> {
		const { jpeg } = await photographOf(read(emptyScene(seed)), longSidePx, seed);
		return (await look(jpeg)).seen.faces.length;
	},

	/** A practice frame of a shot of the sample day, in base64. */
	async file(title: string, longSidePx: number): Promise<string> {
		const { jpeg } = await photographOf(sampleShot(title), longSidePx, 1);
		const bytes = new Uint8Array(await jpeg.arrayBuffer());
		return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
	},

	/** The faces in a file, given in base 64; places in px from the top left. */
	async faces(
		base64: string
	): Promise<
		readonly (SeenFace & { readonly eyes: readonly { landmark: string; x: number; y: number }[] })[]
	> {
		const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
		const { seen } = await look(new Blob([bytes]));
		return seen.faces.map((face) => ({
			...face,
			eyes: face.landmarks
				.filter(({ landmark }) => landmark.endsWith('eye'))
				.map(({ landmark, x, y }) => ({
					landmark,
					x: x + seen.size.widthPx / 2,
					y: seen.size.heightPx / 2 - y
				}))
		}));
	}
};

const buildOf = (heads: readonly { readonly build: Build }[], i: number): Build =>
	heads[i]?.build ?? 'adult';

function read(input: ShotInput): Shot {
	const reading = readShot(input);
	if (!reading.ok) throw new Error(reading.message);
	return reading.shot;
}

function sampleShot(title: string): Shot {
	const found = sampleDay(0).shots.find(({ shot }) => shot.title.includes(title));
	if (!found) throw new Error(`no sample is called ${title}`);
	return found.shot;
}

Object.assign(globalThis, { photographLab });

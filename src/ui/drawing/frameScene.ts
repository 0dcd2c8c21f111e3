import { frameSceneText as say } from '$words/screens/drawing';
import { headPoint, landmarkPoint } from '$core/anatomy/head';
import { pictureOutline, type Flat, type Outline } from '$core/anatomy/outline';
import type { Sighting } from '$core/anatomy/sight';
import { headSize, isHuman } from '$core/tables/heads';
import type { Offset } from '$core/tables/landmarks';
import type { State } from '$core/format/plan';
import type { Person, Thing } from '$core/format/shot';
import { seenFrom, sensorPoint } from '$core/geometry/camera';
import { dot, subtract, type Vec3 } from '$core/geometry/vector';
import type { Scene } from '$core/study/scene';
import { seenShareWords } from '$words/numbers';
import { hexOf, lookOf } from '../../preview/looks';
import { imageMmOf, type Drawable } from './drawable';

/** What the camera sees, as a drawing in mm on the sensor: the origin in the middle, y down. */

export interface DrawnEye extends Flat {
	readonly landmark: 'left-eye' | 'right-eye';
	readonly isVisible: boolean;
	/** Null for an eye nothing is asked of. */
	readonly state: State | null;
}

export interface DrawnHead {
	readonly kind: 'head';
	readonly id: string;
	readonly name: string;
	readonly depthM: number;
	readonly skull: Outline;
	/** The bare part of the head; null when it is turned away. */
	readonly face: Outline | null;
	readonly nose: Flat | null;
	readonly ears: readonly Flat[];
	readonly eyes: readonly DrawnEye[];
	/** Neck and shoulders; null for animals. */
	readonly shoulders: string | null;
	readonly isAnimal: boolean;
	/** As in the rendered picture: "#e9c6a8". An animal’s hair is its fur. */
	readonly colours: { readonly skin: string; readonly hair: string; readonly cloth: string };
}

export interface DrawnThing {
	readonly kind: 'thing';
	readonly id: string;
	readonly label: string;
	readonly look: Thing['look'];
	readonly depthM: number;
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
	readonly met: boolean | null;
	/** How much of it is seen, where that is not nearly all: "a third seen", "hidden". */
	readonly seen: string;
}

export type Drawn = DrawnHead | DrawnThing;

/** Everything in front of the camera, the farthest first, so that nearer ones cover it. */
export function drawFrame(drawable: Drawable): Drawn[] {
	const { scene, plan } = drawable;
	const imageMm = imageMmOf(drawable);
	const heads = scene.sightings.flatMap(
		(sighting) => drawHead(scene, plan, sighting, imageMm) ?? []
	);
	const things = scene.things.flatMap(({ thing, seen, inFrame, hiddenShare }): DrawnThing[] => {
		if (!inFrame) return [];
		const centre = sensorPoint(seen, imageMm);
		const width = (thing.widthM * imageMm) / seen.depthM;
		const height = (thing.heightM * imageMm) / seen.depthM;
		const met = plan?.things.find(({ id }) => id === thing.id)?.met ?? null;
		// how much shows matters where something is asked
		const isAsked = thing.intent !== 'any' && thing.intent !== 'dissolved';
		const part = isAsked ? seenShareWords(hiddenShare()) : '';
		return [
			{
				kind: 'thing',
				id: thing.id,
				label: thing.label,
				look: thing.look,
				depthM: seen.depthM,
				x: centre.x - width / 2,
				y: centre.y - height / 2,
				width,
				height,
				met,
				seen: part === '' || part === 'hidden' ? part : say.seen(part)
			}
		];
	});
	return [...heads, ...things].sort((a, b) => b.depthM - a.depthM);
}

function drawHead(
	scene: Scene,
	plan: Drawable['plan'],
	sighting: Sighting,
	imageMm: number
): DrawnHead | null {
	const { pose } = scene;
	const { head, person, eyes } = sighting;
	const { skullCentre, skullHalfAxes } = head.measures;
	const skull = pictureOutline(pose, head, skullCentre, skullHalfAxes, imageMm);
	if (!skull) return null;
	const project = (point: Vec3): Flat => sensorPoint(seenFrom(pose, point), imageMm);
	const isAnimal = !isHuman(person.build);
	const facesUs = dot(head.out, subtract(pose.position, head.origin)) > 0;
	const face = facesUs
		? pictureOutline(pose, head, ...faceOf(skullCentre, skullHalfAxes), imageMm)
		: null;
	const nose = landmarkPoint(head, 'nose-tip');
	return {
		kind: 'head',
		id: person.id,
		name: person.name,
		depthM: seenFrom(pose, head.origin).depthM,
		skull,
		face,
		nose: facesUs ? project(nose) : null,
		ears: isAnimal
			? (['left-ear', 'right-ear'] as const).map((ear) => project(landmarkPoint(head, ear)))
			: [],
		eyes: eyes.map(({ landmark, lost }) => ({
			...project(landmarkPoint(head, landmark)),
			landmark,
			isVisible: lost === null,
			state:
				plan?.targets.find((t) => t.personId === person.id && t.landmark === landmark)?.state ??
				null
		})),
		shoulders: isAnimal ? null : shouldersOf(sighting, project),
		isAnimal,
		colours: coloursOf(person)
	};
}

/** Somebody who stays looks the same at every move of another. */
const knownColours = new WeakMap<Person, DrawnHead['colours']>();

function coloursOf(person: Person): DrawnHead['colours'] {
	const known = knownColours.get(person);
	if (known) return known;
	const { skin, hair, cloth } = lookOf(person.id, person.build).colours;
	const colours = { skin: hexOf(skin), hair: hexOf(hair), cloth: hexOf(cloth) };
	knownColours.set(person, colours);
	return colours;
}

/** The face as a smaller ellipsoid set into the front of the skull. */
function faceOf([left, up, out]: Offset, [wide, high, deep]: Offset): [Offset, Offset] {
	return [
		[left, up - high * 0.14, out + deep * 0.25],
		[wide * 0.86, high * 0.84, deep * 0.8]
	];
}

/** Neck and shoulders under a head, level whatever the head does, mm of an adult; down to the ground. */
const BODY: readonly (readonly [aside: number, down: number])[] = [
	[-50, 80],
	[-56, 185],
	[-140, 215],
	[-215, 240],
	[-240, 430],
	[240, 430],
	[215, 240],
	[140, 215],
	[56, 185],
	[50, 80]
];

function shouldersOf({ head, person }: Sighting, project: (point: Vec3) => Flat): string {
	const size = headSize(person.build) / 1000;
	const centre = headPoint(head, head.measures.skullCentre);
	const aside = Math.hypot(head.left.x, head.left.z) || 1;
	const half = BODY.length / 2;
	const feet = Math.max(600, centre.y / size);
	const outline = [...BODY.slice(0, half), [-235, feet], [235, feet], ...BODY.slice(half)] as const;
	const points = outline.map(([across, down]) =>
		project({
			x: centre.x + (head.left.x / aside) * across * size,
			y: centre.y - down * size,
			z: centre.z + (head.left.z / aside) * across * size
		})
	);
	return roundedPath(points);
}

/** A closed path that rounds every corner: it goes through the middles between the points. */
function roundedPath(points: readonly Flat[]): string {
	const round = (mm: number) => Math.round(mm * 1000) / 1000;
	const words = ({ x, y }: Flat) => `${round(x)} ${round(y)}`;
	const middles = points.map((point, i) => {
		const next = points[(i + 1) % points.length] as Flat;
		return { x: (point.x + next.x) / 2, y: (point.y + next.y) / 2 };
	});
	const curves = points.map((point, i) => `Q${words(point)} ${words(middles[i] as Flat)}`);
	return `M${words(middles.at(-1) as Flat)}${curves.join('')}Z`;
}

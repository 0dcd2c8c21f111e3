import type { Person, Shot, Thing } from '$core/format/shot';
import { HEADS } from '$core/tables/heads';

/**
 * The model once more, as directly as it can be written: matrices for the geometry, every pair tried,
 * extremes by search instead of formulas. It shares with the program only the table of heads.
 */

type V = readonly [number, number, number];
const add = (a: V, b: V, k = 1): V => [a[0] + k * b[0], a[1] + k * b[1], a[2] + k * b[2]];
const dot = (a: V, b: V) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const rad = (deg: number) => (deg * Math.PI) / 180;
const vec = ({ x, y, z }: { x: number; y: number; z: number }): V => [x, y, z];

/** Rodrigues' rotation of a vector about a unit axis, right-handed. */
function rotate(v: V, k: V, angle: number): V {
	const cross: V = [
		k[1] * v[2] - k[2] * v[1],
		k[2] * v[0] - k[0] * v[2],
		k[0] * v[1] - k[1] * v[0]
	];
	const turned = add(add([0, 0, 0], v, Math.cos(angle)), cross, Math.sin(angle));
	return add(turned, k, dot(k, v) * (1 - Math.cos(angle)));
}

/** A point in the camera's own coordinates: right, up, depth. */
function inCamera({ camera }: Shot, point: V): V {
	const from = add(point, vec(camera.position), -1);
	const unpanned = rotate(from, [0, 1, 0], -rad(camera.panDeg));
	return rotate(unpanned, [1, 0, 0], rad(camera.tiltDeg));
}

interface HeadAxes {
	readonly left: V;
	readonly up: V;
	readonly out: V;
}

function axesOf({ camera }: Shot, person: Person): HeadAxes {
	const { x, z } = person.eyeMidpoint;
	const heading = Math.atan2(camera.position.x - x, camera.position.z - z) - rad(person.turnDeg);
	const turn = (v: V) => rotate(v, [0, 1, 0], heading);
	// a face that looks along +z has its left at -x in this left-handed world
	const [level, side] = [turn([0, 0, 1]), turn([-1, 0, 0])];
	const nod = (v: V) => rotate(v, side, -rad(person.nodDeg));
	const [out, raised] = [nod(level), nod([0, 1, 0])];
	const lean = (v: V) => rotate(v, out, rad(person.leanDeg));
	return { left: lean(side), up: lean(raised), out };
}

const place = (person: Person, axes: HeadAxes, [left, up, out]: V): V =>
	add(
		add(add(vec(person.eyeMidpoint), axes.left, left / 1000), axes.up, up / 1000),
		axes.out,
		out / 1000
	);

/** Whether the straight way from a to b comes inside a head: the least of a convex function, by search. */
function passesThrough(person: Person, axes: HeadAxes, a: V, b: V): boolean {
	const { skullCentre, skullHalfAxes } = HEADS[person.build];
	const centre = place(person, axes, skullCentre);
	const inside = (t: number) => {
		const off = add(add(a, add(b, a, -1), t), centre, -1);
		return [axes.left, axes.up, axes.out].reduce(
			(sum, axis, i) => sum + ((1000 * dot(off, axis)) / (skullHalfAxes[i] as number)) ** 2,
			0
		);
	};
	return inside(leastAt(inside, 0, 1)) < 1;
}

function isBehind(shot: Shot, thing: Thing, eye: V): boolean {
	const at = inCamera(shot, vec(thing.position));
	const seen = inCamera(shot, eye);
	if (!(at[2] > 0 && at[2] < seen[2])) return false;
	const share = at[2] / seen[2];
	return (
		Math.abs(seen[0] * share - at[0]) <= thing.widthM / 2 &&
		Math.abs(seen[1] * share - at[1]) <= thing.heightM / 2
	);
}

/** Where a function with one valley is least, by thirds. */
function leastAt(f: (x: number) => number, low: number, high: number): number {
	for (let i = 0; i < 200; i++) {
		const third = (high - low) / 3;
		if (f(low + third) < f(high - third)) high -= third;
		else low += third;
	}
	return (low + high) / 2;
}

const imageMm = (f: number, depthM: number) => 1 / (1 / f - 1 / (depthM * 1000));

function sides({ camera, body }: Shot): [number, number] {
	const { widthMm, heightMm } = body.sensor;
	return camera.orientation === 'portrait' ? [heightMm, widthMm] : [widthMm, heightMm];
}

function inFrame(shot: Shot, [x, y, depth]: V): boolean {
	const f = shot.camera.focalMm;
	if (depth * 1000 <= f) return false;
	const [w, h] = sides(shot);
	const v = imageMm(f, depth);
	return Math.abs((v * x) / depth) <= w / 2 && Math.abs((v * y) / depth) <= h / 2;
}

export interface Point {
	readonly owner: string;
	readonly landmark: string;
	readonly seen: V;
	readonly factor: number;
	readonly isKey: boolean;
}

interface Seen {
	readonly person: Person;
	readonly points: Point[];
	readonly near: Point | null;
}

const FACTOR = { key: 1, sharp: 1, soft: 8, free: NaN };

export function look(shot: Shot): Seen[] {
	const camera = vec(shot.camera.position);
	const all = shot.people.map((person) => ({ person, axes: axesOf(shot, person) }));
	return all.map(({ person, axes }) => {
		const head = HEADS[person.build];
		const toCamera = add(camera, vec(person.eyeMidpoint), -1);
		const size = Math.sqrt(dot(toCamera, toCamera));
		const aside = Math.atan2(dot(toCamera, axes.left), dot(toCamera, axes.out));
		const angle = Math.abs((aside * 180) / Math.PI);
		const point = (landmark: string, offset: V, factor: number): Point => ({
			owner: person.id,
			landmark,
			seen: inCamera(shot, place(person, axes, offset)),
			factor: FACTOR[person.need] * factor,
			isKey: person.need === 'key'
		});
		const eyes = [1, -1].flatMap((side) => {
			const offset: V = [side * head['left-eye'][0], head['left-eye'][1], head['left-eye'][2]];
			const isFar = side * aside < 0;
			const loose = isFar && angle > 45 ? 2 ** ((angle - 45) / 5) : 1;
			const eye = point(side > 0 ? 'left-eye' : 'right-eye', offset, loose);
			const world = place(person, axes, offset);
			const turned = dot(toCamera, axes.out) / size < Math.cos(rad(105)) || (isFar && angle > 55);
			const hidden =
				all.some(
					(one) => one.person !== person && passesThrough(one.person, one.axes, camera, world)
				) ||
				shot.things.some(
					(thing) =>
						['wall', 'object', 'crowd'].includes(thing.look) && isBehind(shot, thing, world)
				);
			return inFrame(shot, eye.seen) && !turned && !hidden ? [eye] : [];
		});
		const [leftEye, rightEye] = eyes;
		const rightIsNear = leftEye && rightEye && rightEye.seen[2] < leftEye.seen[2] - 1e-9;
		const near = (rightIsNear ? rightEye : leftEye) ?? null;
		const rest = [
			point('nose-tip', head['nose-tip'], Math.SQRT2),
			point('chin', head.chin, Math.SQRT2),
			point('hairline', head.hairline, Math.SQRT2)
		];
		const kept = person.keep === 'near-eye' ? eyes.filter((eye) => eye === near) : eyes;
		const points = person.keep === 'face' && near ? [...kept, ...rest] : kept;
		return { person, near, points: person.need === 'free' ? [] : points };
	});
}

/** Focus on the axis and the ratio of every target at an f-number, straight from the formulas. */
export function ratioAt(shot: Shot, tolerance: number, s: number, n: number, point: Point): number {
	const f = shot.camera.focalMm;
	const [x, y, depth] = point.seen;
	const cos = depth / Math.sqrt(x * x + y * y + depth * depth);
	const surface = s * (1 - shot.lens.fieldBend * (1 - cos));
	const c = ((f / n) * imageMm(f, s) * Math.abs(1 / depth - 1 / surface)) / 1000;
	return c / (point.factor * tolerance);
}

export function bruteForce(shot: Shot, tolerance: number) {
	const seen = look(shot);
	const thingPoint = (thing: Thing): Point => ({
		owner: thing.id,
		landmark: 'thing',
		seen: inCamera(shot, vec(thing.position)),
		factor: 1,
		isKey: false
	});
	const sharpThings = shot.things.filter(({ intent }) => intent === 'sharp').map(thingPoint);
	const targets = [...seen.flatMap(({ points }) => points), ...sharpThings];
	const eyesOf = (needs: readonly string[]) =>
		seen.flatMap(({ person, near }) => (near && needs.includes(person.need) ? [near] : []));
	const first = [...eyesOf(['key', 'sharp']), ...sharpThings];
	const candidates = (first.length > 0 ? first : eyesOf(['soft'])).filter(
		({ seen: [, , depth] }) => depth >= shot.lens.closestFocusM
	);
	const worst = (s: number, n: number, of = targets) =>
		Math.max(0, ...of.map((target) => ratioAt(shot, tolerance, s, n, target)));
	const planeOf = ({ seen: [x, y, depth] }: Point) => {
		const cos = depth / Math.sqrt(x * x + y * y + depth * depth);
		return depth / (1 - shot.lens.fieldBend * (1 - cos));
	};
	const offCentre = ({ seen: [x, y, depth] }: Point) =>
		(imageMm(shot.camera.focalMm, depth) / depth) * Math.sqrt(x * x + y * y);

	const ladder: number[] = [];
	const [widest] = shot.lens.widestFNumber;
	for (let i = -6; i < 60; i++) {
		const n = 2 ** (i / 6);
		if (n >= 0.97 * widest && n <= 1.03 * shot.lens.smallestFNumber) ladder.push(n);
	}
	const keys = targets.filter(({ isKey }) => isKey);
	const pairsOf = (places: readonly { s: number; candidate: Point }[]) =>
		ladder.flatMap((n) =>
			places.map(({ s, candidate }) => ({
				n,
				s,
				candidate,
				worst: worst(s, n),
				key: Math.max(1, worst(s, n, keys))
			}))
		);
	const depths = targets.map(planeOf);
	const free =
		targets.length > 0
			? leastAt((s) => worst(s, 1), Math.min(...depths) * 0.999, Math.max(...depths) * 1.001)
			: null;
	const own = pairsOf(candidates.map((candidate) => ({ s: planeOf(candidate), candidate })));
	const { closestFocusM, smallestFNumber } = shot.lens;
	const isBetween =
		own.every((pair) => pair.worst > 1) &&
		free !== null &&
		free >= closestFocusM &&
		worst(free, 1) <= smallestFNumber;
	/** What one locks on before leaning: the near eye or thing nearest in depth to the plane. */
	const lock = [
		...seen.flatMap(({ near, points }) => (near && points.length > 0 ? [near] : [])),
		...sharpThings
	]
		.filter(({ seen: [, , depth] }) => depth >= closestFocusM)
		.toSorted((a, b) => Math.abs(a.seen[2] - (free ?? 0)) - Math.abs(b.seen[2] - (free ?? 0)))[0];
	const pairs = isBetween && lock ? pairsOf([{ s: free, candidate: lock }]) : own;
	const margin = 2 ** (shot.choices.safetyStops / 2);
	const ok = [margin, 1]
		.map((m) => pairs.filter((pair) => pair.worst * m <= 1))
		.find((p) => p.length);
	const ranked = pairs.toSorted((a, b) => a.key - b.key || a.worst - b.worst);
	const n = ok ? Math.min(...ok.map((pair) => pair.n)) : ranked[0]?.n;
	const left = (ok ?? pairs).filter(
		(pair) => pair.n === n && (ok || Math.abs(pair.key - (ranked[0]?.key ?? 0)) < 1e-9)
	);
	const lowest = Math.min(...left.map((pair) => pair.worst));
	const pick = left
		.filter((pair) => pair.worst <= Math.max(1.05 * lowest, 0.02))
		.toSorted(
			(a, b) =>
				Number(b.candidate.isKey) - Number(a.candidate.isKey) ||
				offCentre(a.candidate) - offCentre(b.candidate)
		)[0];
	return {
		targets,
		pick: pick ?? null,
		feasible: ok !== undefined,
		isBetween,
		ladder,
		pairs,
		free,
		worst
	};
}

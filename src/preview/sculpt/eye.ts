import { openness, slopeOf, type Clay, type Tint } from './clay';
import { complexion, EYEBALL_MM, eyeballCentre, onFace, type Detail } from './face';
import { unit, type Point, type Shape } from './shape';

/** Eyes with lids, lashes and brows: what one looks at to judge whether a face is sharp. */

export interface EyeMake {
	readonly eye: Point;
	readonly ballMm: number;
	readonly irisMm: number;
	/** Half sides of the pupil: a cat's is a slit. */
	readonly pupilMm: readonly [across: number, up: number];
	/** How far the opening reaches above, below and to the sides, degrees seen from the eyeball. */
	readonly open: readonly [above: number, below: number, aside: number];
	/** Whether the upper lid lies on the lower one; pupil and gaze stay behind it. */
	readonly isShut: boolean;
	readonly lid: Tint['matter'];
	readonly socket: Socket;
	/** What the face is made of at a point. */
	readonly skin: (point: Point) => Tint;
}

export const HUMAN_EYE: Omit<EyeMake, 'eye' | 'isShut'> = {
	ballMm: EYEBALL_MM,
	irisMm: 6.3,
	pupilMm: [2.4, 2.4],
	open: [23, 22, 56],
	lid: 'skin',
	socket: { above: 16, below: 20, toNose: 19, toTemple: 24 },
	skin: complexion
};

const LID_MM = 1;
const rad = Math.PI / 180;

/** A point of a ball around the eye's middle, by its angles to the side and upwards. */
function onBall(make: EyeMake, radius: number, aside: number, up: number): [Point, Point] {
	const [cx, cy, cz] = eyeballCentre(make.eye, make.ballMm);
	const normal: Point = [
		Math.sin(aside * rad) * Math.cos(up * rad),
		Math.sin(up * rad),
		Math.cos(aside * rad) * Math.cos(up * rad)
	];
	return [[cx + radius * normal[0], cy + radius * normal[1], cz + radius * normal[2]], normal];
}

/** How far down the lids meet, of how far the open eye reaches, and what is left between them, degrees. */
const SHUT_SHARE = 0.8;
const SHUT_GAP_DEG = 1;

/** The edge of a lid at an angle to the side, degrees up; the outer corner lies a little higher. */
function lidEdge(make: EyeMake, isUpper: boolean, aside: number): number {
	const [above, below, reach] = make.open;
	const outwards = aside * Math.sign(make.eye[0]);
	const t = Math.min(1, Math.abs(aside) / reach);
	const round = (1 - t ** 2.2) ** 0.75;
	const shutUp = SHUT_GAP_DEG - SHUT_SHARE * below;
	const [top, bottom] = make.isShut ? [shutUp, -SHUT_SHARE * below] : [above, -below];
	return (isUpper ? top : bottom) * round + outwards * 0.05;
}

/** Adds both eyes. */
export function addEyes(clay: Clay, make: EyeMake, face: Shape, detail: Detail): void {
	for (const side of [1, -1] as const) {
		const own = { ...make, eye: [side * make.eye[0], make.eye[1], make.eye[2]] as const };
		addBall(clay, own, detail);
		addLids(clay, own, face, detail);
		if (detail === 'fine' || detail === 'near') addLashes(clay, own, detail === 'fine' ? 4 : 2);
	}
}

/** Sclera, iris with its dark edge and its spokes, pupil; rings end sharply at each edge. */
function addBall(clay: Clay, make: EyeMake, detail: Detail): void {
	const { ballMm, irisMm, pupilMm } = make;
	const columns = { fine: 49, near: 29, middle: 19, coarse: 7, far: 5 }[detail];
	const [cx, cy, cz] = eyeballCentre(make.eye, ballMm);
	type Edge = (angle: number) => number;
	const ring = (
		inner: Edge,
		outer: Edge,
		rows: number,
		tint: (column: number, t: number) => Tint
	) =>
		clay.net(rows, columns, (row, column) => {
			// from the outside in, so that rows rise towards the gaze
			const angle = (2 * Math.PI * column) / (columns - 1);
			const t = 1 - row / (rows - 1);
			const radius = inner(angle) * (1 - t) + outer(angle) * t;
			const sin = Math.min(1, radius / ballMm);
			const normal: Point = [
				Math.cos(angle) * sin,
				Math.sin(angle) * sin,
				Math.sqrt(1 - sin * sin)
			];
			const point: Point = [
				cx + ballMm * normal[0],
				cy + ballMm * normal[1],
				cz + ballMm * normal[2]
			];
			return [point, normal, { ...tint(column, t), gloss: 1 }];
		});
	const middle: Edge = () => 0;
	const pupil: Edge = (angle) =>
		1 / Math.hypot(Math.cos(angle) / pupilMm[0], Math.sin(angle) / pupilMm[1]);
	const inner: Edge = () => irisMm * 0.86;
	const iris: Edge = () => irisMm;
	const rim: Edge = () => ballMm * 0.985;
	ring(middle, pupil, 2, () => ({ matter: 'dark' }));
	ring(pupil, inner, { fine: 5, near: 4, middle: 3, coarse: 2, far: 2 }[detail], (column, t) => ({
		matter: 'iris',
		other: t < 0.35 || column % 3 === 0 ? 'limbus' : 'white',
		share: column % 2 ? 0.22 : 0.06,
		open: 0.75 + 0.25 * t
	}));
	ring(inner, iris, 2, (_, t) => ({ matter: 'iris', other: 'limbus', share: 0.55 + 0.45 * t }));
	ring(iris, rim, { fine: 7, near: 5, middle: 4, coarse: 2, far: 2 }[detail], (_, t) => ({
		matter: 'white',
		other: 'skin',
		share: 0.04 + 0.5 * t * t,
		open: 1 - 0.45 * t
	}));
}

/** How far the skin of the lids reaches from the eye before it is face again, mm. */
interface Socket {
	readonly above: number;
	readonly below: number;
	readonly toNose: number;
	readonly toTemple: number;
}

/**
 * The lids: skin that leaves the face around the eye, is drawn over the ball and ends at the
 * opening, folded once above, with a dark rim above and a moist one below.
 */
function addLids(clay: Clay, make: EyeMake, face: Shape, detail: Detail): void {
	const { ballMm, lid, socket, skin } = make;
	const side = Math.sign(make.eye[0]);
	const columns = { fine: 49, near: 33, middle: 21, coarse: 9, far: 7 }[detail];
	const rows = { fine: 12, near: 8, middle: 6, coarse: 3, far: 2 }[detail];
	const shell = ballMm + LID_MM;
	const [cx, cy, cz] = eyeballCentre(make.eye, ballMm);
	const edgeAt = (c: number) => {
		const angle = (2 * Math.PI * c) / (columns - 1);
		// around the opening from its right corner; the corners are sharp
		const isUpper = Math.sin(angle) >= 0;
		const aside = make.open[2] * Math.cos(angle);
		return { angle, isUpper, aside, up: lidEdge(make, isUpper, aside) };
	};
	clay.sheet(rows, columns, (r, c) => {
		const { angle, isUpper, aside, up } = edgeAt(c);
		const t = 1 - r / (rows - 1);
		const [edge] = onBall(make, shell, aside, up);
		const across = Math.cos(angle) * side > 0 ? socket.toTemple : socket.toNose;
		const x = make.eye[0] + across * Math.cos(angle);
		const y = make.eye[1] + (isUpper ? socket.above : socket.below) * Math.sin(angle);
		const outer = onFace(face, x, y, 0.3);
		const px = edge[0] + (outer[0] - edge[0]) * t;
		const py = edge[1] + (outer[1] - edge[1]) * t;
		const ease = t * t * (3 - 2 * t);
		const level = edge[2] + (outer[2] - edge[2]) * ease;
		const off2 = (px - cx) ** 2 + (py - cy) ** 2;
		const onShell = off2 < shell * shell ? cz + Math.sqrt(shell * shell - off2) : level;
		// never inside the ball or the face, and a fold where the upper lid leaves the ball
		const fold = isUpper ? Math.exp(-(((t - 0.5) / 0.11) ** 2)) : 0;
		const over = Math.max(level, onShell * (1 - ease) + level * ease) - 0.9 * fold;
		const [, , under] = t === 0 ? edge : onFace(face, px, py, 0.25);
		const point: Point = [px, py, t === 0 ? edge[2] : Math.max(over, under)];
		if (t > 0.7) {
			// face again
			const normal = slopeOf(face, point);
			const own = skin(point);
			return [
				point,
				{ ...own, open: (own.open ?? 1) * openness(face, point, unit(normal)) },
				normal
			];
		}
		const shade = Math.exp(-(((t - 0.12) / 0.2) ** 2));
		return [
			point,
			{ matter: lid, other: 'blush', share: 0.3 * shade, open: 0.9 - 0.3 * fold, gloss: 0.06 }
		];
	});
	// the rim, from the shell's edge in to the eyeball
	clay.net(2, columns, (r, c) => {
		const { isUpper, aside, up } = edgeAt(c);
		const inward = isUpper ? -4 : 2.5;
		const [point, normal] = r
			? onBall(make, ballMm + 0.05, aside, up + inward * Math.abs(Math.sin(edgeAt(c).angle)))
			: onBall(make, shell, aside, up);
		return [
			point,
			normal,
			isUpper
				? { matter: 'brow', other: 'dark', share: 0.6 }
				: { matter: 'blush', other: lid, share: 0.5 }
		];
	});
}

/** Lashes: thin curved blades, half a millimetre at the root. */
function addLashes(clay: Clay, make: EyeMake, steps: number): void {
	for (const isUpper of [true, false]) {
		const count = isUpper ? 26 : 18;
		for (let i = 0; i < count; i++) {
			const share = (2 * (i + 0.5)) / count - 1;
			const aside = share * (make.open[2] - 5);
			const edge = lidEdge(make, isUpper, aside);
			const length = (isUpper ? 7.4 : 3.6) * (0.8 + 0.2 * Math.sin(i * 2.4));
			// shut, the upper ones hang down
			const lift = isUpper && !make.isShut ? 1 : -1;
			const [root] = onBall(make, make.ballMm + LID_MM * 0.9, aside, edge - (isUpper ? 1.5 : -1.5));
			// out of the face and then up, fanned towards the sides
			const fan = share * 0.5;
			const at = (t: number): Point => [
				root[0] + length * fan * t,
				root[1] + lift * length * (0.15 * t + 0.55 * t * t),
				root[2] + length * (0.75 * t - 0.25 * t * t)
			];
			const half = isUpper ? 0.27 : 0.18;
			clay.blade(steps, (row, isRight) => {
				const t = row / (steps - 1);
				const [x, y, z] = at(t);
				const width = half * (1 - 0.85 * t) * (isRight ? 1 : -1);
				return [[x + width, y, z], [0, 0.3, 1], { matter: 'dark', other: 'brow', share: 0.35 }];
			});
		}
	}
}

/** A human brow: a soft strip under single hairs. */
export function addBrows(clay: Clay, face: Shape, detail: Detail): void {
	for (const side of [1, -1]) {
		const columns = { fine: 15, near: 9, middle: 7, coarse: 5, far: 3 }[detail];
		clay.sheet(2, columns, (row, column) => {
			// columns run to the picture's right whichever side it is
			const t = side > 0 ? column / (columns - 1) : 1 - column / (columns - 1);
			const [x, y] = arch(t);
			const half = browHalf(t) * (row ? 1 : -1);
			return [
				onFace(face, side * x, y + half, 0.9),
				{ matter: 'brow', other: 'skin', share: detail === 'fine' ? 0.55 : 0.1 }
			];
		});
		if (detail === 'fine') addBrowHairs(clay, face, side);
	}
}

/** The middle of a brow from the nose outwards, t from 0 to 1. */
const arch = (t: number): readonly [x: number, y: number] => [
	11 + 42 * t,
	17.5 + 7.5 * Math.sin(Math.PI * Math.min(1, t * 0.85 + 0.12)) - 5 * t * t
];

const browHalf = (t: number) => 3.5 * Math.min(1, 0.45 + 3 * t) * (1 - t) ** 0.5 + 0.4;

function addBrowHairs(clay: Clay, face: Shape, side: number): void {
	const count = 90;
	for (let i = 0; i < count; i++) {
		const t = (i + 0.5) / count;
		const [x, y] = arch(t);
		const start = y + browHalf(t) * (((i * 7) % 9) / 4.5 - 1);
		const wild = 0.8 + 0.4 * (((i * 13) % 7) / 6);
		const [dx, dy] = [(2.6 + 4.4 * t) * wild, (3.6 * (1 - t) - 1.6 * t) * wild];
		clay.blade(2, (row, isRight) => {
			const [px, py] = [x + dx * row, start + dy * row];
			const [a, b, c] = onFace(face, side * px, py, 1.4);
			const width = (row ? 0.07 : 0.24) * (isRight ? 1 : -1);
			return [[a + width * 0.5, b - side * width, c], [0, 0.2, 1], { matter: 'brow' }];
		});
	}
}

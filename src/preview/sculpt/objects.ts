import type { Clay, Tint } from './clay';
import type { Point } from './shape';

/**
 * Objects that are held up, in a box of 1000 by 1000 around their middle, the front at 0. The
 * pattern on each has bars as wide as a share of its width.
 */
export type ObjectForm = 'trumpet' | 'bouquet' | 'parcel';

export function addObject(clay: Clay, form: ObjectForm, share: number): void {
	if (form === 'trumpet') addTrumpet(clay, share * 1000);
	else if (form === 'bouquet') addBouquet(clay, share * 1000);
	else addParcel(clay, share * 1000);
}

/** Alternates two matters in bars; at most this many, so that a fine pattern stays affordable. */
const MOST_BARS = 400;
const isOdd = (at: number, bar: number) =>
	Math.floor(at / Math.max(bar, 1000 / MOST_BARS)) % 2 !== 0;

/** A body of revolution around the way to the camera. */
function addTurned(
	clay: Clay,
	profile: readonly (readonly [radius: number, out: number, tint: Tint])[]
) {
	const columns = 49;
	clay.sheet(profile.length, columns, (row, column) => {
		const [radius, out, tint] = profile[row] as readonly [number, number, Tint];
		const angle = (2 * Math.PI * column) / (columns - 1);
		return [[radius * Math.cos(angle), radius * Math.sin(angle), out], tint];
	});
}

const BELL_DEEP = 1500;
/** Radius of the bell behind its rim: the flare of a horn. */
const flare = (out: number) => 45 + 455 * Math.exp(out / 190) ** 0.55;

function addTrumpet(clay: Clay, bar: number): void {
	const brass: Tint = { matter: 'cloth', gloss: 0.42 };
	const engraved: Tint = { matter: 'cloth', other: 'dark', share: 0.72, gloss: 0.3 };
	const rings: [number, number, Tint][] = [];
	// the inside of the bell: rings as wide as the detail, counted from the rim
	const steps = Math.min(160, Math.max(24, Math.ceil(2 * (430 / bar))));
	for (let i = steps; i >= 0; i--) {
		const radius = 70 + (430 * i) / steps;
		const out = 190 * Math.log(Math.max((radius - 45) / 455, 0.02)) * (1 / 0.55);
		const dim = Math.min(1, 0.35 + 0.65 * (radius / 500));
		const tint = isOdd(500 - radius, bar) ? engraved : brass;
		rings.push([radius, Math.max(out, -BELL_DEEP), { ...tint, open: dim }]);
	}
	addTurned(clay, rings);
	addTurned(clay, [
		[76, -990, { matter: 'dark' }],
		[0, -990, { matter: 'dark' }]
	]);
	const outside = Array.from({ length: 20 }, (_, i): [number, number, Tint] => {
		const out = -BELL_DEEP * (1 - i / 19);
		return [flare(out) + 6, out, brass];
	});
	addTurned(clay, outside);
	addTurned(clay, [
		[52, -4200, brass],
		[52, -BELL_DEEP, brass]
	]);
	// the bow and the valves behind
	for (const x of [-190, -80, 30]) {
		addPost(clay, [x * 0.6, -40, -2300 - x], 62, 520, brass);
	}
}

/** An upright post. */
function addPost(clay: Clay, [x, y, z]: Point, radius: number, height: number, tint: Tint): void {
	const columns = 17;
	clay.sheet(2, columns, (row, column) => {
		const angle = (2 * Math.PI * column) / (columns - 1);
		return [
			[
				x + radius * Math.sin(angle),
				y + (row ? height / 2 : -height / 2),
				z + radius * Math.cos(angle)
			],
			tint
		];
	});
}

function addBouquet(clay: Clay, bar: number): void {
	const across = 6;
	for (let i = 0; i < across * across; i++) {
		const [column, row] = [i % across, Math.floor(i / across)];
		const draw = (i * 7 + row * 3) % 11;
		const jitter = draw / 10 - 0.5;
		const x = ((column + 0.5 + 0.5 * (row % 2) - 0.25 + 0.3 * jitter) / across - 0.5) * 980;
		const y = ((row + 0.5 + 0.4 * (((i * 5) % 7) / 6 - 0.5)) / across - 0.5) * 980;
		const bulge = 220 * (1 - (x / 520) ** 2) * (1 - (y / 520) ** 2) - 200;
		const matter = (['marking', 'shirt', 'lip', 'lip', 'shirt'] as const)[draw % 5] ?? 'lip';
		addBloom(clay, [x, y, bulge + 40 * jitter], 118, bar, matter);
	}
	for (let i = 0; i < 7; i++) addStem(clay, (i - 3) * 34);
}

/** A round bloom of petals in rings as wide as the detail. */
function addBloom(
	clay: Clay,
	[x, y, z]: Point,
	radius: number,
	bar: number,
	matter: Tint['matter']
) {
	const rows = Math.min(26, Math.max(9, Math.ceil((3 * radius) / bar)));
	const columns = 22;
	clay.sheet(rows, columns, (row, column) => {
		const away = (Math.PI * 0.75 * (rows - 1 - row)) / (rows - 1);
		const round = (2 * Math.PI * column) / (columns - 1);
		const petal = 1 + 0.07 * Math.sin(round * 6 + 2 * row);
		const flat = radius * Math.sin(away) * petal;
		const tint: Tint = {
			matter,
			other: 'dark',
			share: isOdd(radius - flat, bar) ? 0.45 : 0,
			open: 0.55 + 0.45 * Math.cos(away * 0.6)
		};
		return [
			[x + flat * Math.cos(round), y + flat * Math.sin(round), z + radius * Math.cos(away)],
			tint
		];
	});
}

function addStem(clay: Clay, x: number): void {
	const columns = 9;
	clay.sheet(2, columns, (row, column) => {
		const angle = (2 * Math.PI * column) / (columns - 1);
		const [cx, y] = row ? [x, -300] : [x * 1.6, -980];
		return [
			[cx + 14 * Math.sin(angle), y, -260 + 14 * Math.cos(angle)],
			{ matter: 'marking', open: 0.7 }
		];
	});
}

/** A wrapped box, striped in bars as wide as the detail, with a band around it. */
function addParcel(clay: Clay, bar: number): void {
	const bars = Math.min(MOST_BARS, Math.max(1, Math.ceil(1000 / bar)));
	for (let i = 0; i < bars; i++) {
		const left = -500 + i * bar;
		const right = Math.min(500, left + bar);
		const tint: Tint = {
			matter: 'cloth',
			other: i % 2 ? 'dark' : 'shirt',
			share: i % 2 ? 0.55 : 0.6
		};
		const face = (top: number, low: number, out: number, back: number, normal: Point) =>
			clay.net(2, 2, (row, column) => [
				[column ? right : left, row ? top : low, row ? back : out],
				normal,
				tint
			]);
		face(500, -500, 0, 0, [0, 0, 1]);
		face(500, 500, 0, -700, [0, 1, 0]);
	}
	for (const side of [-1, 1]) {
		clay.net(2, 2, (row, column) => [
			[side * 500, row ? 500 : -500, column ? -700 : 0],
			[side, 0, 0],
			{ matter: 'cloth' }
		]);
	}
	clay.net(2, 2, (row, column) => [
		[column ? 500 : -500, row ? 60 : -60, 4],
		[0, 0, 1],
		{ matter: 'lip', gloss: 0.2 }
	]);
}

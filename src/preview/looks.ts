import type { Build } from '$core/tables/heads';

const OUTFITS = ['jacket', 'coat', 'shirt'] as const;
export type Outfit = (typeof OUTFITS)[number];
const HAIR_STYLES = ['cropped', 'parted', 'bun', 'long', 'curls', 'shaven'] as const;
/** An infant’s is downy. */
export type HairStyle = (typeof HAIR_STYLES)[number] | 'downy';

/** What a surface of a figure is made of, in the order of a palette. */
export const MATTERS = [
	'skin',
	'lip',
	'hair',
	'brow',
	'iris',
	'dark',
	'white',
	'cloth',
	'lower',
	'shirt',
	'shoe',
	'frame',
	'blush',
	'stone',
	'marking',
	'limbus'
] as const;
export type Matter = (typeof MATTERS)[number];

/** How an invented figure looks: always the same for the same person, and all sorts of people. */
export interface FigureLook {
	readonly hair: HairStyle;
	readonly hasGlasses: boolean;
	readonly outfit: Outfit;
	readonly colours: Readonly<Record<Matter, Colour>>;
}

/** Red, green and blue as shares of white, linear in light. */
export type Colour = readonly [red: number, green: number, blue: number];

/** A colour as it is written for screens. Source: IEC 61966-2-1 (sRGB), the transfer function. */
export function colour(hex: string): Colour {
	const linear = (at: number) => {
		const share = parseInt(hex.slice(at, at + 2), 16) / 255;
		return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
	};
	return [linear(1), linear(3), linear(5)];
}

/** The same the other way: "#e9c6a8". */
export const hexOf = (linear: Colour): string =>
	`#${linear
		.map((light) => {
			const share = light <= 0.0031308 ? light * 12.92 : 1.055 * light ** (1 / 2.4) - 0.055;
			return Math.round(255 * share)
				.toString(16)
				.padStart(2, '0');
		})
		.join('')}`;

const SKINS = [
	'#f3d6c2',
	'#ecc4a4',
	'#dfae87',
	'#cc9468',
	'#b27a4f',
	'#90603c',
	'#6d452b',
	'#4c2f20'
];
const HAIRS = [
	'#2a211d',
	'#3d2b20',
	'#5a3d28',
	'#8a6238',
	'#b98d54',
	'#8d8a86',
	'#d0cbc4',
	'#6e3a22'
];
const IRISES = ['#4b2f1c', '#5f4025', '#6d6a3c', '#4f6f66', '#5d7f9c', '#77808a'];
const CLOTHS = [
	'#46566f',
	'#7b5a5e',
	'#5f6f5a',
	'#8a744c',
	'#5b4d68',
	'#99806a',
	'#3f5f63',
	'#a9605a'
];
const LOWERS = ['#3a3f4b', '#4d463f', '#35464c', '#54504c'];
const FURS = ['#a98762', '#6f5a45', '#b9b0a2', '#8b6a48'];
/** In a long coat a child looks like a grown-up far away. */
const CHILD_OUTFITS = OUTFITS.filter((outfit) => outfit !== 'coat');
const CHILD_STYLES = HAIR_STYLES.filter((style) => style !== 'shaven');
const MARKINGS = ['#5e4630', '#3c3029', '#7c7468', '#d8cbb4'];

/** A number from an id, well spread. Source: the FNV-1a hash, 32 bits. */
export function seedOf(id: string): number {
	let hash = 0x811c9dc5;
	for (const letter of id) {
		hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193) >>> 0;
	}
	return hash;
}

/** Draws from lists, one after the other, always the same for the same seed. Source: xorshift32. */
function drawer(seed: number) {
	let state = seed || 1;
	const next = () => {
		state ^= state << 13;
		state ^= state >>> 17;
		state ^= state << 5;
		return (state >>> 0) / 2 ** 32;
	};
	for (let i = 0; i < 4; i++) next();
	return {
		of: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T,
		chance: (share: number) => next() < share
	};
}

const mixed = (a: Colour, b: Colour, share: number): Colour =>
	[0, 1, 2].map(
		(i) => (a[i] as number) * (1 - share) + (b[i] as number) * share
	) as unknown as Colour;

/** The look of a person, from their id. */
export function lookOf(id: string, build: Build): FigureLook {
	const draw = drawer(seedOf(id));
	const isAnimal = build === 'cat' || build === 'dog';
	const isAdult = build === 'adult';
	const skinTone = draw.of(SKINS.map((_, i) => i));
	const skin = colour(SKINS[skinTone] as string);
	const isDark = skinTone > 3;
	const hair = colour(draw.of(isAnimal ? FURS : isDark ? HAIRS.slice(0, 3) : HAIRS));
	const style = draw.of(
		build === 'infant' ? ['downy'] : isAdult ? HAIR_STYLES : CHILD_STYLES
	) as HairStyle;
	const hasGlasses = isAdult && draw.chance(0.18);
	const outfit = draw.of(isAdult ? OUTFITS : CHILD_OUTFITS);
	const red = mixed(skin, [0.62, 0.13, 0.1], isDark ? 0.1 : 0.32);
	const colours: Record<Matter, Colour> = {
		skin,
		lip: isAnimal ? colour('#8f5f58') : mixed(skin, [0.42, 0.07, 0.08], isDark ? 0.38 : 0.5),
		hair,
		brow: mixed(hair, [0.012, 0.009, 0.008], 0.5),
		iris: colour(
			isAnimal
				? build === 'cat'
					? '#9aa04e'
					: '#5a3a20'
				: isDark
					? draw.of(IRISES.slice(0, 2))
					: draw.of(IRISES)
		),
		dark: [0.006, 0.005, 0.005],
		white: colour('#ece6dc'),
		cloth: colour(draw.of(CLOTHS)),
		lower: colour(draw.of(LOWERS)),
		shirt: colour(isAnimal ? '#e4d9c6' : '#ece7db'),
		shoe: colour('#2d2724'),
		frame: colour(draw.of(['#3b2f28', '#6b5a41', '#22262c'])),
		blush: isAnimal ? hair : red,
		stone: colour('#9c9488'),
		marking: colour(draw.of(MARKINGS)),
		limbus: [0.03, 0.025, 0.022]
	};
	return { hair: style, hasGlasses, outfit, colours };
}

/** The colours of a look, one after the other in the order of `MATTERS`, four numbers each. */
export function paletteOf({ colours }: Pick<FigureLook, 'colours'>): number[] {
	return MATTERS.flatMap((matter) => [...colours[matter], 1]);
}

import type { Person, Thing } from '$core/format/shot';

/** The people of the sample day, and how they stand in its groups. All invented. */

type Spot = readonly [x: number, y: number, z: number];

const at = ([x, y, z]: Spot) => ({ x, y, z });

export function person(name: string, place: Spot, more: Partial<Person> = {}): Person {
	return {
		id: name
			.toLowerCase()
			.normalize('NFKD')
			.replace(/[^a-z]/g, ''),
		name,
		build: 'adult',
		eyeMidpoint: at(place),
		turnDeg: 0,
		nodDeg: 0,
		leanDeg: 0,
		need: 'sharp',
		keep: 'both-eyes',
		motion: 'still',
		depthSigmaM: 0,
		...more
	};
}

export function thing(
	label: string,
	place: Spot,
	[widthM, heightM]: readonly [number, number],
	detailMm: number,
	intent: Thing['intent'],
	look: Thing['look']
): Thing {
	const id = label.replaceAll(' ', '-');
	return { id, label, position: at(place), widthM, heightM, detailMm, intent, look };
}

const FAMILIES = [
	['Aino', 'Yusuf', 'Marta', 'Emre', 'Keiko'],
	['Zofia', 'Oisín', 'Ilinca', 'Tomás', 'Ifeoma', 'Anders'],
	['Radu', 'Noor', 'Chiara', 'Mihai']
] as const;

/** Rows on the stone steps; nobody stands quite where they should. */
export function families(): Person[] {
	return FAMILIES.flatMap((names, row) =>
		names.map((name, i) => {
			const aside = (i - (names.length - 1) / 2) * 0.62;
			const stray = ((i * 7 + row * 3) % 5) - 2;
			const place: Spot = [
				aside,
				1.15 + row * 0.3 + 0.02 * (((i * 3 + row) % 4) - 1.5),
				6 + row * 0.8 + 0.03 * stray
			];
			return person(name, place, {
				row: row + 1,
				turnDeg: Math.round(-aside * 8),
				...(name === 'Ilinca' || name === 'Tomás' ? { need: 'key' } : {})
			});
		})
	);
}

export const CROWD = [
	'Aino',
	'Yusuf',
	'Marta',
	'Emre',
	'Keiko',
	'Priya',
	'Sione',
	'Zofia',
	'Oisín',
	'Ilinca',
	'Tomás',
	'Ifeoma',
	'Anders',
	'Leila',
	'Radu',
	'Noor',
	'Chiara',
	'Mihai',
	'Dafydd',
	'Mirela',
	'Jonas',
	'Amina',
	'Petra',
	'Kofi',
	'Sanna',
	'Rui',
	'Halina',
	'Teo'
] as const;

export function crowd(): Person[] {
	return CROWD.map((name, i) => {
		const row = Math.floor(i / 7);
		const aside = ((i % 7) - 3) * 0.8 + (row % 2) * 0.35;
		const place: Spot = [aside, 1.6 - 0.03 * (i % 4), 7.5 + row * 1 + 0.12 * ((i * 5) % 3)];
		return person(name, place, { row: row + 1, nodDeg: -20 });
	});
}

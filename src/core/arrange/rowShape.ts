import type { Person } from '../format/shot';
import { meanPoint } from '../geometry/vector';
import { mean } from '../numeric/mean';

/** A row as one thing: how far apart its people stand and how far its ends come in. */

export interface RowShape {
	/** Mean distance from one person to the next, m. */
	readonly spacingM: number;
	/** How far both ends come towards the camera from the middle, m. */
	readonly bendM: number;
}

/** A row laid along a straight line: where each person stands along it, and how far off it. */
interface Line {
	readonly middle: { readonly x: number; readonly z: number };
	/** Along the row, from its first person to its last. */
	readonly along: { readonly x: number; readonly z: number };
	readonly places: readonly {
		readonly alongM: number;
		readonly offM: number;
		/** (place / half length)^2 less its mean: the shape of a bend that moves nobody on the whole. */
		readonly curve: number;
	}[];
}

/** @param people the row from one end to the other */
function layOut(people: readonly Person[]): Line | null {
	const first = people[0]?.eyeMidpoint;
	const last = people.at(-1)?.eyeMidpoint;
	if (!first || !last || people.length < 2) return null;
	const lengthM = Math.hypot(last.x - first.x, last.z - first.z);
	if (lengthM < 1e-6) return null;
	const along = { x: (last.x - first.x) / lengthM, z: (last.z - first.z) / lengthM };
	const middle = meanPoint(people.map(({ eyeMidpoint }) => eyeMidpoint));
	const raw = people.map(({ eyeMidpoint: { x, z } }) => {
		const dx = x - middle.x;
		const dz = z - middle.z;
		const alongM = dx * along.x + dz * along.z;
		return { alongM, offM: dz * along.x - dx * along.z, square: (alongM / (lengthM / 2)) ** 2 };
	});
	const meanSquare = mean(raw.map(({ square }) => square));
	const places = raw.map(({ alongM, offM, square }) => ({
		alongM,
		offM,
		curve: square - meanSquare
	}));
	return { middle, along, places };
}

/** The shape of a row; null when there is only one place to stand. */
export function shapeOf(people: readonly Person[]): RowShape | null {
	const line = layOut(people);
	const first = line?.places[0];
	const last = line?.places.at(-1);
	if (!line || !first || !last) return null;
	return {
		spacingM: (last.alongM - first.alongM) / (people.length - 1),
		bendM: -bendOf(line)
	};
}

/** Least-squares share of the bend's shape in how far everyone stands off the line. */
function bendOf({ places }: Line): number {
	const power = places.reduce((sum, { curve }) => sum + curve * curve, 0);
	return power > 1e-9 ? places.reduce((sum, p) => sum + p.offM * p.curve, 0) / power : 0;
}

/** The same row with another shape, its middle where it was. */
export function reshape(people: readonly Person[], wanted: RowShape): Person[] {
	const line = layOut(people);
	const now = shapeOf(people);
	if (!line || !now) return [...people];
	const stretch = wanted.spacingM / now.spacingM;
	const moreBend = -(wanted.bendM - now.bendM);
	const { middle, along } = line;
	return people.map((person, i) => {
		const place = line.places[i];
		if (!place) return person;
		const alongM = place.alongM * stretch;
		const offM = place.offM + moreBend * place.curve;
		const x = middle.x + alongM * along.x - offM * along.z;
		const z = middle.z + alongM * along.z + offM * along.x;
		return { ...person, eyeMidpoint: { ...person.eyeMidpoint, x, z } };
	});
}

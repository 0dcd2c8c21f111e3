import { mean } from '../numeric/mean';
import { RULES } from '../tables/rules';

/** Rows of people, as the camera sees them: ordered by depth, and from left to right within. */

/** Somebody who counts for the rows, with the depth of their near eye. */
export interface Standing {
	readonly personId: string;
	/** The row they were given, if any. */
	readonly row: number | undefined;
	readonly depthM: number;
	/** Across the picture, from its left side. */
	readonly x: number;
}

export interface Row {
	readonly members: readonly Standing[];
	/** Mean depth of the near eyes, m. */
	readonly depthM: number;
}

/**
 * Groups people into rows: by the row they were given if all have one, else split where the depth
 * jumps by more than the gap of a row. The nearest row comes first.
 */
export function rowsOf(people: readonly Standing[]): Row[] {
	const groups = people.every(({ row }) => row !== undefined) ? byGivenRow(people) : byGaps(people);
	return groups
		.map((members) => ({
			members: members.toSorted((a, b) => a.x - b.x),
			depthM: mean(members.map(({ depthM }) => depthM))
		}))
		.sort((a, b) => a.depthM - b.depthM);
}

function byGivenRow(people: readonly Standing[]): Standing[][] {
	const rows = new Map<number | undefined, Standing[]>();
	for (const person of people) {
		const members = rows.get(person.row);
		if (members) members.push(person);
		else rows.set(person.row, [person]);
	}
	return [...rows.values()];
}

function byGaps(people: readonly Standing[]): Standing[][] {
	const rows: Standing[][] = [];
	let last = -Infinity;
	for (const person of people.toSorted((a, b) => a.depthM - b.depthM)) {
		if (person.depthM - last > RULES.rowGapM) rows.push([]);
		rows.at(-1)?.push(person);
		last = person.depthM;
	}
	return rows;
}

/** The row of somebody; null for whoever stands in none, as those who are free. */
export const rowOf = (rows: readonly Row[], personId: string): Row | null =>
	rows[rowIndexOf(rows, personId)] ?? null;

/** The place of somebody's row, the nearest being 0; -1 for whoever stands in none. */
const rowIndexOf = (rows: readonly Row[], personId: string): number =>
	rows.findIndex(({ members }) => members.some((one) => one.personId === personId));

/** From the first row to the last along the axis, m; 0 for one row or none. */
export const groupDepthM = (rows: readonly Row[]): number =>
	(rows.at(-1)?.depthM ?? 0) - (rows[0]?.depthM ?? 0);

/** Where somebody stands, so that no name is needed; counted from the front and from the left. */
export interface Whereabouts {
	readonly row: number;
	readonly rows: number;
	readonly place: number;
	readonly places: number;
}

/** @returns null for somebody who stands in no row */
export function whereStands(rows: readonly Row[], personId: string): Whereabouts | null {
	const row = rowIndexOf(rows, personId);
	const members = rows[row]?.members;
	if (!members) return null;
	const place = members.findIndex((one) => one.personId === personId);
	return { row, rows: rows.length, place, places: members.length };
}

/** Rows of people, as the camera sees them: ordered by depth, and from left to right within. */

/** A gap in depth wider than this starts a new row when rows are not given, m. */
const ROW_GAP_M = 0.35;

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
 * jumps by more than 0.35 m. The nearest row comes first.
 */
export function rowsOf(people: readonly Standing[]): Row[] {
	const groups = people.every(({ row }) => row !== undefined) ? byGivenRow(people) : byGaps(people);
	return groups
		.map((members) => ({
			members: members.toSorted((a, b) => a.x - b.x),
			depthM: members.reduce((sum, { depthM }) => sum + depthM, 0) / members.length
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
		if (person.depthM - last > ROW_GAP_M) rows.push([]);
		rows.at(-1)?.push(person);
		last = person.depthM;
	}
	return rows;
}

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];
const ordinal = (place: number): string => ORDINALS[place - 1] ?? `${place}th`;

/** What to call the i-th row of n; empty when there is only one. */
export function rowName(index: number, count: number): string {
	if (count < 2) return '';
	if (index === 0) return 'front row';
	if (index === count - 1) return 'back row';
	return count === 3 ? 'middle row' : `${ordinal(index + 1)} row`;
}

/** Where somebody stands, so that no name is needed: "middle row, third from left". */
export function whereStands(rows: readonly Row[], personId: string): string {
	const index = rows.findIndex(({ members }) => members.some((one) => one.personId === personId));
	// somebody who is free stands in no row
	const members = rows[index]?.members;
	if (!members) return '';
	const place = members.findIndex((one) => one.personId === personId);
	return [rowName(index, rows.length), placeName(place, members.length)].filter(Boolean).join(', ');
}

function placeName(place: number, count: number): string {
	if (count < 2) return '';
	if (count === 2) return place === 0 ? 'on the left' : 'on the right';
	const fromLeft = place + 1;
	const fromRight = count - place;
	return fromLeft <= fromRight
		? `${ordinal(fromLeft)} from left`
		: `${ordinal(fromRight)} from right`;
}

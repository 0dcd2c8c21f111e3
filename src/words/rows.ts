import type { Whereabouts } from '$core/arrange/rows';

/** Where somebody stands, so that one need not know the names. */

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];
const ordinal = (place: number): string => ORDINALS[place - 1] ?? `${place}th`;

/** What to call the i-th row of n, the front one being 0; empty when there is only one. */
export function rowName(index: number, count: number): string {
	if (count < 2) return '';
	if (index === 0) return 'front row';
	if (index === count - 1) return 'back row';
	return count === 3 ? 'middle row' : `${ordinal(index + 1)} row`;
}

/** "middle row, third from left"; empty for somebody who stands in no row or alone. */
export function whereWords(where: Whereabouts | null): string {
	if (!where) return '';
	const { row, rows, place, places } = where;
	return [rowName(row, rows), placeName(place, places)].filter(Boolean).join(', ');
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

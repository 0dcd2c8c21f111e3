/** Names beside marks that stand close together: each where it covers no other name and no mark, or not at all. */

export interface Marked {
	readonly x: number;
	readonly y: number;
	readonly name: string;
}
/** Where a text stands: the middle, the beginning or the end of its base line. */
export interface NamePlace {
	readonly x: number;
	readonly y: number;
	readonly anchor: 'middle' | 'start' | 'end';
}

interface Box {
	readonly left: number;
	readonly right: number;
	readonly top: number;
	readonly bottom: number;
}

/** Metrics of 11 px letters: mean width at most, ascent and descent. */
const LETTER_PX = 6.2;
const ABOVE_PX = 9;
const BELOW_PX = 3;
/** Half the size of a mark, and of what must stay free around it. */
const MARK_PX = 8;

/** Above, below, to the right, to the left. */
const placesFor = ({ x, y }: Marked): readonly NamePlace[] => [
	{ x, y: y - MARK_PX - BELOW_PX, anchor: 'middle' },
	{ x, y: y + MARK_PX + ABOVE_PX, anchor: 'middle' },
	{ x: x + MARK_PX + 3, y: y + 4, anchor: 'start' },
	{ x: x - MARK_PX - 3, y: y + 4, anchor: 'end' }
];

function boxOf({ x, y, anchor }: NamePlace, name: string): Box {
	const widthPx = LETTER_PX * name.length;
	const left = x - { start: 0, middle: widthPx / 2, end: widthPx }[anchor];
	return { left, right: left + widthPx, top: y - ABOVE_PX, bottom: y + BELOW_PX };
}

const meet = (a: Box, b: Box): boolean =>
	a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/**
 * A place for the name of each mark within an area of so many pixels; null where there is none.
 * @param marks those before others get their place first
 */
export function namesBeside(
	marks: readonly Marked[],
	{ widthPx, heightPx }: { readonly widthPx: number; readonly heightPx: number }
): (NamePlace | null)[] {
	const taken: Box[] = marks.map(({ x, y }) => ({
		left: x - MARK_PX,
		right: x + MARK_PX,
		top: y - MARK_PX,
		bottom: y + MARK_PX
	}));
	return marks.map((mark) => {
		for (const place of placesFor(mark)) {
			const box = boxOf(place, mark.name);
			const isWithin =
				box.left >= 0 && box.right <= widthPx && box.top >= 0 && box.bottom <= heightPx;
			if (!isWithin || taken.some((other) => meet(box, other))) continue;
			taken.push(box);
			return place;
		}
		return null;
	});
}

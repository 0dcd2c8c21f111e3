/** Beside the lines of a narrow chart there is no room for their names, nor for many beside any: they stand below it. */

const NARROW_PX = 480;
const MOST_BESIDE = 12;
/** What a letter, the stroke of a line before its name, and a row of names take, about. */
const LETTER_PX = 7.5;
const STROKE_PX = 45;
const ROW_PX = 20;

/**
 * The room that names take below a chart, as many abreast as fit; null where they stand beside it, or there is but one.
 * @param besidesPx what is left and right of the lines
 */
export function namesBelow(
	names: readonly string[],
	widthPx: number,
	besidesPx: number
): { readonly heightPx: number } | null {
	const isRoom = widthPx >= NARROW_PX && names.length <= MOST_BESIDE;
	if (names.length < 2 || isRoom) return null;
	const namePx = STROKE_PX + LETTER_PX * Math.max(...names.map(({ length }) => length));
	const abreast = Math.max(1, Math.floor((widthPx - besidesPx) / namePx));
	return { heightPx: Math.ceil(names.length / abreast) * ROW_PX };
}

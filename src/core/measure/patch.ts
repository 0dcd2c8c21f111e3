/** A square piece of a picture, to be measured. */
export interface Patch {
	readonly sidePx: number;
	/** Pixels of the picture to one of the patch. */
	readonly scale: number;
	/** Rows from the top; linear light, white is 1. */
	readonly light: Float32Array;
}

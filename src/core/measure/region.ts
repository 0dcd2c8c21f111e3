/** An upright rectangular piece of a picture. */
export interface Region {
	readonly widthPx: number;
	readonly heightPx: number;
	/** Rows from the top; linear light, white is 1. */
	readonly light: Float32Array;
}

/** The same, its rows as columns. */
export function transpose({ widthPx, heightPx, light }: Region): Region {
	const turned = new Float32Array(light.length);
	for (let y = 0; y < heightPx; y++) {
		for (let x = 0; x < widthPx; x++) turned[x * heightPx + y] = light[y * widthPx + x] as number;
	}
	return { widthPx: heightPx, heightPx: widthPx, light: turned };
}

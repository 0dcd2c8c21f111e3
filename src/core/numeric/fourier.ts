/**
 * The discrete Fourier transform of a square of so many rows and columns, a power of two, in place.
 * Source: Cooley and Tukey, "An algorithm for the machine calculation of complex Fourier series", 1965.
 */
export function transformSquare(real: Float64Array, imaginary: Float64Array, side: number): void {
	const row = { re: new Float64Array(side), im: new Float64Array(side) };
	const turns = turnsOf(side);
	const pass = (from: number, step: number) => {
		for (let i = 0; i < side; i++) {
			row.re[i] = real[from + i * step] as number;
			row.im[i] = imaginary[from + i * step] as number;
		}
		transform(row.re, row.im, turns);
		for (let i = 0; i < side; i++) {
			real[from + i * step] = row.re[i] as number;
			imaginary[from + i * step] = row.im[i] as number;
		}
	};
	for (let i = 0; i < side; i++) pass(i * side, 1);
	for (let i = 0; i < side; i++) pass(i, side);
}

interface Turns {
	readonly cos: Float64Array;
	readonly sin: Float64Array;
}

/** The roots of unity of a line of so many. */
function turnsOf(side: number): Turns {
	const angles = Float64Array.from({ length: side / 2 }, (_, i) => (-2 * Math.PI * i) / side);
	return { cos: angles.map(Math.cos), sin: angles.map(Math.sin) };
}

/** The same of a line. */
function transform(re: Float64Array, im: Float64Array, turns: Turns): void {
	const n = re.length;
	for (let i = 1, k = 0; i < n; i++) {
		let bit = n >> 1;
		for (; k & bit; bit >>= 1) k ^= bit;
		k ^= bit;
		if (i < k) {
			[re[i], re[k]] = [re[k] as number, re[i] as number];
			[im[i], im[k]] = [im[k] as number, im[i] as number];
		}
	}
	for (let length = 2; length <= n; length *= 2) {
		const half = length / 2;
		for (let i = 0; i < half; i++) {
			const [cos, sin] = [
				turns.cos[(i * n) / length] as number,
				turns.sin[(i * n) / length] as number
			];
			for (let a = i; a < n; a += length) {
				const b = a + half;
				const [x, y] = [re[b] as number, im[b] as number];
				const [turnedX, turnedY] = [x * cos - y * sin, x * sin + y * cos];
				re[b] = (re[a] as number) - turnedX;
				im[b] = (im[a] as number) - turnedY;
				re[a] = (re[a] as number) + turnedX;
				im[a] = (im[a] as number) + turnedY;
			}
		}
	}
}

/** Gauss's elimination with the largest pivot of a column; null where the equations do not decide. */
export function solved(
	matrix: readonly (readonly number[])[],
	right: readonly number[]
): number[] | null {
	const rows = matrix.map((row, i) => [...row, right[i] as number]);
	const count = rows.length;
	for (let column = 0; column < count; column++) {
		let pivot = column;
		for (let row = column + 1; row < count; row++) {
			if (Math.abs(at(rows, row, column)) > Math.abs(at(rows, pivot, column))) pivot = row;
		}
		if (!(Math.abs(at(rows, pivot, column)) > 0)) return null;
		[rows[column], rows[pivot]] = [rows[pivot] as number[], rows[column] as number[]];
		for (let row = 0; row < count; row++) {
			if (row === column) continue;
			const times = at(rows, row, column) / at(rows, column, column);
			for (let k = column; k <= count; k++) {
				(rows[row] as number[])[k] = at(rows, row, k) - times * at(rows, column, k);
			}
		}
	}
	return rows.map((row, i) => (row[count] as number) / at(rows, i, i));
}

const at = (rows: readonly (readonly number[])[], row: number, column: number): number =>
	(rows[row] as readonly number[])[column] as number;

/** The inverse of a square matrix; null where it has none. */
export function inverse(matrix: readonly (readonly number[])[]): number[][] | null {
	const columns = matrix.map((_, i) =>
		solved(
			matrix,
			matrix.map((_row, k) => (k === i ? 1 : 0))
		)
	);
	return columns.some((column) => column === null) ? null : (columns as number[][]);
}

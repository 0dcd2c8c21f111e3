import { plain } from './svg';

/** The table of a lens, for paper and for the page: words only. */
export interface LensTable {
	/** "85 mm f/1.4 at 85 mm" */
	readonly title: string;
	/** What counts as sharp, on which body, and where the numbers come from. */
	readonly notes: readonly string[];
	/** "f/1.4", … */
	readonly head: readonly string[];
	readonly rows: readonly {
		readonly distance: string;
		readonly cells: readonly { readonly before: string; readonly behind: string }[];
	}[];
}

const STYLE = `
body{font:9.5pt/1.3 system-ui,sans-serif;color:#1b2a41;margin:12mm}
h1{font:600 16pt/1.2 serif;margin:0 0 3mm}table{border-collapse:collapse;width:100%;font-variant-numeric:tabular-nums}
th,td{border:1px solid #c9c1b0;padding:1mm 1.5mm;text-align:right}th{text-align:left;font-weight:600}p{color:#55606f;margin:2mm 0}
td span{display:block}@page{margin:8mm}
`;

/** The table as a page of its own, without scripts. */
export function lensTablePage({ title, notes, head, rows }: LensTable): string {
	const columns = head.map((one) => `<th scope="col">${plain(one)}</th>`).join('');
	const lines = rows.map(({ distance, cells }) => {
		const filled = cells.map(
			({ before, behind }) => `<td><span>${plain(before)}</span><span>${plain(behind)}</span></td>`
		);
		return `<tr><th scope="row">${plain(distance)}</th>${filled.join('')}</tr>`;
	});
	return `<!doctype html>
<html lang="en"><head><meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
<title>${plain(title)}</title><style>${STYLE}</style></head><body>
<h1><bdi>${plain(title)}</bdi></h1>
<table><thead><tr><th scope="col">focused at</th>${columns}</tr></thead><tbody>${lines.join('')}</tbody></table>
${notes.map((note) => `<p>${plain(note)}</p>`).join('')}
</body></html>
`;
}

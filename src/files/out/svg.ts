import { GROUND, RING, type FrameShapes, type PrintedShape } from './printed';

/** Drawings of plain shapes as SVG. */

const ENTITIES: Readonly<Record<string, string>> = {
	'&': '&amp;',
	'<': '&lt;',
	'>': '&gt;',
	'"': '&quot;',
	"'": '&#39;'
};

/** Text that is shown and never run, in HTML and in SVG. Characters no document may hold are left out. */
export const plain = (text: string): string =>
	text
		// eslint-disable-next-line no-control-regex -- they are what is looked for
		.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
		.replace(/[&<>"']/g, (one) => ENTITIES[one] ?? one);

const round = (value: number): string => `${Number(value.toFixed(2))}`;

/** One shape as an element. */
function elementOf(shape: PrintedShape): string {
	const paint = `fill="${shape.fill}"${shape.stroke ? ` stroke="${shape.stroke}"` : ''}`;
	switch (shape.kind) {
		case 'path':
			return `<path d="${shape.d}" ${paint} stroke-width="${round(shape.strokeWidth ?? 0.1)}"/>`;
		case 'ellipse': {
			const place = `translate(${round(shape.x)} ${round(shape.y)}) rotate(${round(shape.angleDeg)})`;
			return `<ellipse rx="${round(shape.rx)}" ry="${round(shape.ry)}" ${paint} transform="${place}"/>`;
		}
		case 'rect':
			return `<rect x="${round(shape.x)}" y="${round(shape.y)}" width="${round(shape.width)}" height="${round(shape.height)}" ${paint}/>`;
		case 'text':
			return `<text x="${round(shape.x)}" y="${round(shape.y)}" font-size="${round(shape.size)}"${shape.isBefore ? ' text-anchor="end"' : ''} ${paint}>${plain(shape.text)}</text>`;
	}
}

/** The frame in small as an SVG element, for a page. */
export function frameSvg(
	{ width, height, shapes, ring, picture }: FrameShapes,
	label: string
): string {
	const box = [-width / 2, -height / 2, width, height].map(round).join(' ');
	const [x, y] = [round(-width / 2), round(-height / 2)];
	const circle = (colour: string, thick: number) =>
		ring
			? `<circle cx="${round(ring.x)}" cy="${round(ring.y)}" r="${round(ring.radius)}" fill="none" stroke="${colour}" stroke-width="${round(thick)}"/>`
			: '';
	return [
		`<svg viewBox="${box}" role="img" aria-label="${plain(label)}">`,
		...(picture
			? [
					`<image x="${x}" y="${y}" width="${round(width)}" height="${round(height)}" href="data:image/jpeg;base64,${picture}"/>`
				]
			: [
					`<rect x="${x}" y="${y}" width="${round(width)}" height="${round(height)}" fill="${GROUND}"/>`,
					...shapes.map(elementOf)
				]),
		circle('#fffdf8', width / 75),
		circle(RING, width / 130),
		'</svg>'
	].join('');
}

/** A drawing as a file of its own. */
export function svgFile(
	widthPx: number,
	heightPx: number,
	shapes: readonly PrintedShape[],
	title: string
): string {
	return [
		`<svg xmlns="http://www.w3.org/2000/svg" width="${widthPx}" height="${heightPx}" viewBox="0 0 ${widthPx} ${heightPx}" font-family="sans-serif">`,
		`<title>${plain(title)}</title>`,
		`<rect width="${widthPx}" height="${heightPx}" fill="#fffdf8"/>`,
		...shapes.map(elementOf),
		'</svg>'
	].join('\n');
}

import { commonText as common } from '$words/screens/common';
import { cameraPose } from '$core/geometry/camera';
import { rowName } from '$words/rows';
import type { Drawable } from '../../drawing/drawable';
import {
	fittedPoints,
	focusLine,
	frameWedge,
	headMarks,
	sliceThrough,
	thingStroke
} from '../../drawing/stageScene';
import { fit, rulerStep, toPx } from '../../drawing/stageView';
import { zoneOf } from '../../drawing/zone';
import type { Flat } from '$core/anatomy/outline';
import type { PrintedShape } from '$files/out/printed';
import { svgFile } from '$files/out/svg';
import { fromUnits, type Units } from '$words/numbers';

/** The stage from above as a drawing for files and paper. */

const STAGE_PX = { width: 1200, height: 760 } as const;
/** Room for a name at the right edge, px. */
const EDGE_PX = 160;
const INK = '#1b2a41';
const SOFT = '#505c73';
const FOCUS = '#b23f2b';
const STATES = { sharp: '#0b6464', marginal: '#855800', soft: '#8c1d5a' } as const;

const round = ({ x, y }: Flat) => `${x.toFixed(1)} ${y.toFixed(1)}`;
const line = (points: readonly Flat[], stroke: string, strokeWidth: number): PrintedShape => ({
	kind: 'path',
	d: points.map((at, i) => `${i === 0 ? 'M' : 'L'}${round(at)}`).join(' '),
	fill: 'none',
	stroke,
	strokeWidth
});

/** The drawing as the text of an SVG file. */
export function stageSvg(drawable: Drawable, units: Units, title: string): string {
	return svgFile(STAGE_PX.width, STAGE_PX.height, stageShapes(drawable, units), title);
}

function stageShapes({ scene, take }: Drawable, units: Units): PrintedShape[] {
	const { shot } = scene;
	const view = fit(
		{
			side: 'above',
			isTall: false,
			widthPx: STAGE_PX.width,
			heightPx: STAGE_PX.height
		},
		fittedPoints(shot)
	);
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const camera = toPx(view, shot.camera.position);
	const [left, right] = frameWedge(view, pose);
	const wedge: PrintedShape = {
		kind: 'path',
		d: `M${round(camera)} L${round(left)} L${round(right)} Z`,
		fill: '#e7efeb'
	};
	const label = (text: string, { x, y }: Flat, fill = INK, size = 15): PrintedShape => ({
		kind: 'text',
		x,
		y,
		size,
		text,
		fill
	});
	/** Right of a place, or left of it where the edge is near. */
	const beside = (text: string, x: number, offPx: number, y: number, fill = INK, size = 15) =>
		x > STAGE_PX.width - EDGE_PX
			? { ...label(text, { x: x - offPx, y }, fill, size), isBefore: true }
			: label(text, { x: x + offPx, y }, fill, size);
	const heads = headMarks(view, scene, take).flatMap((head): PrintedShape[] => {
		const { outline, nose, state, isFocus, name } = head;
		return [
			{ kind: 'path', d: `M${nose.map(round).join(' L')} Z`, fill: INK },
			{
				kind: 'ellipse',
				...outline,
				fill: '#fffdf8',
				stroke: isFocus ? FOCUS : state ? STATES[state] : SOFT
			},
			beside(name, outline.x, outline.rx + 5, outline.y - outline.ry)
		];
	});
	const things = shot.things.flatMap((thing): PrintedShape[] => {
		const [a, b] = thingStroke(view, pose, thing);
		return [line([a, b], SOFT, 3), beside(thing.label, a.x, 6, a.y, SOFT, 13)];
	});
	const focus = take
		? [line(focusLine(view, zoneOf(take), sliceThrough(shot, view.side)), FOCUS, 1.5)]
		: [];
	const rows =
		scene.rows.length > 1
			? scene.rows.map(({ members }, i) => {
					const places = members.flatMap(({ personId }) => {
						const person = shot.people.find(({ id }) => id === personId);
						return person ? [toPx(view, person.eyeMidpoint)] : [];
					});
					const x = places.reduce((sum, at) => sum + at.x, 0) / places.length;
					const y = Math.max(...places.map((at) => at.y)) + 40;
					return label(rowName(i, scene.rows.length), { x: x - 30, y }, SOFT, 13);
				})
			: [];
	return [
		wedge,
		...things,
		...focus,
		...heads,
		...rows,
		{ kind: 'rect', x: camera.x - 16, y: camera.y - 11, width: 24, height: 22, fill: INK },
		...ruler(view.pxPerM, units)
	];
}

/** A length to read the others by, in the lower left corner. */
function ruler(pxPerM: number, units: Units): PrintedShape[] {
	const pxPerUnit = pxPerM * fromUnits(1, units);
	const step = rulerStep(pxPerUnit);
	const end = 24 + step * pxPerUnit;
	const y = STAGE_PX.height - 24;
	return [
		line(
			[
				{ x: 24, y: y - 6 },
				{ x: 24, y },
				{ x: end, y },
				{ x: end, y: y - 6 }
			],
			INK,
			1.5
		),
		{ kind: 'text', x: 30, y: y - 8, size: 14, text: `${step} ${units}`, fill: INK }
	];
}

/** A drawing as pixels. */
export async function pngOfSvg(svg: string): Promise<Blob> {
	const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
	try {
		const image = new Image();
		image.src = address;
		await image.decode();
		const canvas = document.createElement('canvas');
		canvas.width = 2 * STAGE_PX.width;
		canvas.height = 2 * STAGE_PX.height;
		canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
		const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
		if (!blob) throw new Error(common.thisBrowserCouldNotMakeA);
		return blob;
	} finally {
		URL.revokeObjectURL(address);
	}
}

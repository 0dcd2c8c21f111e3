import type { Flat } from '$core/anatomy/outline';
import type { FrameShapes, PrintedShape } from '$files/out/printed';
import type { Drawable } from './drawable';
import { drawFrame, type DrawnHead, type DrawnThing } from './frameScene';

/**
 * The frame as a few plain shapes, mm on the sensor from its middle, y down, with a ring around the
 * face to focus on: for the card, for paper, and for files that no program of ours draws.
 */

const EYE = '#1b2a41';
const THING = '#b9b09f';
const LAMP = '#d9a441';

/** The ring stands off the head by so much of its size. */
const RING_ROOM = 1.25;
/** Most lamps of a string that are drawn. */
const MOST_LAMPS = 12;

export function frameShapes(drawable: Drawable): FrameShapes {
	const { pose } = drawable.scene;
	const focus = drawable.plan?.focus ?? null;
	const drawn = drawFrame(drawable);
	const head = drawn.find((one) => one.kind === 'head' && one.id === focus?.personId);
	const at = focus && {
		x: (focus.frame.x - 0.5) * pose.widthMm,
		y: (focus.frame.y - 0.5) * pose.heightMm
	};
	const ring =
		head?.kind === 'head'
			? { x: head.skull.x, y: head.skull.y, radius: head.skull.rx * RING_ROOM }
			: at && { ...at, radius: pose.heightMm * 0.08 };
	return {
		width: pose.widthMm,
		height: pose.heightMm,
		shapes: drawn.flatMap((one) => (one.kind === 'head' ? headShapes(one) : thingShapes(one))),
		ring
	};
}

function headShapes({
	skull,
	face,
	ears,
	eyes,
	nose,
	shoulders,
	isAnimal,
	colours: { skin, hair, cloth }
}: DrawnHead): PrintedShape[] {
	const dot = (at: Flat, share: number, fill: string): PrintedShape => {
		const r = skull.ry * share;
		return { kind: 'ellipse', x: at.x, y: at.y, rx: r, ry: r, angleDeg: 0, fill };
	};
	return [
		...(shoulders ? [{ kind: 'path' as const, d: shoulders, fill: cloth, stroke: '#fffdf8' }] : []),
		...ears.map((ear) => dot(ear, 0.32, hair)),
		{ kind: 'ellipse', ...skull, fill: hair },
		...(face && !isAnimal ? [{ kind: 'ellipse' as const, ...face, fill: skin }] : []),
		...eyes.filter(({ isVisible }) => isVisible).map((eye) => dot(eye, 0.1, EYE)),
		...(nose && isAnimal ? [dot(nose, 0.12, EYE)] : [])
	];
}

function thingShapes({ look, x, y, width, height }: DrawnThing): PrintedShape[] {
	if (look === 'lights') {
		const lamps = Math.max(2, Math.min(MOST_LAMPS, Math.round(width / Math.max(height, 0.01))));
		const r = Math.max(height * 0.16, 0.2);
		return Array.from({ length: lamps }, (_, i) => ({
			kind: 'ellipse',
			x: x + (width * (i + 0.5)) / lamps,
			y: y + height * (0.5 + 0.3 * Math.cos((i * Math.PI) / 2)),
			rx: r,
			ry: r,
			angleDeg: 0,
			fill: LAMP
		}));
	}
	if (look === 'object') {
		const [rx, ry] = [width / 2, height / 2];
		return [{ kind: 'ellipse', x: x + rx, y: y + ry, rx, ry, angleDeg: 0, fill: LAMP }];
	}
	return [{ kind: 'rect', x, y, width, height, fill: THING }];
}

import { ON_SENSOR_GRID } from '$core/format/gear';
import type { Body, Lens } from '$core/format/shot';

/** Generic bodies and lenses to start from. No maker's: the numbers are the usual ones of their kind. */

type FocusGrid = Body['focusGrid'];

/** Ways that focus points are laid out. */
export const FOCUS_GRIDS = {
	/** A reflex body's: a few dozen in the middle, the middle one most sensitive. */
	sparse: {
		columns: 11,
		rows: 5,
		spanX: 0.5,
		spanY: 0.34,
		boxX: 0.025,
		boxY: 0.035,
		sensitive: 'centre'
	},
	coarse: { ...ON_SENSOR_GRID, columns: 13, rows: 9, boxX: 0.055, boxY: 0.08 },
	fine: ON_SENSOR_GRID,
	/** Anywhere that a finger touches. */
	touch: { ...ON_SENSOR_GRID, columns: 48, rows: 36, spanX: 1, spanY: 1, boxX: 0.08, boxY: 0.1 }
} as const satisfies Record<string, FocusGrid>;

const body = (
	name: string,
	[widthMm, heightMm]: readonly [number, number],
	[pixelsAcross, pixelsDown]: readonly [number, number],
	more: Partial<Body> = {}
): Body => ({
	name,
	sensor: { widthMm, heightMm, pixelsAcross, pixelsDown },
	focusGrid: ON_SENSOR_GRID,
	iso: [100, 12800],
	syncSpeedS: 1 / 200,
	fastestShutterS: 1 / 8000,
	comfortIso: 6400,
	stabiliserStops: 5,
	...more
});

const lens = (
	name: string,
	focalMm: readonly [number, number],
	widest: readonly [number, number],
	smallestFNumber: number,
	closestFocusM: number,
	stabiliserStops = 0
): Lens => ({
	name,
	focalMm: [...focalMm],
	widestFNumber: [...widest],
	smallestFNumber,
	closestFocusM,
	fieldBend: 0,
	stabiliserStops,
	blades: 0
});

export const BODIES = {
	fullFrame24: body('Full-frame 24 MP', [36, 24], [6000, 4000]),
	fullFrame45: body('Full-frame 45 MP', [36, 24], [8256, 5504], { iso: [64, 25600] }),
	reflex24: body('Full-frame reflex 24 MP', [36, 24], [6016, 4016], {
		focusGrid: FOCUS_GRIDS.sparse,
		comfortIso: 1600,
		stabiliserStops: 0
	}),
	medium50: body('Larger than full frame, 50 MP', [43.8, 32.9], [8256, 6192], {
		focusGrid: FOCUS_GRIDS.coarse,
		syncSpeedS: 1 / 125,
		fastestShutterS: 1 / 4000
	}),
	crop26: body('1.5x crop 26 MP', [23.5, 15.6], [6240, 4160], { comfortIso: 3200 }),
	crop24: body('1.6x crop 24 MP', [22.3, 14.9], [6000, 4000], {
		focusGrid: FOCUS_GRIDS.coarse,
		fastestShutterS: 1 / 4000,
		comfortIso: 3200
	}),
	fourThirds20: body('Four-thirds 20 MP', [17.3, 13], [5184, 3888], {
		iso: [200, 6400],
		comfortIso: 3200
	}),
	phone: body('Phone, main camera', [9.8, 7.3], [4080, 3060], {
		focusGrid: FOCUS_GRIDS.touch,
		iso: [50, 6400],
		syncSpeedS: 1 / 60,
		comfortIso: 1600,
		stabiliserStops: 0
	})
} as const satisfies Record<string, Body>;

export const LENSES = {
	wide24: lens('24 mm f/1.4', [24, 24], [1.4, 1.4], 16, 0.25),
	wide35: lens('35 mm f/1.4', [35, 35], [1.4, 1.4], 16, 0.3),
	normal50: lens('50 mm f/1.4', [50, 50], [1.4, 1.4], 16, 0.45),
	portrait85: lens('85 mm f/1.4', [85, 85], [1.4, 1.4], 16, 0.85),
	portrait85Fast: lens('85 mm f/1.2', [85, 85], [1.2, 1.2], 16, 0.85),
	portrait135: lens('135 mm f/1.8', [135, 135], [1.8, 1.8], 22, 0.9),
	zoom2470: lens('24–70 mm f/2.8', [24, 70], [2.8, 2.8], 22, 0.38),
	zoom70200: lens('70–200 mm f/2.8', [70, 200], [2.8, 2.8], 22, 1, 4),
	// for sensors of 24 by 16 mm and smaller
	zoom1855: {
		...lens('18–55 mm f/3.5–5.6', [18, 55], [3.5, 5.6], 22, 0.28, 3),
		imageCircleMm: 28.4
	},
	phone: lens('Phone lens f/1.8', [6.9, 6.9], [1.8, 1.8], 1.8, 0.12, 3)
} as const satisfies Record<string, Lens>;

import { landmarkPoint, placeHead } from '../anatomy/head';
import { degrees } from '../geometry/angle';
import { leastSquares } from '../numeric/leastSquares';
import { HEADS, type Build } from '../tables/heads';
import type { Landmark } from '../tables/landmarks';

/** Where a head is, from the places of its landmarks in a photograph (section 10 of the model). */

/** A landmark found in a photograph: px from its middle, to the right and up. */
export interface FoundLandmark {
	readonly landmark: Landmark;
	readonly x: number;
	readonly y: number;
	/** How far off it may be, px. */
	readonly sigmaPx: number;
}

/** The landmarks of a head, and what was found of its turn besides. */
export interface FoundFace {
	readonly landmarks: readonly FoundLandmark[];
	/** Against the line of sight, as a turn is told; and how far off it may be. */
	readonly turn?: { readonly deg: number; readonly sigmaDeg: number };
}

/** A head before a camera that looks level: metres right of it, above it, away; and how it is held. */
export interface FittedHead {
	readonly rightM: number;
	readonly upM: number;
	readonly depthM: number;
	readonly turnDeg: number;
	readonly nodDeg: number;
	readonly leanDeg: number;
	/** How far the landmarks lie from where the head has them: root of the mean square, px. */
	readonly offPx: number;
	/** How far off the depth may be by the pixels alone: its spread, m. */
	readonly pixelSigmaM: number;
}

/** Fewer landmarks do not decide how a head is held: it is then assumed to face the camera, within so many degrees. */
const MIN_LANDMARKS_FOR_POSE = 4;
const USUAL_TURN_DEG = 15;
const USUAL_NOD_DEG = 10;
/** Turns to begin with: from one of them any face that is seen is found. */
const TURNS_DEG = [0, -35, 35];
/** Small changes: shares of the depth, degrees. */
const SCALES = [0.01, 0.01, 0.01, 1, 1, 1];
/** What is behind the lens is no head. */
const NEAREST_M = 0.05;

/**
 * The head that projects onto the landmarks found, by least squares. Its scale is the build's: a head a tenth
 * larger than that stands a tenth farther away than it is told.
 *
 * @param focalPx focal length in pixels of the photograph
 * @returns null without both eyes, or where the landmarks are those of no head
 */
export function fitHead(face: FoundFace, focalPx: number, build: Build): FittedHead | null {
	const { landmarks: found, turn } = face;
	const [left, right] = (['left-eye', 'right-eye'] as const).map((name) =>
		found.find(({ landmark }) => landmark === name)
	);
	if (!left || !right) return null;
	const eyesM = (2 * HEADS[build]['left-eye'][0]) / 1000;
	const eyesPx = Math.hypot(left.x - right.x, left.y - right.y);
	if (!(eyesPx > 0)) return null;
	const middle = { x: (left.x + right.x) / 2, y: (left.y + right.y) / 2 };
	// the person's left is at the right of the picture
	const leanDeg = degrees(Math.atan2(left.y - right.y, left.x - right.x));
	const residuals = (values: readonly number[]) => residualsOf(values, face, focalPx, build);
	const fits = (turn ? [turn.deg] : TURNS_DEG).map((turnDeg) => {
		// eyes of a turned head lie nearer together
		const depthM = ((focalPx * eyesM) / eyesPx) * Math.cos((turnDeg * Math.PI) / 180);
		const start = [middle.x / focalPx, middle.y / focalPx, Math.log(depthM), turnDeg, 0, -leanDeg];
		return leastSquares(residuals, start, SCALES);
	});
	const best = fits.reduce((a, b) => (b.cost < a.cost ? b : a));
	const [aside, above, logDepth, turnDeg, nodDeg, lean] = best.values as Values;
	const depthM = Math.exp(logDepth);
	if (!(depthM > NEAREST_M) || !Number.isFinite(depthM) || !best.covariance) return null;
	const off = offsetsOf(best.values, found, focalPx, build);
	const offPx = Math.sqrt(off.reduce((sum, { x, y }) => sum + x * x + y * y, 0) / off.length);
	return {
		rightM: aside * depthM,
		upM: above * depthM,
		depthM,
		turnDeg,
		nodDeg,
		leanDeg: lean,
		offPx,
		pixelSigmaM: depthM * Math.sqrt(best.covariance[2]?.[2] ?? 0)
	};
}

/** Right and up over the depth, the logarithm of the depth in m, then degrees: all of one size. */
type Values = readonly [number, number, number, number, number, number];

function residualsOf(
	values: readonly number[],
	{ landmarks, turn }: FoundFace,
	focalPx: number,
	build: Build
): number[] {
	const off = offsetsOf(values, landmarks, focalPx, build).flatMap(({ x, y }, i) => {
		const { sigmaPx } = landmarks[i] as FoundLandmark;
		return [x / sigmaPx, y / sigmaPx];
	});
	const [, , , turnDeg, nodDeg] = values as Values;
	const usual =
		landmarks.length < MIN_LANDMARKS_FOR_POSE
			? [turnDeg / USUAL_TURN_DEG, nodDeg / USUAL_NOD_DEG]
			: [];
	const turned = turn ? [(turnDeg - turn.deg) / turn.sigmaDeg] : [];
	return [...off, ...usual, ...turned];
}

/** From where each landmark was found to where a head has it, px. */
function offsetsOf(
	values: readonly number[],
	found: readonly FoundLandmark[],
	focalPx: number,
	build: Build
) {
	const [aside, above, logDepth, turnDeg, nodDeg, leanDeg] = values as Values;
	const z = Math.exp(logDepth);
	const eyeMidpoint = { x: aside * z, y: above * z, z };
	const head = placeHead({ build, eyeMidpoint, turnDeg, nodDeg, leanDeg }, { x: 0, y: 0, z: 0 });
	return found.map(({ landmark, x, y }) => {
		const at = landmarkPoint(head, landmark);
		return { x: (focalPx * at.x) / at.z - x, y: (focalPx * at.y) / at.z - y };
	});
}

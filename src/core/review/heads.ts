import { landmarkPoint, placeHead } from '../anatomy/head';
import type { MeasuredFace } from '../format/review';
import type { Vec3 } from '../geometry/vector';
import { fitHead } from '../photograph/fitHead';
import type { Build } from '../tables/heads';
import type { Landmark } from '../tables/landmarks';

/** Where the parts of a face are that is seen in a frame. */
export interface SeenHead {
	/** Depth of its eyes by the size of the head, m. */
	readonly depthM: number;
	readonly turnDeg: number;
	/** Depth of a landmark where the head is at such a depth, m. */
	readonly depthOf: (landmark: Landmark, headM: number) => number;
}

const CAMERA: Vec3 = { x: 0, y: 0, z: 0 };

/** A set is judged again whenever a frame more is there: the heads of the others stay. */
const fittedHeads = new WeakMap<MeasuredFace, Map<string, SeenHead | null>>();

/** The head of a face; null where none fits what was found. */
export function seenHead(face: MeasuredFace, focalPx: number, build: Build): SeenHead | null {
	const known = fittedHeads.get(face) ?? new Map<string, SeenHead | null>();
	fittedHeads.set(face, known);
	const key = `${focalPx} ${build}`;
	const found = known.get(key);
	if (found !== undefined) return found;
	const head = fittedHead(face, focalPx, build);
	known.set(key, head);
	return head;
}

function fittedHead(face: MeasuredFace, focalPx: number, build: Build): SeenHead | null {
	const fitted = fitHead(face, focalPx, build);
	if (!fitted) return null;
	const { depthM, rightM, upM, turnDeg, nodDeg, leanDeg } = fitted;
	return {
		depthM,
		turnDeg,
		depthOf(landmark, headM) {
			const times = headM / depthM;
			const eyeMidpoint = { x: rightM * times, y: upM * times, z: headM };
			const head = placeHead({ build, eyeMidpoint, turnDeg, nodDeg, leanDeg }, CAMERA);
			return landmarkPoint(head, landmark).z;
		}
	};
}

import type { MeasuredFrame } from '../format/review';
import { median } from '../numeric/median';
import type { AskedPerson } from './asked';
import { seenHead } from './heads';

/** From how far a frame was taken, against where the plan has the camera. */
export interface Vantage {
	/** How much farther from everybody than planned, m; negative is nearer. */
	readonly fartherM: number;
	/** How well that is known, m; 0 as planned. */
	readonly sigmaM: number;
}

export const PLANNED_VANTAGE: Vantage = { fartherM: 0, sigmaM: 0 };

/** By the size of a head its depth is known to so much (Dodgson, 2004, from memory: 3.6 of 63 mm). */
export const HEAD_SHARE = 3.6 / 63;
/** Elsewhere is told where it is more than heads differ among people, and more than a head is measured wrongly. */
const SURE_TIMES = 2;
const MEASURED_SHARE = 0.06;

/** Somebody of the plan whose face was found. */
export interface FoundPerson {
	readonly asked: AskedPerson;
	readonly face: MeasuredFrame['faces'][number];
}

/** Told by the size of heads; as planned unless they say something else for sure. */
export function vantageOf(found: readonly FoundPerson[], focalPx: number): Vantage {
	const heads = found.flatMap(({ asked: { depthM, build }, face }) => {
		const head = seenHead(face, focalPx, build);
		return head ? [{ seenM: head.depthM, fartherM: head.depthM - depthM }] : [];
	});
	if (heads.length === 0) return PLANNED_VANTAGE;
	const fartherM = median(heads.map((one) => one.fartherM));
	const seenM = median(heads.map((one) => one.seenM));
	const sigmaM = (HEAD_SHARE * seenM) / Math.sqrt(heads.length);
	const isElsewhere = Math.abs(fartherM) > SURE_TIMES * sigmaM + MEASURED_SHARE * seenM;
	return isElsewhere ? { fartherM, sigmaM } : PLANNED_VANTAGE;
}

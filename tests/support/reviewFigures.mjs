/** @typedef {import('../../src/core/format/practiceTruth').PracticeTruth['frames'][number]} FrameTruth */
/** @typedef {import('../../src/core/review/reviewSet').ReviewedSet} ReviewedSet */
/** @typedef {{ readonly set: ReviewedSet, readonly truth: readonly FrameTruth[] }} JudgedRoll */

/** Blur is compared up to here, px; a pixel of its own is in whatever is compared as a ratio. */
const MOST_PX = 12;
const PIXEL_PX = 1.15;
const SHARPER_TIMES = 1.5;

/** @param {number} hits @param {number} of */
const share = (hits, of) => hits / Math.max(1, of);

/**
 * How rolls were judged against what is true of them, as shares: for the tests and the benchmark.
 * @param {readonly JudgedRoll[]} rolls
 */
export function reviewFigures(rolls) {
	let [eyes, right, untold, frames, keepers, shut, shutFound, open, shutFalse, fell, fellRight] =
		new Array(11).fill(0);
	let [pairs, named] = [0, 0];
	for (const { set, truth } of rolls) {
		/** @type {Map<string, { px: number, order: number }[]>} */
		const byEye = new Map();
		for (const reviewed of set.frames) {
			const true_ = truth.find(({ file }) => file === reviewed.frame.name);
			if (!true_) continue;
			const perMm = true_.widthPx / true_.widthMm;
			frames += 1;
			if (reviewed.isGood === true_.isGood) keepers += 1;
			if (reviewed.fell) {
				fell += 1;
				if (isWithin(reviewed.fell, true_.focusedM ?? Infinity)) fellRight += 1;
			}
			reviewed.faces.forEach((face, i) => {
				const known = true_.faces.find(({ personId }) => personId === set.people[i]?.id);
				if (!face || !known) return;
				if (known.isShut) {
					shut += 1;
					if (face.isShut) shutFound += 1;
					return;
				}
				open += 1;
				if (face.isShut) shutFalse += 1;
				for (const side of /** @type {const} */ (['left', 'right'])) {
					const eye = known.landmarks.find(({ landmark }) => landmark === `${side}-eye`);
					if (!eye) continue;
					const px = perMm * Math.hypot(eye.defocusMm, eye.streakMm.x, eye.streakMm.y);
					if (px > MOST_PX) continue;
					eyes += 1;
					const blur = face.blurs[side];
					if (!blur) {
						untold += 1;
						continue;
					}
					const off = Math.abs(Math.hypot(blur.discPx, blur.streakPx) - px);
					if (off < Math.max(0.8, 0.2 * px)) right += 1;
					const key = `${i} ${side}`;
					byEye.set(key, [
						...(byEye.get(key) ?? []),
						{ px: Math.hypot(px, PIXEL_PX), order: blur.order }
					]);
				}
			});
		}
		for (const all of byEye.values()) {
			for (const a of all) {
				for (const b of all) {
					if (b.px <= SHARPER_TIMES * a.px) continue;
					pairs += 1;
					if (a.order < b.order) named += 1;
				}
			}
		}
	}
	return {
		eyes,
		blurRight: share(right, eyes),
		cannotTell: share(untold, eyes),
		pairs,
		sharperNamed: share(named, pairs),
		frames,
		keepersRight: share(keepers, frames),
		shutFound: share(shutFound, shut),
		shutFalse: share(shutFalse, open),
		fellWithin: share(fellRight, fell)
	};
}

/**
 * Whether a plane lies between what was said; where either side is as likely, around either.
 * @param {import('../../src/core/review/whereFocusFell').FocusFell} fell
 * @param {number} planeM
 */
function isWithin({ nearM, farM, otherwiseM }, planeM) {
	if (planeM >= nearM && planeM <= farM) return true;
	const half = (1 / nearM - 1 / farM) / 2;
	return otherwiseM !== null && Math.abs(1 / planeM - 1 / otherwiseM) <= half;
}

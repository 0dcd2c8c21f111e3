/** @typedef {import('./photographLab').Trip} Trip */
/** @typedef {import('./photographLab').Compared} Compared */
/** @typedef {Compared & { found: NonNullable<Compared['found']> }} Found */

/** @param {Compared} one @returns {one is Found} */
const isFound = (one) => one.found !== null;

/**
 * @template T
 * @param {readonly T[]} all
 * @param {(one: T) => boolean} holds
 */
const share = (all, holds) => all.filter(holds).length / Math.max(1, all.length);

/** @param {Found} one */
const off = (one) => Math.abs(one.found.depthM - one.depthM);

/**
 * What was found in photographs against what is true, as shares: for the tests and the benchmark.
 * @param {readonly Trip[]} trips
 */
export function figuresOf(trips) {
	const wanted = trips
		.flatMap((trip) => trip.people)
		.filter((one) => one.isToBeFound && one.earsPx >= 40);
	const found = wanted.filter(isFound);
	const turned = found.filter((one) => Math.abs(one.turnDeg) <= 45);
	const pairs = trips.flatMap(({ people }) => {
		const seen = people.filter(isFound).filter((one) => one.isToBeFound);
		return seen.flatMap((near) =>
			seen.filter((far) => near.row < far.row).map((far) => ({ near, far }))
		);
	});
	return {
		people: wanted.length,
		recall: share(wanted, isFound),
		nobody: trips.reduce((sum, { others }) => sum + others, 0),
		depthWithin8: share(found, (one) => off(one) < 0.08 * one.depthM),
		withinSpread: share(found, (one) => off(one) < one.found.sigmaM),
		rowsInOrder: share(pairs, ({ near, far }) => near.found.row < far.found.row),
		rightRow: share(found, (one) => one.found.row === one.row),
		turnWithin8: share(turned, (one) => Math.abs(one.found.turnDeg - one.turnDeg) < 8)
	};
}

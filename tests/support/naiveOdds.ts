import type { Take } from '$core/study/candidate';
import { techniqueOf } from '$core/study/technique';
import { landmarkPoint } from '$core/anatomy/head';
import { seenFrom, type CameraPoint } from '$core/geometry/camera';

/**
 * The odds once more, written down plainly from the model: every frame is drawn by pure chance and
 * judged on its own. No source but the model's text; shares nothing with the odds of the core but
 * where people and their landmarks are.
 */

/** A generator of its own: xorshift128 (Marsaglia, "Xorshift RNGs", 2003, from memory). */
function uniforms(seed: number): () => number {
	let [x, y, z, w] = [123456789 ^ seed, 362436069, 521288629, 88675123];
	return () => {
		const t = x ^ (x << 11);
		x = y;
		y = z;
		z = w;
		w = w ^ (w >>> 19) ^ (t ^ (t >>> 8));
		return ((w >>> 0) + 0.5) / 4294967296;
	};
}

/** Share of frames sharp, blinks left aside, at a shutter. */
export function naiveSharpShare(take: Take, shutterS: number, frames: number, seed = 5): number {
	const { scene, candidate, fNumber } = take;
	const { shot, targets, sightings, toleranceMm } = scene;
	const { body, lens, camera, choices } = shot;
	const uniform = uniforms(seed);
	// Box and Muller, 1958
	let spare = NaN;
	const normal = () => {
		if (!Number.isNaN(spare)) {
			const kept = spare;
			spare = NaN;
			return kept;
		}
		const radius = Math.sqrt(-2 * Math.log(uniform()));
		const angle = 2 * Math.PI * uniform();
		spare = radius * Math.sin(angle);
		return radius * Math.cos(angle);
	};
	const f = camera.focalMm;
	const { technique, mode, isSensitive, reframeErrorM } = techniqueOf(take, null);
	const byHand = technique === 'manual';
	const isAway = technique === 'reframe' || technique === 'lean';
	const lag = byHand ? 1 : isAway ? 1 : mode === 'continuous' ? 0.05 : 0.3;
	const r = Math.sqrt(2 * (1 - Math.exp(-lag)));
	const sway = { handheld: 6, braced: 3, kneeling: 2.5, monopod: 2, tripod: 0.3 }[camera.support];
	const steady = { handheld: 1, braced: 0.5, kneeling: 0.5, monopod: 0.35, tripod: 0 }[
		camera.support
	];
	const diagonal = Math.hypot(body.sensor.widthMm, body.sensor.heightMm);
	const album = (0.03 * diagonal) / 43.2666;
	const crop = 43.2666 / diagonal;
	const [short, long] = lens.focalMm;
	const [atShort, atLong] = lens.widestFNumber;
	const widest =
		long === short ? atShort : atShort + ((atLong - atShort) * (f - short)) / (long - short);
	const q = byHand
		? choices.focusBy === 'hand-finder'
			? 0.5
			: 0.2
		: isAway || isSensitive
			? 0.25
			: 0.4;
	const wrong = byHand
		? 0
		: choices.focusBy === 'area'
			? 0.15
			: choices.focusBy === 'whole-frame'
				? 0.27
				: 0.03;
	const shakeScale =
		(album * f * crop * steady * 0.45) / 2 ** Math.max(body.stabiliserStops, lens.stabiliserStops);
	const plane = candidate.planeM + (technique === 'reframe' ? reframeErrorM : 0);
	const lean = technique === 'lean' ? Math.abs(candidate.leanM ?? 0) / 10 : 0;
	const people = sightings
		.filter(({ person }) => targets.some(({ personId }) => personId === person.id))
		.map(({ person, head }) => {
			const kind = { adult: 0, child: 1, infant: 1, cat: 2, dog: 2 }[person.build];
			const a = (person.motion === 'restless' ? [15, 25, 30] : [5, 8, 6])[kind] as number;
			const [median, spread] = {
				still: [10, 1],
				restless: [80, 1],
				walking: [150, 0.4]
			}[person.motion] as [number, number];
			const own = targets
				.filter(({ personId }) => personId === person.id)
				.map(({ landmark, factor }) => {
					if (landmark === 'thing') throw new Error('a thing is nobody’s');
					const seen = seenFrom(scene.pose, landmarkPoint(head, landmark));
					return { seen, allowed: factor * toleranceMm };
				});
			return { person, a, median, spread, own };
		});
	const things = targets
		.filter(({ personId }) => personId === null)
		.map(({ seen, factor }) => ({ seen, allowed: factor * toleranceMm }));
	const followed = technique === 'manual' && candidate.kind === 'plane' ? null : candidate.personId;

	/** Whether an aim is sharp in a frame that is focused at a depth, m, with the image plane at v, mm. */
	const isGood = (
		{ seen, allowed }: Aim,
		frame: { focused: number; v: number; forward: number; shake: number },
		away: number,
		speed: number
	): boolean => {
		const { focused, v, forward, shake } = frame;
		const depth = seen.depthM + away - forward;
		const cosine = depth / Math.sqrt(depth ** 2 + seen.rightM ** 2 + seen.upM ** 2);
		const surface = focused * (1 - lens.fieldBend * (1 - cosine));
		const defocus = ((f / fNumber) * v * (1 / depth - 1 / surface)) / 1000;
		const motion = (shutterS * speed * v) / (1000 * depth);
		return defocus ** 2 + motion ** 2 + shake ** 2 <= allowed ** 2;
	};

	const lock = people.findIndex(({ person }) => person.id === followed);
	const unsure = people.map(() => 0);
	let sharp = 0;
	for (let i = 0; i < frames; i++) {
		if (uniform() < wrong) continue;
		const forward = (sway / 1000) * r * normal() + lean * normal();
		const missed = q * widest * album * normal();
		const shake = shutterS * shakeScale * Math.sqrt(-2 * Math.log(uniform()));
		const foresight = 0.03 * normal();
		people.forEach(({ person }, p) => {
			if (person.depthSigmaM > 0) unsure[p] = person.depthSigmaM * normal();
		});
		const s = (plane + (unsure[lock] ?? 0)) * 1000;
		const v = (s * f) / (s - f) + missed;
		const focused = (v * f) / (v - f) / 1000;
		const frame = { focused, v, forward, shake };
		const isSharp =
			things.every((one) => isGood(one, frame, 0, 0)) &&
			people.every(({ person, a, median, spread, own }, p) => {
				const walked = person.motion === 'walking' ? (mode === 'continuous' ? foresight : -lag) : 0;
				const away = (a / 1000) * r * normal() + walked + (unsure[p] ?? 0);
				const speed = median * Math.exp(spread * normal());
				return own.every((one) => isGood(one, frame, away, speed));
			});
		if (isSharp) sharp += 1;
	}
	return sharp / frames;
}

/** A point that must be sharp, and the blur it allows, mm. */
interface Aim {
	readonly seen: CameraPoint;
	readonly allowed: number;
}

import { shareOfBest, type MeasuredSharpness } from '../format/sharpness';
import type { Body, Lens, Shot } from '../format/shot';
import { nominalFNumber } from '../optics/fNumber';
import { byOrder } from '../numeric/order';
import type { Study } from '../study/study';
import { lensWays } from './lensWays';
import { prospectWith } from './prospect';

/** What a lens would make of a shot of the day. */
export interface LensOnShot {
	/** Used at, mm. */
	readonly focalMm: number;
	/** As engraved; null when it can focus on nobody from where it would have to stand. */
	readonly fNumber: number | null;
	/** Share of good frames. */
	readonly goodShare: number;
	/** Things and backgrounds that become as wanted, and how many are asked for. */
	readonly intentsMet: number;
	readonly intents: number;
	/** The place does not allow it. */
	readonly isOutOfRoom: boolean;
	/** How far the camera moves back from where it was planned, m; forward negative. */
	readonly backM: number;
	/** The share of its best that it gives there; null where that was not measured. */
	readonly sharpShare: number | null;
}

/** The same shot with another body, framed alike from where the camera is; settings that the body has not are left to it. */
export function onBody(shot: Shot, body: Body): Shot {
	const { shutterS, isoRule, ...rest } = shot.choices;
	const [lowest, highest] = body.iso;
	const hasIso = typeof isoRule === 'number' && (isoRule < lowest || isoRule > highest);
	const hasShutter = shutterS !== undefined && shutterS >= body.fastestShutterS;
	const choices = {
		...rest,
		...(hasShutter ? { shutterS } : {}),
		...(isoRule === undefined || hasIso ? {} : { isoRule })
	};
	const focalMm = (shot.camera.focalMm * body.sensor.widthMm) / shot.body.sensor.widthMm;
	return { ...shot, body, choices, camera: { ...shot.camera, focalMm } };
}

/** The best that a lens makes of a shot, framed as it is; null where it has no way at all. */
export function lensOnShot(
	study: Study,
	lens: Lens,
	sharpness: MeasuredSharpness | undefined
): LensOnShot | null {
	const judged = lensWays(study, [lens]).map((way) => {
		const then = way.fNumber === null ? null : prospectWith(study, way.shot);
		return { way, goodShare: then?.goodShare ?? 0 };
	});
	const best = judged.toSorted((a, b) =>
		byOrder(
			[Number(a.way.isOutOfRoom), -a.goodShare, Math.abs(a.way.backM)],
			[Number(b.way.isOutOfRoom), -b.goodShare, Math.abs(b.way.backM)]
		)
	)[0];
	if (!best) return null;
	const { way, goodShare } = best;
	const fNumber = way.fNumber === null ? null : nominalFNumber(way.fNumber);
	return {
		focalMm: way.focalMm,
		fNumber,
		goodShare,
		intentsMet: way.intentsMet,
		intents: way.intents,
		isOutOfRoom: way.isOutOfRoom,
		backM: way.backM,
		sharpShare: fNumber === null || !sharpness ? null : shareOfBest(sharpness, fNumber)
	};
}

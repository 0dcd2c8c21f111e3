import type { Take } from '$core/study/candidate';
import { hasCrowd, movingIds, type WideShot } from '$core/study/wideShot';
import type { Stitch, StitchFrame, StitchProblem } from '$core/technique/stitching';
import { listed } from './listed';
import { nameOfId } from './names';
import { decimal, depthWords, distance, type Units } from './numbers';

/** A view wider than the lens, from many frames, in words. */

/** Why it cannot be had, and what would. */
export function stitchProblemWords(problem: StitchProblem, mostFrames: number): string {
	switch (problem.why) {
		case 'too-wide':
			return 'A flat picture ends before 180 degrees, and nobody turns past straight up: ask for less.';
		case 'one-frame':
			return 'One frame holds that already: ask for more, or take a longer lens.';
		case 'too-many':
			return `That takes ${problem.frames} frames (${problem.columns} × ${problem.rows}), more than ${mostFrames}. A shorter lens, less overlap or a smaller view takes fewer.`;
	}
}

/** "5 × 4, 20 frames: like 24 mm at f/0.4, 92 megapixels." */
export function stitchWords({ columns, rows, frames, focalMm, fNumber, ...px }: Stitch): string {
	const megapixels = Math.round((px.widthPx * px.heightPx) / 1e6);
	return `${columns} × ${rows}, ${frames.length} frames: the view at ${Math.round(focalMm)} mm, the blur of f/${decimal(fNumber, fNumber < 1 ? 2 : 1)}, ${megapixels} megapixels.`;
}

/** "From frame to frame 13 degrees, about two thirds of a frame; from row to row 9." */
export function stepWords({ panStepDeg, tiltStepDeg, columns, rows }: Stitch): string {
	const across = columns > 1 ? [`${Math.round(panStepDeg)}° from frame to frame`] : [];
	const down = rows > 1 ? [`${Math.round(tiltStepDeg)}° from row to row`] : [];
	return `Turn ${listed([...across, ...down])}.`;
}

/** "Sharp from 2.9 to 3.1 m, all round: the focus stays as far from you wherever you turn." */
export function shellWords({ nearM, farM, focus }: WideShot, units: Units): string {
	const before = depthWords(focus.planeM - nearM, units);
	const behind = Number.isFinite(farM) ? depthWords(farM - focus.planeM, units) : 'far away';
	return `Sharp ${distance(focus.planeM, units)} from you wherever you turn, ${before} before that and ${behind} behind: a shell, not a wall.`;
}

const wayBetween = (from: StitchFrame, to: StitchFrame): string => {
	const across = to.column - from.column;
	const down = to.row - from.row;
	const level = across === 0 ? '' : across > 0 ? 'right' : 'left';
	const steep = down === 0 ? '' : down > 0 ? 'down' : 'up';
	return [steep, level].filter(Boolean).join(' and ');
};

/** "1 on the face, 2 right, 3 down, 4 and 5 left, …": the whole way, frame by frame. */
export function pathWords({ frames }: Stitch, on: string): string {
	const runs: { way: string; from: number; to: number }[] = [];
	frames.slice(1).forEach((frame, i) => {
		const way = wayBetween(frames[i] as StitchFrame, frame);
		const last = runs.at(-1);
		if (last?.way === way) last.to = i + 2;
		else runs.push({ way, from: i + 2, to: i + 2 });
	});
	const told = runs.map(({ way, from, to }) =>
		from === to ? `${from} ${way}` : `${from} to ${to} ${way}`
	);
	return `1 on ${on}; ${told.join('; ')}.`;
}

/** What moves meanwhile; empty where nothing does. */
export function movingWords(take: Take): string {
	const { shot } = take.scene;
	const names = movingIds(take).map((id) => nameOfId(shot, id));
	const who = [...names, ...(hasCrowd(take) ? ['the crowd'] : [])];
	return who.length > 0
		? `${listed(who)} will have moved before the last frame: take them quickly, in one frame each.`
		: '';
}

/** Section 9’s reminders. */
export const WIDE_REMINDERS = [
	'Lock focus, exposure and white balance after the first frame: the focus to manual.',
	'The person first, and quickly; nobody moves until the frames around them are taken.',
	'More than one try, and room at the edges: they are cropped.'
] as const;

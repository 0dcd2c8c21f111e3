import type { MeasuredFrame } from '$core/format/review';
import type { Body, Shot } from '$core/format/shot';
import { reviewSet, type ReviewedSet } from '$core/review/reviewSet';
import { serve } from './protocol';

/** Judges the frames of a shot together, beside the page. */

export interface SetQuestion {
	readonly frames: readonly MeasuredFrame[];
	readonly shot: Shot | null;
	readonly bodies: readonly Body[];
}

export type JudgingQuestions = {
	readonly set: { question: SetQuestion; partial: never; answer: ReviewedSet };
};

serve<JudgingQuestions>({ set: ({ frames, shot, bodies }) => reviewSet(frames, shot, bodies) });

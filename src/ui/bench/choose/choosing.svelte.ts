import { SvelteMap } from 'svelte/reactivity';
import type { LensOnShot } from '$core/advice/lensOnShot';
import { NO_NOTES, type LensNotes } from '$core/format/lensNotes';
import type { MeasuredSharpness } from '$core/format/sharpness';
import type { Body, Shot } from '$core/format/shot';
import { median } from '$core/numeric/median';
import { widestFNumber } from '$core/optics/fNumber';
import type { Spreads } from '$core/tables/spreads';
import type { KitLens } from '$data/store/database';
import { goingOn } from '$data/kitContents';
import { choosingPort } from '../../../workers/ports';
import { LongWork } from '../../working/longWork.svelte';

/** Lenses weighed against each other on one body. */

export interface Filter {
	/** A focal length that it must reach, mm; null: any. */
	readonly focalMm: number | null;
	/** It must open as wide as that, there; null: any. */
	readonly fNumber: number | null;
}

/** The lenses that go on a body and are as wanted. */
export const filtered = (
	lenses: readonly KitLens[],
	body: Body,
	{ focalMm, fNumber }: Filter
): KitLens[] =>
	goingOn(lenses, body).filter(({ lens }) => {
		const [short, long] = lens.focalMm;
		const at = focalMm ?? short;
		return (
			at >= short && at <= long && (fNumber === null || widestFNumber(lens, at) <= fNumber + 1e-6)
		);
	});

export const notesOf = ({ notes }: KitLens): LensNotes => notes ?? NO_NOTES;

/** What a lens makes of a whole day. */
export interface OverDay {
	/** The share of good frames in the middle of the shots; null while nothing is known. */
	readonly goodShare: number | null;
	/** Shots that it cannot take: out of room, or too near to focus. */
	readonly lost: number;
	readonly intentsMet: number;
	readonly intents: number;
	/** The least of its best that it gives in any of them; null where that was not measured. */
	readonly leastSharp: number | null;
}

export function overDay(made: readonly (LensOnShot | null)[]): OverDay {
	const able = made.flatMap((one) => (one && !one.isOutOfRoom && one.fNumber ? [one] : []));
	const sharp = able.flatMap(({ sharpShare }) => sharpShare ?? []);
	return {
		goodShare: able.length > 0 ? median(able.map((one) => one.goodShare)) : null,
		lost: made.length - able.length,
		intentsMet: able.reduce((sum, one) => sum + one.intentsMet, 0),
		intents: able.reduce((sum, one) => sum + one.intents, 0),
		leastSharp: sharp.length > 0 ? Math.min(...sharp) : null
	};
}

/** What lenses make of the shots of a day, worked out beside the page, shot by shot. */
export class DayByLens {
	readonly work = new LongWork();
	/** By the id of the lens, in the order of the shots; those that are not worked out yet are missing. */
	readonly made = new SvelteMap<string, readonly (LensOnShot | null)[]>();

	/** Works it out anew. */
	async ask(
		shots: readonly Shot[],
		body: Body,
		entries: readonly KitLens[],
		spreads: Spreads
	): Promise<void> {
		this.made.clear();
		if (shots.length === 0 || entries.length === 0) return;
		const lenses = entries.map(
			({ lens, sharpness }): { lens: typeof lens; sharpness: MeasuredSharpness | undefined } => ({
				lens,
				sharpness
			})
		);
		let done = 0;
		await this.work.run((signal) =>
			choosingPort.ask(
				'lensesOnShots',
				{ shots, body, lenses, spreads },
				{
					signal,
					tell: (made) => {
						entries.forEach(({ id }, i) => {
							this.made.set(id, [...(this.made.get(id) ?? []), made[i] ?? null]);
						});
						this.work.share = ++done / shots.length;
					}
				}
			)
		);
	}
}

import { shootOptionsText as say } from '$words/screens/practice';
import type { Body } from '$core/format/shot';
import { nominalIso, isosBetween, shuttersBetween } from '$core/light/dials';
import { nominalFNumber } from '$core/optics/fNumber';
import type { Solution } from '$core/study/plan';
import { settingsOf } from '$core/study/settings';
import { shutterWords } from '$words/light';
import { decimal, fStop } from '$words/numbers';

/** What the practice camera can be set to, as lists to choose from. */

/** Left to the plan, and the light. */
export const PLANNED_SETTING = '';
const SLOWEST_S = 1;
/** Long sides of frames smaller than the sensor's own, px. */
const SMALLER_PX = [1200, 2400];

interface Option {
	readonly value: string;
	readonly text: string;
}

/** f-numbers, shutters and ISO, the plan's own first. */
export function settingOptions({ take, plan, study }: Solution) {
	const { body } = study.shot;
	const planned = take && settingsOf(take);
	const withPlanned = (words: string, all: readonly Option[]): Option[] => [
		{ value: PLANNED_SETTING, text: say.asPlanned(words) },
		...all
	];
	return {
		fNumbers: withPlanned(
			planned ? fStop(nominalFNumber(planned.fNumber)) : '',
			plan.ladder.map((rung) => ({ value: String(rung.fNumberExact), text: fStop(rung.fNumber) }))
		),
		shutters: withPlanned(
			planned ? shutterWords(planned.shutterS) : '',
			shuttersBetween(SLOWEST_S, body.fastestShutterS).map((seconds) => ({
				value: String(seconds),
				text: shutterWords(seconds)
			}))
		),
		isos: withPlanned(
			planned ? String(nominalIso(planned.iso)) : '',
			isosBetween(...body.iso).map((value) => ({ value: String(value), text: String(value) }))
		)
	};
}

/** Sizes of frames by their long side, px, up to the sensor's own. */
export function sizeOptions({ sensor }: Pick<Body, 'sensor'>): Option[] {
	const { pixelsAcross, widthMm, heightMm } = sensor;
	return [...SMALLER_PX.filter((px) => px < pixelsAcross), pixelsAcross].map((px) => ({
		value: String(px),
		text: say.megapixels(decimal((px * px * heightMm) / widthMm / 1e6, 1))
	}));
}

import { nominalIso, nominalShutter } from '$core/light/dials';
import type { Exposure } from '$core/light/exposure';
import type { TakenSettings } from '$core/format/job';
import type { LightFlag } from '$core/format/plan';
import type { Shot } from '$core/format/shot';
import { fStop, rounded, toUnits, type Units } from './numbers';

/** Light and exposure as one says them. */

/** "1/160", "0.5 s", "4 s"; a minute and more in minutes. */
export function shutterWords(shutterS: number): string {
	if (shutterS > 34)
		return shutterS < 90 ? `${Math.round(shutterS)} s` : `${Math.round(shutterS / 60)} min`;
	const shown = nominalShutter(shutterS);
	return shown < 0.35 ? `1/${Math.round(1 / shown)}` : `${shown} s`;
}

/** "ISO 800". */
export const isoWords = (iso: number): string => `ISO ${nominalIso(iso)}`;

/** Power of a flash in third stops: "full power", "1/8", "1/8 + 1/3 stop". */
export function powerWords(power: number): string {
	const thirds = Math.round(3 * Math.log2(power));
	if (thirds >= 0) return 'full power';
	const below = Math.floor(thirds / 3);
	const more = thirds - 3 * below;
	const whole = `1/${2 ** -below}`;
	return more === 0 ? `${whole} power` : `${whole} power + ${more}/3 stop`;
}

/**
 * Light in plain words, EV at ISO 100, brightest first. Out of doors after the exposure guide of
 * ANSI PH2.7 (from memory); indoors common practice, no source.
 */
export const LIGHT_WORDS = [
	{ words: 'bright sun', ev100: 15 },
	{ words: 'hazy sun, soft shadows', ev100: 14 },
	{ words: 'bright cloud, no shadows', ev100: 13 },
	{ words: 'overcast', ev100: 12 },
	{ words: 'open shade', ev100: 12 },
	{ words: 'under trees, late sun', ev100: 10 },
	{ words: 'bright window', ev100: 9 },
	{ words: 'lit stage', ev100: 8 },
	{ words: 'well-lit room', ev100: 7 },
	{ words: 'room in the evening', ev100: 5 },
	{ words: 'candle-lit hall', ev100: 4 },
	{ words: 'street at night', ev100: 3 }
] as const;

type Shown = Pick<Exposure, 'shutterS' | 'iso' | 'flashPower'>;

/** "1/160, ISO 800", with flash "1/200, ISO 100, flash at 1/8 power"; empty while unknown. */
export function exposureWords(exposure: Shown | null): string {
	if (!exposure) return '';
	const { shutterS, iso, flashPower } = exposure;
	const flash = flashPower === null ? '' : `, flash at ${powerWords(flashPower)}`;
	return `${shutterWords(shutterS)}, ${isoWords(iso)}${flash}`;
}

/** What was really used: "f/4, 1/200, ISO 800, 85 mm"; empty where nothing was noted. */
export function takenWords({ fNumber, shutterS, iso, focalMm }: TakenSettings): string {
	return [
		fNumber === undefined ? '' : fStop(fNumber),
		shutterS === undefined ? '' : shutterWords(shutterS),
		iso === undefined ? '' : `ISO ${iso}`,
		focalMm === undefined ? '' : `${Math.round(focalMm)} mm`
	]
		.filter(Boolean)
		.join(', ');
}

/** What is wrong, in a word or two beside a number. */
export const FLAG_WORDS: Readonly<Record<LightFlag, string>> = {
	'iso-above-comfort': 'above what you like',
	'iso-high': 'too dark',
	'too-bright': 'too bright',
	'too-slow': 'too slow',
	'no-power': 'flash too weak',
	sync: 'too fast for the flash',
	'room-light': 'room light shows'
};

/** The plain words nearest to an EV; the first of those as near. */
export function wordsOfEv(ev100: number): string {
	const away = (one: (typeof LIGHT_WORDS)[number]) => Math.abs(one.ev100 - ev100);
	return LIGHT_WORDS.reduce((best, one) => (away(one) < away(best) ? one : best)).words;
}

const ev = (value: number) => `EV ${rounded(value, 1)}`;

/** The light of a shot in short: "overcast, EV 12", "flash, guide number 36 m". */
export function lightInShort({ light }: Shot, units: Units): string {
	if (!light) return 'not known';
	return light.mode === 'ambient'
		? `${wordsOfEv(light.ev100)}, ${ev(light.ev100)}`
		: `flash, guide number ${rounded(toUnits(light.guideNumberM, units), 1)} ${units}`;
}

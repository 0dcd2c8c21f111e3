import { isoWords, powerWords, shutterWords } from '$core/light/dials';
import type { Exposure, LightFlag } from '$core/light/exposure';
import { LIGHT_WORDS } from '$core/light/ev';
import type { Shot } from '$core/format/shot';

/** Light and exposure as one says them. */

type Shown = Pick<Exposure, 'shutterS' | 'iso' | 'flashPower'>;

/** "1/160, ISO 800", with flash "1/200, ISO 100, flash at 1/8 power"; empty while unknown. */
export function exposureWords(exposure: Shown | null): string {
	if (!exposure) return '';
	const { shutterS, iso, flashPower } = exposure;
	const flash = flashPower === null ? '' : `, flash at ${powerWords(flashPower)}`;
	return `${shutterWords(shutterS)}, ${isoWords(iso)}${flash}`;
}

/** What is wrong, in a word or two beside a number. */
export const FLAG_WORDS: Readonly<Record<LightFlag, string>> = {
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

const ev = (value: number) => `EV ${Number(value.toFixed(1))}`;

/** The light of a shot in short: "overcast, EV 12", "flash, GN 36 at 3 m". */
export function lightInShort({ light }: Shot): string {
	if (!light) return 'not known';
	return light.mode === 'ambient'
		? `${wordsOfEv(light.ev100)}, ${ev(light.ev100)}`
		: `flash, guide number ${Number(light.guideNumberM.toFixed(1))}`;
}

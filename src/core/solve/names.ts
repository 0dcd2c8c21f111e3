import type { TargetResult } from '../format/plan';
import type { Landmark, Shot } from '../format/shot';

/** People, things and stops as one says them. */

const LANDMARK_WORDS: Readonly<Record<Landmark, string>> = {
	'left-eye': 'left eye',
	'right-eye': 'right eye',
	'nose-tip': 'nose',
	chin: 'chin',
	hairline: 'hairline'
};

/** The name of a person, or the label of a thing; empty for nobody. */
export function nameOfId(shot: Shot, id: string | null): string {
	return (
		shot.people.find((person) => person.id === id)?.name ??
		shot.things.find((thing) => thing.id === id)?.label ??
		''
	);
}

/** "Ilinca’s left eye", "the trumpet". */
export function nameOf(
	shot: Shot,
	{ personId, thingId, landmark }: Pick<TargetResult, 'personId' | 'thingId' | 'landmark'>
): string {
	const name = nameOfId(shot, personId ?? thingId ?? null);
	return landmark === 'thing' ? name : `${name}’s ${LANDMARK_WORDS[landmark]}`;
}

/** "1.0 stop", "2.3 stops". */
export const aStop = (stops: number) =>
	`${stops.toFixed(1)} ${stops.toFixed(1) === '1.0' ? 'stop' : 'stops'}`;

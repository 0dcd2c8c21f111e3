import type { SpotRef } from '$core/format/reasons';
import type { Shot } from '$core/format/shot';
import { BACKGROUND_ID } from '$core/study/scene';
import { landmarkFacts } from '$core/tables/landmarks';

/** People, things and parts of a face as one says them. */

/** The name of a person, or the label of a thing; empty for nobody. */
export function nameOfId(shot: Shot, id: string | null): string {
	return (
		shot.people.find((person) => person.id === id)?.name ??
		shot.things.find((thing) => thing.id === id)?.label ??
		(id === BACKGROUND_ID ? 'background' : '')
	);
}

/** "Ilinca’s left eye", "the trumpet"; empty for a place in the air. */
export function nameOf(shot: Shot, { personId, thingId, landmark }: SpotRef): string {
	const name = nameOfId(shot, personId ?? thingId ?? null);
	return landmark === 'thing' ? name : `${name}’s ${landmarkFacts(landmark).words}`;
}

/** What a plan or an odds file points at, null where it points at nothing. */
export const spotRef = (spot: {
	readonly personId: string | null;
	readonly thingId: string | null;
	readonly landmark: SpotRef['landmark'] | null;
}): SpotRef => ({
	landmark: spot.landmark ?? 'thing',
	...(spot.personId ? { personId: spot.personId } : {}),
	...(spot.thingId ? { thingId: spot.thingId } : {})
});

/** Somebody's name; the id where the shot does not know it. */
export const personName = (shot: Shot, id: string): string =>
	shot.people.find((one) => one.id === id)?.name ?? id;

/** Whether a label is of several: "lanterns", not "glass". */
export const isPlural = (label: string): boolean => label.endsWith('s') && !label.endsWith('ss');

/** "Radu", "Radu and Noor", "Radu, Noor and 3 more". */
export function namesOf(names: readonly string[], most = 3): string {
	if (names.length <= 1) return names[0] ?? '';
	if (names.length <= most) return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
	const shown = most - 1;
	return `${names.slice(0, shown).join(', ')} and ${names.length - shown} more`;
}

/**
 * A sentence in parts, so that names can be set apart from it: a name written from right to left
 * must not turn the words around it.
 */
export function splitNames(
	text: string,
	names: readonly string[]
): { readonly text: string; readonly isName: boolean }[] {
	// longer names first, so that "Ana Maria" is not taken for "Ana"
	const known = names.filter(Boolean).toSorted((a, b) => b.length - a.length);
	if (known.length === 0) return [{ text, isName: false }];
	const escaped = known.map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
	return text
		.split(new RegExp(`(?<![\\p{L}\\p{N}])(${escaped.join('|')})(?![\\p{L}\\p{N}])`, 'u'))
		.filter(Boolean)
		.map((part) => ({ text: part, isName: known.includes(part) }));
}

/** Bodies and lenses to choose from by their names, which need not differ. */

interface HasName {
	readonly name: string;
}

/** Options whose values are places in the list; the second of one name is told apart by a number. */
export const byName = (all: readonly HasName[]) =>
	all.map(({ name }, place) => {
		const before = all.slice(0, place).filter((one) => one.name === name).length;
		return { value: String(place), text: before === 0 ? name : `${name} (${before + 1})` };
	});

/** The place in the list of what is used: the very same, else the first of its name; empty when neither. */
export function indexByName(all: readonly HasName[], own: HasName | null): string {
	if (!own) return '';
	const text = JSON.stringify(own);
	const same = all.findIndex((one) => JSON.stringify(one) === text);
	const place = same >= 0 ? same : all.findIndex(({ name }) => name === own.name);
	return place < 0 ? '' : String(place);
}

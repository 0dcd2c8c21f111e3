import isEqual from 'fast-deep-equal';

/**
 * Two changes of the same record, made by two windows that did not know of each other, put together:
 * part by part, so that what only one of them changed is simply taken.
 */

export interface Merged<T> {
	readonly value: T;
	/** Parts that both changed, each otherwise; there `value` has mine. */
	readonly conflicts: readonly string[];
}

/**
 * @param base   what both began from
 * @param mine   kept where both changed the same part
 * @example merged({ a: 1, b: 1 }, { a: 2, b: 1 }, { a: 1, b: 3 }).value // { a: 2, b: 3 }
 */
export function merged<T>(base: T, mine: T, theirs: T): Merged<T> {
	const conflicts: string[] = [];
	return { value: part(base, mine, theirs, '', conflicts) as T, conflicts };
}

type Fields = Readonly<Record<string, unknown>>;

function part(
	base: unknown,
	mine: unknown,
	theirs: unknown,
	path: string,
	conflicts: string[]
): unknown {
	if (isEqual(mine, base) || isEqual(mine, theirs)) return theirs;
	if (isEqual(theirs, base)) return mine;
	if (isFields(mine) && isFields(theirs)) {
		return fields(isFields(base) ? base : {}, mine, theirs, path, conflicts);
	}
	if (isRecords(base) && isRecords(mine) && isRecords(theirs)) {
		return records(base, mine, theirs, path, conflicts);
	}
	conflicts.push(path);
	return mine;
}

function fields(base: Fields, mine: Fields, theirs: Fields, path: string, conflicts: string[]) {
	const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
	const pairs = keys.map((key) => {
		const under = path ? `${path}.${key}` : key;
		return [key, part(base[key], mine[key], theirs[key], under, conflicts)];
	});
	return Object.fromEntries(pairs.filter(([, value]) => value !== undefined)) as Fields;
}

/** Lists of records that have ids: theirs in their order, then what I added. */
function records(
	base: readonly Identified[],
	mine: readonly Identified[],
	theirs: readonly Identified[],
	path: string,
	conflicts: string[]
): Identified[] {
	const of = (list: readonly Identified[], id: string) => list.find((one) => one.id === id);
	const ids = [...new Set([...theirs, ...mine].map(({ id }) => id))];
	return ids.flatMap((id) => {
		const [was, my, their] = [of(base, id), of(mine, id), of(theirs, id)];
		const under = `${path}.${id}`;
		const gone = my === undefined || their === undefined;
		if (was && gone) {
			// taken out by one: it goes, unless the other changed it meanwhile
			const left = my ?? their;
			if (left === undefined || isEqual(left, was)) return [];
			conflicts.push(under);
			return my ? [my] : [];
		}
		return [part(was, my ?? their, their ?? my, under, conflicts) as Identified];
	});
}

interface Identified {
	readonly id: string;
}

const isFields = (value: unknown): value is Fields =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

const isRecords = (value: unknown): value is Identified[] =>
	Array.isArray(value) && value.every((one) => isFields(one) && typeof one['id'] === 'string');

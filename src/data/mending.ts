/** Changing a record that the schemas refuse, whatever it is, by the paths at which it is refused. */

type Fields = Readonly<Record<string, unknown>>;

const isGroup = (value: unknown): value is Fields | readonly unknown[] =>
	typeof value === 'object' && value !== null;

/** What stands at a path such as `shot.people.3.turnDeg`; undefined where there is nothing. */
export function valueAt(record: unknown, path: string): unknown {
	return path
		.split('.')
		.reduce<unknown>(
			(value, key) =>
				isGroup(value) && Object.hasOwn(value, key) ? (value as Fields)[key] : undefined,
			record
		);
}

/** The record with something else at a path; undefined leaves it out. What is on the way there is made. */
export function withValueAt(record: unknown, path: string, value: unknown): unknown {
	const [key = '', ...rest] = path.split('.');
	const next =
		rest.length > 0
			? withValueAt(isGroup(record) ? (record as Fields)[key] : undefined, rest.join('.'), value)
			: value;
	if (Array.isArray(record)) {
		const items = record as readonly unknown[];
		return next === undefined
			? items.filter((_, i) => String(i) !== key)
			: items.map((item, i) => (String(i) === key ? next : item));
	}
	const others = Object.entries(isGroup(record) ? record : {}).filter(([one]) => one !== key);
	return Object.fromEntries(next === undefined ? others : [...others, [key, next]]);
}

/**
 * Does something with each of a list, two at a time: whoever is free takes the next one. What the second does
 * not manage the first does, and the second is asked no more.
 *
 * @param second null where there is none
 * @returns what came of each, in any order
 */
export async function shared<T, R>(
	all: readonly T[],
	first: (one: T) => Promise<R>,
	second: ((one: T) => Promise<R>) | null
): Promise<R[]> {
	const waiting = [...all];
	const done: R[] = [];
	const helped = async () => {
		for (let one = waiting.shift(); second && one !== undefined; one = waiting.shift()) {
			try {
				done.push(await second(one));
			} catch {
				waiting.push(one);
				return;
			}
		}
	};
	const alone = async () => {
		try {
			for (let one = waiting.shift(); one !== undefined; one = waiting.shift()) {
				done.push(await first(one));
			}
		} catch (error) {
			// nobody waits for the rest
			waiting.length = 0;
			throw error;
		}
	};
	await Promise.all([second ? helped() : undefined, alone()]);
	await alone();
	return done;
}

/** What must be there for a test to go on. @throws when it is not */
export function there<T>(one: T | null | undefined): T {
	if (one === null || one === undefined) throw new Error('it is not there');
	return one;
}

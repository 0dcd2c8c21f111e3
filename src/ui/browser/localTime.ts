/** What a clock on the wall shows: "2026-09-26T14:30". */
export function localMinute(): string {
	const now = new Date();
	return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

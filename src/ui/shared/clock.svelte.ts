/** The time on this device, kept to the minute. */

const EVERY_MS = 15_000;

/** What a clock on the wall shows: "2026-09-26T14:30". */
function localMinute(): string {
	const now = new Date();
	return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

/** Follows the clock while something shows it. Made where effects may be. */
export class WallClock {
	minute = $state(localMinute());

	constructor() {
		$effect(() => {
			const timer = setInterval(() => (this.minute = localMinute()), EVERY_MS);
			return () => clearInterval(timer);
		});
	}
}

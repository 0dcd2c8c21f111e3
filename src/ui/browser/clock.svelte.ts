import { localMinute } from './localTime';

/** The time on this device, kept to the minute. */

const EVERY_MS = 15_000;

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

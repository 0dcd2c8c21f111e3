/** How a day begins while nobody has said anything of it. */

/** When a day begins as long as nobody says so, and how long a shot takes. */
const DAY_BEGINS = '10:00';
export const USUAL_MINUTES = 15;

/** The time at which the first shot of a day is put. */
export const beginOf = (date: string): string => `${date}T${DAY_BEGINS}`;

/** The date on this device's calendar. */
export function dateOf(time: number): string {
	const day = new Date(time);
	const two = (n: number) => String(n).padStart(2, '0');
	return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}

import type { Shot } from '$core/format/shot';
import { aboutOf, objectOf, type About } from '$core/arrange/about';
import type { AboutCost } from '$core/advice/comparisons';
import { capital, stopsInWords } from './numbers';
import { exposureWords } from './light';

/** What the picture may be about, and what that costs, in words. */

export function aboutWords(shot: Shot, about: About): string {
	switch (about) {
		case 'person':
			return shot.people.length > 1 ? 'the people' : 'the person';
		case 'object':
			return `the ${objectOf(shot)?.label ?? 'object'}`;
		case 'both':
			return 'both';
	}
}

/** A smaller cost counts as none, stops. */
const NOTHING_STOPS = 1 / 6;

/** "Both: costs 7 stops, 1/50, ISO 5000, and cannot be had whole." */
export function costSentences(shot: Shot, costs: readonly AboutCost[]): string[] {
	return costs
		.filter(({ about, result }) => about !== aboutOf(shot) && result.fNumber !== null)
		.map(({ about, result }) => {
			const stops = result.costStops ?? 0;
			const by =
				Math.abs(stops) < NOTHING_STOPS
					? 'costs nothing'
					: `${stops > 0 ? 'costs' : 'saves'} ${stopsInWords(Math.abs(stops))}`;
			const light = exposureWords(result.exposure);
			const cannot = result.feasible ? '' : ', and cannot be had whole';
			return `${capital(aboutWords(shot, about))}: ${by}${light && `, ${light}`}${cannot}.`;
		});
}

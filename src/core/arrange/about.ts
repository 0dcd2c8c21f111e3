import type { Shot, Thing } from '../format/shot';

/**
 * What the picture is about. One arrangement gives three pictures: the face sharp and the object
 * known; the object sharp and the face soft but known; both sharp.
 */

export const ABOUTS = ['person', 'object', 'both'] as const;
export type About = (typeof ABOUTS)[number];

/** The object the picture may be about: what is meant to be sharp, else the first object. */
export function objectOf(shot: Shot): Thing | null {
	return (
		shot.things.find(({ intent }) => intent === 'sharp') ??
		shot.things.find(({ look }) => look === 'object') ??
		null
	);
}

const mustBeSharp = (need: string): boolean => need === 'key' || need === 'sharp';

/** What the picture is about as its wishes stand. */
export function aboutOf(shot: Shot): About {
	if (objectOf(shot)?.intent !== 'sharp') return 'person';
	return shot.people.some(({ need }) => mustBeSharp(need)) ? 'both' : 'object';
}

/** The same arrangement, made into another picture. Whoever does not matter still does not. */
export function withAbout(shot: Shot, about: About): Shot {
	const object = objectOf(shot);
	const hasFaces = shot.people.some(({ need }) => mustBeSharp(need));
	return {
		...shot,
		things: shot.things.map((thing) =>
			thing.id !== object?.id
				? thing
				: { ...thing, intent: about === 'person' ? 'recognisable' : 'sharp' }
		),
		people: shot.people.map((person) => {
			if (about === 'object')
				return mustBeSharp(person.need) ? { ...person, need: 'soft' } : person;
			return !hasFaces && person.need === 'soft' ? { ...person, need: 'sharp' } : person;
		})
	};
}

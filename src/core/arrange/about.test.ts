import { describe, expect, it } from 'vitest';
import { ahead, EYE_M, planOf, shotOf, thing } from '$tests/support/shots';
import { aboutOf, ABOUTS, objectOf, withAbout } from './about';
import { solve } from '$tests/support/solved';

/** Somebody who holds a trumpet towards the camera. */
const bandleader = () =>
	shotOf({
		people: [ahead('leader', 3), ahead('passer-by', 6, { need: 'free' })],
		things: [
			thing('lanterns', [0, 2.5, 9], { look: 'lights' }),
			thing('trumpet', [0.3, EYE_M - 0.2, 2.5], { look: 'object', widthM: 0.2, heightM: 0.2 })
		]
	});

describe('what the picture is about', () => {
	it('takes the first object unless something is meant to be sharp already', () => {
		expect(objectOf(bandleader())?.id).toBe('trumpet');
		expect(objectOf(shotOf({ people: [ahead('a', 3)] }))).toBeNull();
	});

	it.each(ABOUTS)('becomes about the %s and says so', (about) => {
		expect(aboutOf(withAbout(bandleader(), about))).toBe(about);
	});

	it('gives three pictures of one arrangement', () => {
		const wishes = (about: (typeof ABOUTS)[number]) => {
			const { people, things } = withAbout(bandleader(), about);
			return [people[0]?.need, things[1]?.intent];
		};
		expect(wishes('person')).toEqual(['sharp', 'recognisable']);
		expect(wishes('object')).toEqual(['soft', 'sharp']);
		expect(wishes('both')).toEqual(['sharp', 'sharp']);
	});

	it('comes back from the object to the person', () => {
		const back = withAbout(withAbout(bandleader(), 'object'), 'person');
		expect(back.people.map(({ need }) => need)).toEqual(['sharp', 'free']);
	});

	it('both asks for a smaller aperture than either alone', () => {
		const fNumber = (about: (typeof ABOUTS)[number]) =>
			solve(withAbout(bandleader(), about)).plan.fNumberExact ?? 0;
		expect(fNumber('both')).toBeGreaterThan(fNumber('person'));
		expect(fNumber('both')).toBeGreaterThan(fNumber('object'));
	});
});

it('a shot without objects is about the person', () => {
	expect(aboutOf(shotOf({ people: [ahead('a', 3)] }))).toBe('person');
	expect(planOf({ people: [ahead('a', 3)] }).focus?.personId).toBe('a');
});

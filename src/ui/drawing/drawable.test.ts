import { describe, expect, it } from 'vitest';
import { solve } from '$tests/support/solved';
import { ahead, person, shotOf, thing } from '$tests/support/shots';
import { LENSES } from '$data/kit';
import { faceParts, eyeTiles } from './eyeTiles';
import { captionOf, textsOf } from './savedPicture';
import { drawableOf } from './drawable';
import { ASSUMED } from '$core/tables/spreads';
import { secondChoices } from '../plan/frame/secondChoices';

const rows = shotOf({
	lens: LENSES.portrait85,
	focalMm: 85,
	people: [ahead('near', 4), person('middle', [0.5, 1.6, 4.6]), person('far', [-0.5, 1.6, 5.6])],
	things: [thing('trumpet', [0.3, 1.4, 3.5], { look: 'object', widthM: 0.2, heightM: 0.2 })],
	choices: { fNumberExact: 2 }
});

describe('tiles of eyes', () => {
	const solution = solve(rows);
	const tiles = eyeTiles(drawableOf(solution), 104, 50);

	it('those that fail come first, the worst of them first, the others by depth', () => {
		const failing = tiles.filter(({ state }) => state !== 'sharp').map(({ ratio }) => ratio ?? 0);
		expect(failing.length).toBeGreaterThan(0);
		expect(tiles.slice(0, failing.length).every(({ state }) => state !== 'sharp')).toBe(true);
		expect(failing).toEqual(failing.toSorted((a, b) => b - a));
	});

	it('show the pixels of the sensor, and never enlarge them', () => {
		for (const { closeUp } of tiles) {
			const sensorPx = closeUp.window.widthMm / (36 / 6000);
			expect(closeUp.share).toBeLessThanOrEqual(1);
			expect(104 / sensorPx).toBeCloseTo(closeUp.share, 9);
			expect(closeUp.window.widthMm / closeUp.window.heightMm).toBeCloseTo(104 / 50, 9);
		}
		const close = shotOf({ lens: LENSES.portrait85, focalMm: 85, people: [ahead('a', 1)] });
		expect(eyeTiles(drawableOf(solve(close)), 104, 50)[0]?.closeUp.share).toBeLessThan(0.2);
		const wide = shotOf({ lens: LENSES.wide24, focalMm: 24, people: [ahead('a', 8)] });
		expect(eyeTiles(drawableOf(solve(wide)), 104, 50)[0]?.closeUp.share).toBe(1);
	});

	it('say where what is sharp in a small print looks soft at full size', () => {
		const softOf = (standard: 'album' | 'pixel') => {
			const choices = { ...rows.choices, fNumberExact: 8 };
			const all = eyeTiles(
				drawableOf(solve({ ...rows, sharpness: { standard }, choices })),
				104,
				50
			);
			return all.filter(({ isSoftAtFullSize }) => isSoftAtFullSize);
		};
		expect(softOf('album').length).toBeGreaterThan(0);
		expect(softOf('album').every(({ state }) => state === 'sharp')).toBe(true);
		// there what is allowed is two pixels itself
		expect(softOf('pixel')).toEqual([]);
	});
});

describe('a face at large', () => {
	it('has four parts at one scale; a turned head has its far eye softer than its near one', () => {
		const shot = shotOf({
			lens: LENSES.portrait85Fast,
			focalMm: 85,
			people: [ahead('a', 1.4, { turnDeg: 40 })],
			choices: { fNumberExact: 1.2 }
		});
		const parts = faceParts(drawableOf(solve(shot)), 'a', 200);
		expect(parts.map(({ key }) => key)).toEqual(['near', 'far', 'nose', 'ear']);
		expect(new Set(parts.map(({ closeUp }) => closeUp.share)).size).toBe(1);
		const [near, far] = parts;
		expect(near?.blurPx).toBeLessThan(0.1);
		expect(far?.ratio).toBeGreaterThan(1);
	});
});

describe('second choices', () => {
	const groups = secondChoices(solve(rows), { ...rows, title: 'before' }, ASSUMED);
	const all = groups.flatMap(({ choices }) => choices);
	const choice = (label: string) => {
		const found = all.find((one) => one.label === label);
		if (!found) throw new Error(`no ${label}`);
		return solve(found.shot).plan;
	};

	it('another f-number keeps the focus', () => {
		const { plan } = solve(rows);
		const other = choice('f/5.6');
		expect(other.fNumber).toBe(5.6);
		expect(other.focus).toMatchObject({
			personId: plan.focus?.personId,
			landmark: plan.focus?.landmark
		});
	});

	it('somebody else, the nose, a thing and a school keep the f-number', () => {
		const { plan } = solve(rows);
		const other = plan.focus?.personId === 'far' ? 'near' : 'far';
		expect(choice(`focused on ${other}`).focus?.personId).toBe(other);
		expect(choice('focused on the nose').focus?.landmark).toBe('nose-tip');
		expect(choice('focused on the trumpet').focus?.thingId).toBe('trumpet');
		expect(choice('focused on the front row').focus?.kind).toBe('depth');
		expect(choice('focused on the nose').fNumber).toBe(plan.fNumber);
	});

	it('about the object frees focus and f-number', () => {
		expect(choice('about the trumpet').focus?.thingId).toBe('trumpet');
	});

	it('the state before is seen from where the camera stands now', () => {
		const moved = { ...rows, camera: { ...rows.camera, position: { x: 1, y: 2, z: 0 } } };
		const before = secondChoices(solve(moved), rows, ASSUMED)
			.flatMap(({ choices }) => choices)
			.find(({ key }) => key === 'before');
		expect(before?.shot.camera.position).toEqual({ x: 1, y: 2, z: 0 });
		expect(secondChoices(solve(rows), null, ASSUMED).some(({ label }) => label === 'before')).toBe(
			false
		);
	});
});

describe('what a saved picture says', () => {
	const solution = solve({ ...rows, title: 'The wedding', notes: 'in the hall' });

	it('leaves names, title and notes out unless asked', () => {
		const plain = JSON.stringify(textsOf([solution], 'm', false));
		for (const word of ['near', 'middle', 'far', 'wedding', 'hall']) {
			expect(plain).not.toMatch(new RegExp(`\\b${word}\\b(?! row)`));
		}
		const named = textsOf([solution], 'm', true);
		expect(named['Title']).toBe('The wedding');
		expect(named['Comment']).toBe('in the hall');
		expect(named['Description']).toContain('’s');
	});

	it('says the f-number and the part of the face', () => {
		expect(captionOf(solution, 'm', false)).toMatch(/^f\/2, focused on the (left|right) eye, /);
	});
});

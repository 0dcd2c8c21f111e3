import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shotOf } from '$tests/support/shots';
import {
	canRedo,
	canUndo,
	present,
	previous,
	withStep,
	redo,
	startHistory,
	undo,
	type History
} from './history';

const named = (title: string) => ({ ...shotOf(), title });
const after = (...titles: string[]) =>
	titles.reduce(
		(history, title) => withStep(history, named(title), title),
		startHistory(named('0'))
	);
const titles = (history: History) => history.steps.map(({ shot }) => shot.title);

describe('undo and redo', () => {
	it('go back and forth over whole gestures', () => {
		const history = after('a', 'b');
		expect(present(undo(history)).title).toBe('a');
		expect(present(undo(undo(history))).title).toBe('0');
		expect(present(redo(undo(history))).title).toBe('b');
		expect([canUndo(history), canRedo(history)]).toEqual([true, false]);
	});

	it('stop at both ends', () => {
		const start = startHistory(named('0'));
		expect(undo(start)).toBe(start);
		expect(redo(start)).toBe(start);
	});

	it('know the shot before the last change, and that there is none at the start', () => {
		expect(previous(after('a', 'b'))?.title).toBe('a');
		expect(previous(undo(after('a', 'b')))?.title).toBe('0');
		expect(previous(after())).toBeNull();
	});

	it('a drag is one step however many changes it makes', () => {
		let history = after('before');
		for (const title of ['d1', 'd2', 'd3']) history = withStep(history, named(title), 'drag 1');
		expect(titles(history)).toEqual(['0', 'before', 'd3']);
		history = withStep(history, named('e1'), 'drag 2');
		expect(titles(history)).toEqual(['0', 'before', 'd3', 'e1']);
	});

	it('a change after an undo drops what was undone', () => {
		const history = withStep(undo(undo(after('a', 'b', 'c'))), named('d'), 'd');
		expect(titles(history)).toEqual(['0', 'a', 'd']);
		expect(canRedo(history)).toBe(false);
	});

	it('going on with a gesture that was undone begins a new step', () => {
		const history = withStep(undo(after('a', 'b')), named('b again'), 'b');
		expect(titles(history)).toEqual(['0', 'a', 'b again']);
	});

	it('keeps the latest 120 steps, numbered on', () => {
		const history = after(...Array.from({ length: 200 }, (_, i) => `s${i + 1}`));
		expect(history.steps).toHaveLength(120);
		expect([history.first, history.cursor]).toEqual([81, 200]);
		expect(present(history).title).toBe('s200');
	});

	it('undo after any run of changes gives back what was there', () => {
		fc.assert(
			fc.property(
				fc.array(fc.constantFrom('change', 'undo', 'redo'), { maxLength: 40 }),
				(acts) => {
					// a plain list as the model
					let list = ['0'];
					let at = 0;
					let history = startHistory(named('0'));
					acts.forEach((act, i) => {
						if (act === 'undo') [at, history] = [Math.max(0, at - 1), undo(history)];
						else if (act === 'redo')
							[at, history] = [Math.min(list.length - 1, at + 1), redo(history)];
						else {
							list = [...list.slice(0, at + 1), `${i}`];
							at += 1;
							history = withStep(history, named(`${i}`), `${i}`);
						}
					});
					expect(present(history).title).toBe(list[at]);
					expect(titles(history)).toEqual(list);
				}
			)
		);
	});
});

import { afterEach, expect, it, vi } from 'vitest';
import { watchSight } from './sight';

afterEach(() => vi.unstubAllGlobals());

it('what came into sight while the page was busy is in sight, and nothing is told once nobody watches', () => {
	let hear: (looks: readonly { readonly isIntersecting: boolean }[]) => void = () => {};
	vi.stubGlobal(
		'IntersectionObserver',
		class {
			constructor(heard: typeof hear) {
				hear = heard;
			}
			observe() {}
			disconnect() {
				hear = () => {};
			}
		}
	);
	const told: boolean[] = [];
	const stop = watchSight({} as Element, (isInSight) => told.push(isInSight));
	hear([{ isIntersecting: false }, { isIntersecting: true }]);
	hear([{ isIntersecting: false }]);
	stop();
	hear([{ isIntersecting: true }]);
	expect(told).toEqual([true, false]);
});

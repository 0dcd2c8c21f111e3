import { Store } from '$data/store/store';
import { afterEach } from 'vitest';

const open: Store[] = [];
afterEach(() => open.splice(0).forEach((store) => store.close()));

/** The store of a name, closed after the test. */
export function opened(name: string): Store {
	const store = new Store(name);
	open.push(store);
	return store;
}

import { afterEach, describe, expect, it } from 'vitest';
import { BodySchema, LensSchema } from '$core/format/shot';
import { BODIES, LENSES } from './kit';
import { lensesFor, PRESET_KIT } from './kitStore';
import { Store } from './store';

let number = 0;
const open: Store[] = [];
function newStore(name = `kit ${number++}`): Store {
	const store = new Store(name);
	open.push(store);
	return store;
}
afterEach(() => open.splice(0).forEach((store) => store.close()));

describe('the presets', () => {
	it('are valid bodies and lenses with names of their own', () => {
		for (const body of Object.values(BODIES)) expect(BodySchema.parse(body)).toEqual(body);
		for (const lens of Object.values(LENSES)) expect(LensSchema.parse(lens)).toEqual(lens);
		const names = [...Object.values(BODIES), ...Object.values(LENSES)].map(({ name }) => name);
		expect(new Set(names).size).toBe(names.length);
	});

	it('a phone takes its own lens and no other, and no other body takes it', () => {
		expect(lensesFor(PRESET_KIT, BODIES.phone.name)).toEqual([LENSES.phone]);
		expect(lensesFor(PRESET_KIT, BODIES.fullFrame24.name)).not.toContainEqual(LENSES.phone);
	});
});

describe('the kit', () => {
	it('begins with the presets; what is removed stays away over a restart', async () => {
		const store = newStore('kit restart');
		expect(await store.kit.read()).toEqual(PRESET_KIT);
		const [first] = PRESET_KIT.lenses;
		if (!first) throw new Error('no presets');
		await store.kit.remove(first);
		store.close();
		expect((await newStore('kit restart').kit.read()).lenses).toEqual(PRESET_KIT.lenses.slice(1));
	});

	it('keeps what is added and changed, in its place', async () => {
		const { kit } = newStore();
		const mine = { ...BODIES.crop26, name: 'Mine' };
		await kit.put({ id: 'mine', position: -1, body: mine });
		await kit.put({ id: 'mine', position: -1, body: { ...mine, iso: [100, 3200] } });
		const { bodies } = await kit.read();
		expect(bodies[0]?.body).toEqual({ ...mine, iso: [100, 3200] });
		expect(bodies).toHaveLength(PRESET_KIT.bodies.length + 1);
	});

	it('refuses what is no lens, and changes nothing', async () => {
		const { kit } = newStore();
		const bad = { ...LENSES.wide24, focalMm: [70, 24] as [number, number] };
		await expect(kit.put({ id: 'bad', position: 0, onlyOn: null, lens: bad })).rejects.toThrow();
		expect(await kit.read()).toEqual(PRESET_KIT);
	});
});

import { afterEach, describe, expect, it } from 'vitest';
import { BodySchema, LensSchema } from '$core/format/gear';
import { KitSchema } from '$core/format/job';
import { BODIES, LENSES } from './kit';
import { kitOfFile, lensOfFile } from './jobFile';
import { goingOn, lensesFor, PRESET_KIT } from './kitContents';
import { Store } from './store/store';

const inPlace = (a: { position: number }, b: { position: number }) => a.position - b.position;

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
		expect(lensesFor(PRESET_KIT, BODIES.phone)).toEqual([LENSES.phone]);
		expect(lensesFor(PRESET_KIT, BODIES.fullFrame24)).not.toContainEqual(LENSES.phone);
	});

	it('a lens for smaller sensors goes on those alone', () => {
		const on = (body: keyof typeof BODIES) => lensesFor(PRESET_KIT, BODIES[body]);
		for (const body of ['crop26', 'crop24', 'fourThirds20'] as const) {
			expect(on(body)).toContainEqual(LENSES.zoom1855);
		}
		for (const body of ['fullFrame24', 'fullFrame45', 'medium50'] as const) {
			expect(on(body)).not.toContainEqual(LENSES.zoom1855);
		}
	});
});

describe('a lens that is only weighed against others', () => {
	const [first] = PRESET_KIT.lenses;
	if (!first) throw new Error('no presets');
	const wanted = {
		...first,
		id: 'wanted',
		lens: { ...first.lens, name: 'not mine' },
		isWanted: true as const
	};
	const kit = { lenses: [...PRESET_KIT.lenses, wanted] };

	it('goes on the body, but no shot is taken with it', () => {
		expect(goingOn(kit.lenses, BODIES.fullFrame24)).toContain(wanted);
		expect(lensesFor(kit, BODIES.fullFrame24)).not.toContain(wanted.lens);
	});

	it('comes back from a file as it was, with what was said of it', () => {
		const notes = { praise: 'sharp', complaints: 'heavy', weightG: 950, isShortlisted: true };
		const file = kitOfFile({ bodies: [], lenses: [{ ...wanted, notes }] });
		const [read] = KitSchema.parse(JSON.parse(JSON.stringify(file))).lenses;
		if (!read) throw new Error('no lens');
		expect(lensOfFile(read, wanted.position)).toEqual({ ...wanted, notes });
	});
});

describe('the kit', () => {
	it('begins with the presets; what is removed stays away over a restart', async () => {
		const store = newStore('kit restart');
		const { bodies, lenses, spreads } = await store.read();
		expect(bodies.toSorted(inPlace)).toEqual(PRESET_KIT.bodies);
		expect(lenses.toSorted(inPlace)).toEqual(PRESET_KIT.lenses);
		expect(spreads).toEqual([]);
		const [first] = PRESET_KIT.lenses;
		if (!first) throw new Error('no presets');
		await store.saveParts('lenses', first.id, first, null);
		store.close();
		const again = await newStore('kit restart').read();
		expect(again.lenses.toSorted(inPlace)).toEqual(PRESET_KIT.lenses.slice(1));
	});

	it('keeps what is added and changed', async () => {
		const store = newStore();
		const mine = {
			id: 'mine',
			position: -1,
			revision: 0,
			body: { ...BODIES.crop26, name: 'Mine' }
		};
		const { record } = (await store.saveParts('bodies', 'mine', null, mine)) as {
			record: typeof mine;
		};
		const changed = { ...record, body: { ...mine.body, iso: [100, 3200] as [number, number] } };
		await store.saveParts('bodies', 'mine', record, changed);
		const kept = (await store.read()).bodies.find(({ id }) => id === 'mine');
		expect(kept?.body).toEqual({ ...mine.body, iso: [100, 3200] });
	});

	it('refuses what is no lens, and changes nothing', async () => {
		const store = newStore();
		const before = await store.read();
		const lens = { ...LENSES.wide24, focalMm: [70, 24] as [number, number] };
		const bad = { id: 'bad', position: 0, revision: 0, onlyOn: null, lens };
		await expect(store.saveParts('lenses', 'bad', null, bad)).rejects.toThrow();
		expect((await store.read()).lenses).toEqual(before.lenses);
	});
});

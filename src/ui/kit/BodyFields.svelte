<script lang="ts">
	import type { Body } from '$core/format/shot';
	import { FOCUS_GRIDS } from '$data/kit';
	import Pick from '../shared/Pick.svelte';
	import NameField from './NameField.svelte';
	import NumberField from '../shared/NumberField.svelte';

	/** Every number of a body in plain words. */
	let { body, onchange }: { body: Body; onchange: (body: Body) => void } = $props();

	const newGesture = (kind: string) => kind;
	const set = (change: Partial<Body>) => onchange({ ...body, ...change });
	const sensor = (change: Partial<Body['sensor']>) =>
		set({ sensor: { ...body.sensor, ...change } });
	const grid = (change: Partial<Body['focusGrid']>) =>
		set({ focusGrid: { ...body.focusGrid, ...change } });

	const GRIDS = [
		{ value: 'sparse', text: 'sparse, in the middle of the frame' },
		{ value: 'coarse', text: 'coarse, over nearly all of it' },
		{ value: 'fine', text: 'fine, over nearly all of it' },
		{ value: 'touch', text: 'anywhere' },
		{ value: 'own', text: 'as numbered below' }
	] as const;
	const layout = $derived(
		GRIDS.find(
			({ value }) =>
				value !== 'own' && JSON.stringify(FOCUS_GRIDS[value]) === JSON.stringify(body.focusGrid)
		)?.value ?? 'own'
	);
</script>

<NameField name={body.name} onchange={(name) => set({ name })} />
<div class="fields">
	<NumberField
		label="sensor, long side"
		unit="mm"
		value={body.sensor.widthMm}
		low={Math.max(3, body.sensor.heightMm)}
		high={60}
		step={0.1}
		onchange={(widthMm) => sensor({ widthMm })}
		{newGesture}
	/>
	<NumberField
		label="short side"
		unit="mm"
		value={body.sensor.heightMm}
		low={2}
		high={Math.min(45, body.sensor.widthMm)}
		step={0.1}
		onchange={(heightMm) => sensor({ heightMm })}
		{newGesture}
	/>
	<NumberField
		label="pixels along the long side"
		value={body.sensor.pixelsAcross}
		low={500}
		high={20000}
		digits={0}
		onchange={(pixels) => sensor({ pixelsAcross: Math.round(pixels) })}
		{newGesture}
	/>
	<NumberField
		label="along the short side"
		value={body.sensor.pixelsDown}
		low={500}
		high={20000}
		digits={0}
		onchange={(pixels) => sensor({ pixelsDown: Math.round(pixels) })}
		{newGesture}
	/>
	<NumberField
		label="lowest ISO"
		value={body.iso[0]}
		low={1}
		high={body.iso[1]}
		digits={0}
		onchange={(lowest) => set({ iso: [lowest, body.iso[1]] })}
		{newGesture}
	/>
	<NumberField
		label="highest ISO you accept"
		value={body.iso[1]}
		low={body.iso[0]}
		high={10000000}
		digits={0}
		onchange={(highest) => set({ iso: [body.iso[0], highest] })}
		{newGesture}
	/>
	<NumberField
		label="fastest with flash, 1 over"
		unit="s"
		value={1 / body.syncSpeedS}
		low={1}
		high={8000}
		digits={0}
		onchange={(perSecond) => set({ syncSpeedS: 1 / perSecond })}
		{newGesture}
	/>
	<NumberField
		label="fastest shutter, 1 over"
		unit="s"
		value={1 / body.fastestShutterS}
		low={1}
		high={128000}
		digits={0}
		onchange={(perSecond) => set({ fastestShutterS: 1 / perSecond })}
		{newGesture}
	/>
	<Pick
		label="focus points"
		options={GRIDS}
		value={layout}
		onchoose={(next) => next !== 'own' && set({ focusGrid: FOCUS_GRIDS[next] })}
	/>
	<Pick
		label="most sensitive"
		options={[
			{ value: 'all', text: 'all of them' },
			{ value: 'centre', text: 'the middle one' }
		]}
		value={body.focusGrid.sensitive}
		onchoose={(sensitive) => grid({ sensitive })}
	/>
	<NumberField
		label="columns of points"
		value={body.focusGrid.columns}
		low={1}
		high={64}
		digits={0}
		onchange={(columns) => grid({ columns: Math.round(columns) })}
		{newGesture}
	/>
	<NumberField
		label="rows of points"
		value={body.focusGrid.rows}
		low={1}
		high={64}
		digits={0}
		onchange={(rows) => grid({ rows: Math.round(rows) })}
		{newGesture}
	/>
	<NumberField
		label="they cover of the width"
		unit="%"
		value={body.focusGrid.spanX * 100}
		low={5}
		high={100}
		digits={1}
		onchange={(percent) => grid({ spanX: percent / 100 })}
		{newGesture}
	/>
	<NumberField
		label="and of the height"
		unit="%"
		value={body.focusGrid.spanY * 100}
		low={5}
		high={100}
		digits={1}
		onchange={(percent) => grid({ spanY: percent / 100 })}
		{newGesture}
	/>
	<NumberField
		label="a box covers of the width"
		unit="%"
		value={body.focusGrid.boxX * 100}
		low={0.2}
		high={30}
		step={0.1}
		digits={1}
		onchange={(percent) => grid({ boxX: percent / 100 })}
		{newGesture}
	/>
	<NumberField
		label="and of the height, a box"
		unit="%"
		value={body.focusGrid.boxY * 100}
		low={0.2}
		high={30}
		step={0.1}
		digits={1}
		onchange={(percent) => grid({ boxY: percent / 100 })}
		{newGesture}
	/>
</div>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: 0.5rem 0.8rem;
		padding: 0.4rem 0 0.7rem;
	}
</style>

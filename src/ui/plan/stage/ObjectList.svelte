<script lang="ts">
	import { objectListText as say } from '$words/screens/plan/stage';
	import { commonText as common } from '$words/screens/common';
	import { type Person, type Shot, type Thing } from '$core/format/shot';
	import type { Vec3 } from '$core/geometry/vector';
	import Amount from '../../fields/Amount.svelte';
	import Pick from '../../fields/Pick.svelte';
	import { INTENT_OPTIONS, KEEP_OPTIONS, NEED_OPTIONS } from '$words/options';
	import CameraCard from '../cards/CameraCard.svelte';
	import { changeCamera, changePerson, changeThing, removeObject } from '../view/edits';
	import type { PlanView } from '../view/plan.svelte';

	/** The same objects as the drawing's, with numbers to type. */
	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	const newGesture = (kind: string) => plan.newGesture(kind);
	const AXES = [
		['x', say.toTheRight],
		['y', 'up'],
		['z', 'away']
	] as const;

	type Axis = (typeof AXES)[number][0];
	const moved = (place: Vec3, axis: Axis, value: number) => ({ ...place, [axis]: value });
	const person = (one: Person, change: Partial<Person>, gesture?: string) =>
		plan.change(changePerson(shot, one.id, change), gesture);
	const thing = (one: Thing, change: Partial<Thing>, gesture?: string) =>
		plan.change(changeThing(shot, one.id, change), gesture);
	const camera = (change: Partial<Shot['camera']>, gesture: string) =>
		plan.change(changeCamera(shot, change), gesture);
</script>

{#snippet place(name: string, at: Vec3, set: (at: Vec3, gesture: string) => void)}
	{#each AXES as [axis, words] (axis)}
		<td>
			<Amount
				quiet
				of={say.shotCameraPosition(axis)}
				label="{name}, {words}"
				value={at[axis]}
				onchange={(value, gesture) => set(moved(at, axis, value), gesture)}
				{newGesture}
			/>
		</td>
	{/each}
{/snippet}

<div class="list">
	<table>
		<thead>
			<tr>
				<th scope="col">{say.whoOrWhat}</th>
				{#each AXES as [axis, words] (axis)}<th scope="col">{words}</th>{/each}
				<th scope="col">{say.headTurned}</th>
				<th scope="col">{say.row0ByDepth}</th>
				<th scope="col">{common.mustBe}</th>
				<th scope="col">{common.keepSharp}</th>
				<th><span class="sr-only">{say.remove}</span></th>
			</tr>
		</thead>
		<tbody>
			<tr>
				<th scope="row">{common.camera}</th>
				{@render place('camera', shot.camera.position, (position, gesture) =>
					camera({ position }, gesture)
				)}
				<td colspan="5"></td>
			</tr>
			{#each shot.people as one (one.id)}
				<tr>
					<th scope="row"><bdi>{one.name}</bdi></th>
					{@render place(one.name, one.eyeMidpoint, (eyeMidpoint, gesture) =>
						person(one, { eyeMidpoint }, gesture)
					)}
					<td>
						<Amount
							quiet
							of="shot.people.turnDeg"
							label={say.headTurned2(one.name)}
							value={one.turnDeg}
							step={5}
							digits={0}
							onchange={(turnDeg, gesture) => person(one, { turnDeg }, gesture)}
							{newGesture}
						/>
					</td>
					<td>
						<Amount
							quiet
							of="shot.people.row"
							label={say.row(one.name)}
							value={one.row ?? 0}
							low={0}
							high={20}
							onchange={(row, gesture) => person(one, { row: row || undefined }, gesture)}
							{newGesture}
						/>
					</td>
					<td>
						<Pick
							quiet
							label={say.mustBe(one.name)}
							options={NEED_OPTIONS}
							value={one.need}
							onchoose={(need) => person(one, { need })}
						/>
					</td>
					<td>
						<Pick
							quiet
							label={say.keepSharpOf(one.name)}
							options={KEEP_OPTIONS}
							value={one.keep}
							onchoose={(keep) => person(one, { keep })}
						/>
					</td>
					<td>
						<button
							class="knob bare"
							type="button"
							aria-label={say.remove2(one.name)}
							onclick={() => plan.change(removeObject(shot, { kind: 'person', id: one.id }))}
							>✕</button
						>
					</td>
				</tr>
			{/each}
			{#each shot.things as one (one.id)}
				<tr>
					<th scope="row"><bdi>{one.label}</bdi></th>
					{@render place(one.label, one.position, (position, gesture) =>
						thing(one, { position }, gesture)
					)}
					<td></td>
					<td></td>
					<td>
						<Pick
							quiet
							label={say.shouldBe(one.label)}
							options={INTENT_OPTIONS}
							value={one.intent}
							onchoose={(intent) => thing(one, { intent })}
						/>
					</td>
					<td></td>
					<td>
						<button
							class="knob bare"
							type="button"
							aria-label={say.remove2(one.label)}
							onclick={() => plan.change(removeObject(shot, { kind: 'thing', id: one.id }))}
							>✕</button
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<div class="camera"><CameraCard {plan} /></div>
</div>

<style>
	.list {
		overflow: auto;
		flex: 1;
		min-height: 0;
		padding: 0 0.5rem 0.5rem;
	}
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th {
		text-align: left;
		font-weight: 400;
		padding: 0.1rem 0.3rem;
	}
	tbody th {
		white-space: nowrap;
	}
	thead th {
		vertical-align: bottom;
		line-height: 1.1;
		color: var(--ink-2);
		font-size: 0.8125rem;
		position: sticky;
		top: 0;
		background: var(--sheet);
		z-index: 1;
	}
	td {
		padding: 0.1rem 0.15rem;
		min-width: 4.6rem;
	}
	td:has(:global(select)) {
		min-width: 8.2rem;
	}
	td:last-child {
		min-width: 0;
	}
	.camera {
		max-width: 26rem;
		padding-top: 0.75rem;
		display: flex;
		flex-direction: column;
		gap: 0.4rem;
	}
</style>

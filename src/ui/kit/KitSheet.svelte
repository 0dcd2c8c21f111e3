<script lang="ts">
	import { kitSheetText as say } from '$words/screens/kit';
	import { commonText as common } from '$words/screens/common';
	import type { Lens } from '$core/format/shot';
	import type { KitBody, KitLens } from '$data/store/database';
	import { presetBodies, presetLenses } from '$data/store/database';
	import Choice from '../fields/Choice.svelte';
	import Pick from '../fields/Pick.svelte';
	import BodyFields from './BodyFields.svelte';
	import LensFields from './LensFields.svelte';
	import MyHands from './MyHands.svelte';
	import MyWay from './MyWay.svelte';
	import { useKit } from './kit.svelte';

	/** Bodies and lenses: add, edit, duplicate, take out; and how one likes to work. */
	const kit = useKit();

	const TABS = [
		{ value: 'bodies', text: say.bodies },
		{ value: 'lenses', text: say.lenses },
		{ value: 'mine', text: say.myWay },
		{ value: 'hands', text: say.myHands }
	] as const;
	let tab = $state<(typeof TABS)[number]['value']>('bodies');
	let openId = $state<string | null>(null);
	/** The lens whose table is looked at. */
	let tableOf = $state.raw<Lens | null>(null);
	let removed = $state.raw<KitBody | KitLens | null>(null);

	type Entry = KitBody | KitLens;
	const nameOf = (entry: Entry) => ('body' in entry ? entry.body.name : entry.lens.name);
	const entries = $derived<readonly Entry[]>(
		tab === 'bodies' ? kit.contents.bodies : tab === 'lenses' ? kit.contents.lenses : []
	);
	const presets = $derived<readonly Entry[]>(tab === 'bodies' ? presetBodies() : presetLenses());
	const presetOptions = $derived([
		{ value: '', text: say.addACommonOne },
		...presets.map((entry) => ({ value: entry.id, text: nameOf(entry) }))
	]);

	/** A name that no other of its kind has. */
	function freeName(wanted: string): string {
		const taken = entries.map(nameOf);
		let name = wanted.slice(0, 76);
		for (let i = 2; taken.includes(name); i++) name = `${wanted.slice(0, 74)} ${i}`;
		return name;
	}

	/** A copy under a name of its own, at the end or after another. */
	function add(entry: Entry, position: number) {
		const id = crypto.randomUUID();
		const name = freeName(nameOf(entry));
		const copy: Entry =
			'body' in entry
				? { id, position, revision: 0, body: { ...entry.body, name } }
				: { ...entry, id, position, lens: { ...entry.lens, name } };
		kit.put(copy);
		openId = id;
	}

	const last = $derived(Math.max(0, ...entries.map(({ position }) => position)));
	function addPreset(id: string) {
		const preset = presets.find((one) => one.id === id);
		if (preset) add(preset, last + 1);
	}
	function takeOut(entry: Entry) {
		removed = entry;
		kit.remove(entry);
	}
	function bringBack() {
		if (removed) kit.put(removed);
		removed = null;
	}
</script>

<div class="sheet">
	<Choice
		label={common.kit}
		quiet
		options={TABS}
		value={tab}
		onchoose={(next) => {
			tab = next;
			openId = null;
		}}
	/>
	{#if tab === 'mine'}
		<MyWay />
	{:else if tab === 'hands'}
		<MyHands />
	{:else}
		<ul>
			{#each entries as entry (entry.id)}
				<li>
					<div class="line">
						<button
							class="name"
							type="button"
							aria-expanded={openId === entry.id}
							onclick={() => (openId = openId === entry.id ? null : entry.id)}
						>
							<span aria-hidden="true">{openId === entry.id ? '▾' : '▸'}</span>
							<bdi>{nameOf(entry)}</bdi>
						</button>
						<button class="knob" type="button" onclick={() => add(entry, entry.position + 0.5)}
							>{common.duplicate}<span class="sr-only"> {nameOf(entry)}</span></button
						>
						<button
							class="knob"
							type="button"
							disabled={entries.length === 1}
							onclick={() => takeOut(entry)}
							>{common.remove}<span class="sr-only"> {nameOf(entry)}</span></button
						>
					</div>
					{#if openId === entry.id}
						{#if 'body' in entry}
							<BodyFields body={entry.body} onchange={(body) => kit.put({ ...entry, body })} />
						{:else}
							<button class="knob" type="button" onclick={() => (tableOf = entry.lens)}
								>{say.depthOfFieldTable}</button
							>
							<LensFields
								lens={entry.lens}
								onlyOn={entry.onlyOn}
								onchange={(change) => kit.put({ ...entry, ...change })}
							/>
						{/if}
					{/if}
				</li>
			{/each}
		</ul>
		{#if removed}
			<p>
				“<bdi>{nameOf(removed)}</bdi>{say.wasRemovedFromTheKitShots}
				<button class="knob" type="button" onclick={bringBack}>{say.bringItBack}</button>
			</p>
		{/if}
		<Pick quiet label={common.add} options={presetOptions} value="" onchoose={addPreset} />
		<p class="note">
			{say.aShotKeepsItsBodyAnd}
		</p>
	{/if}
</div>
{#if tableOf}
	{#await import('./LensTableSheet.svelte') then { default: LensTableSheet }}
		<LensTableSheet
			lens={tableOf}
			bind:isOpen={() => tableOf !== null, (open) => !open && (tableOf = null)}
		/>
	{/await}
{/if}

<style>
	.sheet {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
		color: var(--ink);
		min-height: 24rem;
	}
	li {
		border-bottom: 1px solid var(--rule);
		padding: 0.3rem 0;
	}
	.line {
		display: flex;
		gap: 0.4rem;
		align-items: center;
	}
	.name {
		flex: 1;
		text-align: left;
		min-height: 2rem;
		font-weight: 600;
	}
	.name span {
		color: var(--ink-2);
	}
	.note {
		color: var(--ink-2);
	}
</style>

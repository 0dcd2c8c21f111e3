<script lang="ts">
	import { importSheetText as say } from '$words/screens/files/in';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { untrack } from 'svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import type { ImportDecision, Item, JobComparison } from '$data/comparison';
	import type { Kit } from '../../kit/kit.svelte';
	import Pick from '../../fields/Pick.svelte';
	import type { Session } from '../../keeping/session.svelte';
	import { readAgain } from '../../frames/intakes.svelte';
	import { takeJob, takeKit, takeSaid } from './importing';
	import type { Compared } from './openings.svelte';

	/** What a file would bring, before anything of it is taken. */
	interface Props {
		session: Session;
		kit: Kit;
		/** The sheet is of this file alone. */
		file: Compared;
		/** Is handed the file: the browser may tell of a closed sheet when the next one is open. */
		onclose: (file: Compared) => void;
		/** A day was taken over. */
		ontaken: () => void;
	}

	let { session, kit, file: given, onclose, ontaken }: Props = $props();
	const file = untrack(() => given);

	const WAY_WORDS: Readonly<Record<ImportDecision, string>> = {
		take: 'take',
		both: say.keepBoth,
		replace: say.replaceMine,
		skip: 'skip'
	};
	/** What was chosen, by the number of the job and the key of the item. */
	let chosen = $state<Record<string, ImportDecision>>({});
	let isTaking = $state(false);
	/** How much of a list is shown at first: a thousand rows would hold up the page. */
	const SHOWN_AT_FIRST = 40;
	/** The numbers of the lists that are shown whole. */
	const unfolded = new SvelteSet<number>();
	const keyOf = (job: number, { key }: Item) => `${job} ${key}`;
	const wayOf = (job: number, item: Item): ImportDecision =>
		chosen[keyOf(job, item)] ?? item.ways[0] ?? 'skip';
	/** The number that stands for the kit. */
	const KIT_ITEM = -1;

	const all = [
		...file.jobs.flatMap(({ items }, job) => items.map((item) => ({ job, item }))),
		...file.kit.map((item) => ({ job: KIT_ITEM, item }))
	];
	const different = all.filter(({ item }) => item.differs !== '');
	const bringsNothing = all.length === 0 && file.jobs.every(({ mine }) => mine !== null);

	function chooseForAll(way: ImportDecision) {
		for (const { job, item } of different) {
			if (item.ways.includes(way)) chosen[keyOf(job, item)] = way;
		}
	}

	function countWords({ items, same, mine }: JobComparison): string {
		const shots = items.filter(({ subject }) => subject.kind === 'shot');
		const fresh = shots.filter(({ differs }) => !differs).length;
		const parts = [say.new(fresh), say.different(shots.length - fresh), say.theSame(same)];
		return mine ? say.shots(parts.join(', ')) : say.aNewDayWithShots(fresh);
	}

	async function take() {
		isTaking = true;
		let openId: string | null = null;
		const jobIds: (string | null)[] = [];
		for (const [i, one] of file.jobs.entries()) {
			const isWanted = one.mine === null || one.items.length > 0;
			const id = isWanted ? await takeJob(session, one, (item) => wayOf(i, item)) : null;
			openId ??= id;
			jobIds.push(id ?? one.mine?.id ?? null);
		}
		const { exercises, frames } = session.library.shelves;
		const ofKit = (item: Item) => wayOf(KIT_ITEM, item);
		await takeKit(kit, exercises, file.kit, ofKit);
		for (const id of await takeSaid(frames, jobIds, file.kit, ofKit)) await readAgain(session, id);
		if (openId && openId !== session.job?.id) await session.openJob(openId);
		if (openId) ontaken();
		close();
	}

	const close = () => onclose(file);
</script>

{#snippet list(job: number, items: readonly Item[])}
	<ul>
		{#each unfolded.has(job) ? items : items.slice(0, SHOWN_AT_FIRST) as item (item.key)}
			<li>
				<span>
					<bdi>{item.title}</bdi>
					<small>{item.differs ? say.different2(item.differs) : 'new'}</small>
				</span>
				<Pick
					label={say.whatToDo(item.title)}
					quiet
					options={item.ways.map((value) => ({ value, text: WAY_WORDS[value] }))}
					value={wayOf(job, item)}
					onchoose={(way) => (chosen[keyOf(job, item)] = way)}
				/>
			</li>
		{/each}
	</ul>
	{#if items.length > SHOWN_AT_FIRST && !unfolded.has(job)}
		<button class="knob" type="button" onclick={() => unfolded.add(job)}
			>{say.showTheOther(items.length - SHOWN_AT_FIRST)}</button
		>
	{/if}
{/snippet}

<Modal title={say.whatIsInThisFile} size="md" bind:open={() => true, (open) => !open && close()}>
	<div class="stack">
		{#if bringsNothing}
			<p>{say.everythingInThisFileIsAlready}</p>
		{/if}
		{#if different.length > 1}
			<p class="all">
				{say.everythingThatIsDifferent}
				{#each ['both', 'replace', 'skip'] as const as way (way)}
					<button class="knob" type="button" onclick={() => chooseForAll(way)}
						>{WAY_WORDS[way]}</button
					>
				{/each}
			</p>
		{/if}
		{#each file.jobs as job, i (i)}
			<section>
				<h3><bdi>{job.file.title}</bdi>, {job.file.date}</h3>
				<p>{countWords(job)}</p>
				{#if job.mine === null && job.items.length > 0}
					<details>
						<summary>{say.itsShots}</summary>
						{@render list(i, job.items)}
					</details>
				{:else}
					{@render list(i, job.items)}
				{/if}
			</section>
		{/each}
		{#if file.kit.length > 0}
			<section>
				<h3>{say.besidesTheDays}</h3>
				{@render list(KIT_ITEM, file.kit)}
			</section>
		{/if}
		<div class="decide">
			<Button color="light" onclick={close}>{bringsNothing ? common.close : say.addNothing}</Button>
			{#if !bringsNothing}
				<Button disabled={isTaking} onclick={() => void take()}>{say.addIt}</Button>
			{/if}
		</div>
	</div>
</Modal>

<style>
	.all,
	.decide {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
	}
	li {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 9rem;
		align-items: center;
		gap: 0.6rem;
		padding: 0.25rem 0;
		border-bottom: 1px solid var(--rule);
	}
	small {
		display: block;
		color: var(--ink-2);
	}
</style>

<script lang="ts">
	import { chooseLensText as say } from '$words/screens/bench/choose';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import WorkBar from '../../working/WorkBar.svelte';
	import { MOST_SHORTLISTED, type LensNotes } from '$core/format/lensNotes';
	import type { KitBody, KitLens } from '$data/store/database';
	import { asksForSomething } from '$core/study/study';
	import { useKit } from '../../kit/kit.svelte';
	import type { Session } from '../../keeping/session.svelte';
	import { filtered, DayByLens, notesOf, type Filter } from './choosing.svelte';
	import OptionalNumber from './OptionalNumber.svelte';
	import LensNumbers from './LensNumbers.svelte';
	import ShortlistCard from './ShortlistCard.svelte';
	import SideBySide from './SideBySide.svelte';

	/** Lenses side by side on one body: what each gives, costs, and makes of the day. */
	let { body, session }: { body: KitBody; session: Session } = $props();
	const kit = useKit();
	const day = new DayByLens();

	let filter = $state.raw<Filter>({ focalMm: null, fNumber: null });
	/** The lens whose numbers are being changed. */
	let openId = $state<string | null>(null);

	const shown = $derived(filtered(kit.contents.lenses, body.body, filter));
	const shortlist = $derived(kit.contents.lenses.filter((one) => notesOf(one).isShortlisted));
	const asked = $derived([...shown, ...shortlist].filter((one, i, all) => all.indexOf(one) === i));
	const shots = $derived(
		session.jobShots.map(({ shot }) => shot).filter((shot) => asksForSomething(shot))
	);
	const titles = $derived(shots.map(({ title }) => title));
	const open = $derived(kit.contents.lenses.find(({ id }) => id === openId) ?? null);
	/** Everything that what a lens makes of the day depends on: notes are not among it. */
	const question = $derived(
		JSON.stringify([
			body.body,
			asked.map(({ id, lens, sharpness }) => [id, lens, sharpness]),
			shots,
			kit.contents.spreads
		])
	);

	$effect(() => {
		void question;
		void day.ask(shots, body.body, asked, kit.contents.spreads);
		return () => day.work.stop();
	});

	function put(entry: KitLens, change: Partial<KitLens>, words: string, gesture?: string) {
		const [before, after] = [entry, { ...entry, ...change }];
		const again = () => kit.put(after);
		again();
		session.bench.did({
			words,
			gesture: gesture ?? crypto.randomUUID(),
			back: () => kit.put(before),
			again
		});
	}
	const note = (entry: KitLens, change: Partial<LensNotes>, words: string) =>
		put(entry, { notes: { ...notesOf(entry), ...change } }, words);
	const list = (entry: KitLens, isShortlisted: boolean) =>
		note(entry, { isShortlisted }, isShortlisted ? say.onTheShortlist : say.offTheShortlist);

	/** A lens that one has not: begins like the first shown, under a name of its own. */
	function want() {
		const model = shown[0] ?? kit.contents.lenses[0];
		if (!model) return;
		const names = kit.contents.lenses.map(({ lens }) => lens.name);
		let name: string = say.aLensToConsider;
		for (let i = 2; names.includes(name); i++) name = say.aLensToConsider2(i);
		const id = crypto.randomUUID();
		const position = 1 + Math.max(0, ...kit.contents.lenses.map((one) => one.position));
		const { lens, onlyOn } = model;
		const entry: KitLens = {
			id,
			position,
			revision: 0,
			onlyOn,
			lens: { ...lens, name },
			isWanted: true
		};
		const again = () => kit.put(entry);
		again();
		session.bench.did({
			words: say.aLensToConsider3,
			gesture: id,
			back: () => kit.remove(entry),
			again
		});
		openId = id;
	}

	function forget(entry: KitLens) {
		openId = null;
		kit.remove(entry);
		session.bench.did({
			words: say.aLensRemoved,
			gesture: crypto.randomUUID(),
			back: () => kit.put(entry),
			again: () => kit.remove(entry)
		});
	}
</script>

<section aria-label={common.chooseALens}>
	<h2>{common.chooseALens}</h2>
	<p>{say.lensesSideBySideOnOne}</p>
	<p class="note">
		{say.sharpnessMeasuredOnOneBodySays}
		<bdi>{body.body.name}</bdi>
		{say.only}
	</p>
	<div class="row">
		<OptionalNumber
			label={say.reaches}
			unit="mm"
			value={filter.focalMm}
			low={4}
			high={800}
			onchange={(focalMm) => (filter = { ...filter, focalMm })}
		/>
		<OptionalNumber
			label={say.opensAtLeastToF}
			value={filter.fNumber}
			low={0.7}
			high={32}
			onchange={(fNumber) => (filter = { ...filter, fNumber })}
		/>
		<Button size="xs" color="light" onclick={want}>{say.considerOneYouDoNotOwn}</Button>
		{#if day.work.isBusy}
			<div class="bar" role="group" aria-label={say.workingOutTheDay}>
				<span>{say.theDayWithEach}</span>
				<WorkBar share={day.work.share ?? 0} label={say.workingOutTheDay} />
			</div>
		{/if}
	</div>
	{#if day.work.problem}<p role="alert" class="is-soft">{say.itStopped(day.work.problem)}</p>{/if}
	{#if shown.length === 0}
		<p>{say.noLensMatchesAskForLess}</p>
	{:else}
		<SideBySide
			entries={shown}
			bodyName={body.body.name}
			made={day.made}
			shots={titles.length}
			{openId}
			isFull={shortlist.length >= MOST_SHORTLISTED}
			onopen={(id) => (openId = openId === id ? null : id)}
			onlist={(entry) => list(entry, !notesOf(entry).isShortlisted)}
		/>
		<p class="note">
			{say.atItsBestLinePairsPer}
			{#if shortlist.length >= MOST_SHORTLISTED}
				{say.theShortlistIsFullTakeOne}
			{/if}
		</p>
	{/if}
	{#if open}
		<LensNumbers
			entry={open}
			bodyName={body.body.name}
			onput={(change, words, gesture) => put(open, change, words, gesture)}
			onforget={() => forget(open)}
		/>
	{/if}
	<h3>{say.shortlist}</h3>
	{#if shortlist.length === 0}
		<p class="note">
			{say.upToThreeWithPraiseComplaints}
		</p>
	{:else}
		<div class="cards">
			{#each shortlist as entry (entry.id)}
				<ShortlistCard
					{entry}
					{titles}
					made={day.made.get(entry.id) ?? []}
					onnote={(change) => note(entry, change, common.aNote)}
					onoff={() => list(entry, false)}
				/>
			{/each}
		</div>
	{/if}
</section>

<style>
	section {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
		min-width: 0;
	}
	h2 {
		font-size: 1.3rem;
	}
	h3 {
		font-size: 1.05rem;
	}
	.note {
		color: var(--ink-2);
		font-size: 0.875rem;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem 0.8rem;
		align-items: end;
	}
	.bar {
		flex: 1;
		min-width: 8rem;
	}
	.cards {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
		gap: 0.8rem;
		align-items: start;
	}
</style>

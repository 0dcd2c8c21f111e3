<script lang="ts">
	import { photographSheetText as say } from '$words/screens/photograph';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import WorkBar from '../working/WorkBar.svelte';
	import { onDestroy, untrack } from 'svelte';
	import { LIMITS } from '$core/format/shot';
	import { isCut, lensOf, lensOfEquivalent } from '$core/photograph/lensOf';
	import { lightOfPhotograph } from '$core/photograph/lightOf';
	import { arePeopleOf, stageOf, type RealCamera } from '$core/photograph/stage';
	import type { StandingHead } from '$core/photograph/standing';
	import { facesFound, lensKnownWords } from '$words/photograph';
	import { addShot } from '../keeping/dayActions';
	import { newShot } from '../keeping/newShot';
	import type { Session } from '../keeping/session.svelte';
	import { useKit } from '../kit/kit.svelte';
	import { Asking } from '../working/asking.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import SmallStage from '../drawing/SmallStage.svelte';
	import { photographPort } from '../../workers/ports';
	import type { Becomes } from './asked.svelte';
	import FaceRings from './FaceRings.svelte';
	import { Looking } from './looking.svelte';
	import MarkFields from './MarkFields.svelte';
	import RealCameraFields from './RealCameraFields.svelte';
	import StagedVerdict from './StagedVerdict.svelte';
	import { usualCamera } from './usualCamera';

	/** A photograph becomes the stage: who stands where on it, and the shot that comes of that. */
	interface Props {
		session: Session;
		becomes: Becomes;
		/** Chosen already; null to choose one. */
		file: File | null;
		open: boolean;
		onused: () => void;
	}

	let { session, becomes, file, open = $bindable(), onused }: Props = $props();

	const kit = useKit();
	const looking = new Looking();
	onDestroy(() => looking.dispose());
	// what finds faces is fetched while somebody chooses or takes the photograph
	void photographPort.ask('prepare', undefined).catch(() => undefined);
	$effect(() => {
		if (file) untrack(() => look(file));
	});
	$effect(() => {
		if (!open) looking.work.stop();
	});

	let chooser = $state<HTMLInputElement>();
	let shutter = $state<HTMLInputElement>();
	let selected = $state<number | null>(null);
	let isAdding = $state(false);
	let isKept = $state(false);
	/** Said where the file does not say it. */
	let equivalentMm = $state(26);
	let chosen = $state.raw<RealCamera | null>(null);

	const seen = $derived(looking.seen);
	const base = $derived(
		(becomes === 'this-shot' && session.shot) || newShot(common.fromAPhotograph2)
	);
	const bodies = $derived(kit.contents.bodies.map(({ body }) => body));
	const known = $derived(seen && lensOf(seen.facts, seen.size, bodies));
	const lens = $derived(seen && (known ?? lensOfEquivalent(equivalentMm, seen.size)));
	const counted = $derived(looking.counted);
	const question = $derived(lens && counted.length > 0 ? { heads: counted, lens } : null);
	const asked = new Asking(photographPort, 'stand', () => question);
	/** Where each stands, by its mark; what was known before stays until more is. */
	let standing = $state.raw<ReadonlyMap<number, StandingHead>>(new Map());
	$effect(() => {
		const heads = asked.answer;
		if (!heads) return;
		standing = new Map(
			untrack(() => counted).flatMap(({ id }, i): [number, StandingHead][] => {
				const head = heads[i];
				return head ? [[id, head]] : [];
			})
		);
	});
	const rows = $derived(Math.max(0, ...counted.map(({ id }) => standing.get(id)?.row ?? 0)));
	const staged = $derived(
		counted.flatMap(({ id, build }) => {
			const head = standing.get(id);
			return head ? [{ standing: head, build }] : [];
		})
	);

	const camera = $derived(chosen ?? usualCamera(seen?.facts ?? {}, kit, base));
	const shot = $derived(
		seen && lens && staged.length > 0 && staged.length <= LIMITS.people
			? stageOf(
					{ ...base, light: base.light ?? lightOfPhotograph(seen.facts) },
					staged,
					{ size: seen.size, focalPx: lens.focalPx },
					camera
				)
			: null
	);
	const areThosePlanned = $derived(shot !== null && arePeopleOf(base, shot));
	const chosenMark = $derived(looking.marks.find(({ id }) => id === selected));

	/** Another photograph: what was said of the one before does not hold. */
	function look(one: File) {
		selected = null;
		isAdding = false;
		chosen = null;
		void looking.look(one);
	}

	function take(input: HTMLInputElement) {
		const [one] = input.files ?? [];
		input.value = '';
		if (one) look(one);
	}

	async function use() {
		if (!shot || !seen) return;
		if (becomes === 'this-shot' && session.shot) session.change(shot);
		else await addShot(session, shot);
		const { shotId, library } = session;
		try {
			if (isKept && shotId) await library.keepPhotograph(shotId, seen.small);
		} catch {
			looking.work.problem = say.theShotIsMadeButThere;
			isKept = false;
			becomes = 'this-shot';
			return;
		}
		open = false;
		onused();
	}
</script>

<Modal title={common.fromAPhotograph2} size="xl" bind:open>
	<div class="stack">
		{#if !seen}
			<p>
				{say.pointAPhoneAtThemOr}
			</p>
		{/if}
		<div class="row">
			<Button color={seen ? 'alternative' : 'primary'} onclick={() => shutter?.click()}>
				{say.takeOne}
			</Button>
			<Button color={seen ? 'alternative' : 'primary'} onclick={() => chooser?.click()}>
				{say.chooseOne}
			</Button>
			{#if looking.work.share !== null}
				<div class="flex-[1_1_8rem]">
					<WorkBar share={looking.work.share} label={say.lookingForFaces} />
				</div>
				<Button color="alternative" onclick={() => looking.work.stop()}>{common.stop}</Button>
			{/if}
			<p role="status">
				{#if looking.work.share !== null}{say.lookingForFaces}
				{:else if seen}{facesFound(counted.length, rows)}{/if}
			</p>
		</div>
		<input
			bind:this={chooser}
			hidden
			type="file"
			aria-label={say.chooseAPhotograph}
			onchange={(event) => take(event.currentTarget)}
		/>
		<input
			bind:this={shutter}
			hidden
			type="file"
			accept="image/*"
			capture="environment"
			aria-label={say.takeAPhotograph}
			onchange={(event) => take(event.currentTarget)}
		/>
		{#if looking.work.problem}<p class="is-soft" role="alert">{looking.work.problem}</p>{/if}
		{#if seen}
			<div class="both">
				<div class="flex min-w-0 flex-col gap-2.5">
					<FaceRings
						address={looking.address}
						size={seen.size}
						marks={looking.marks}
						{standing}
						{selected}
						{isAdding}
						onselect={(id) => (selected = id)}
						onadded={(a, b) => {
							selected = looking.add(a, b);
							isAdding = false;
						}}
					/>
					<div class="row">
						<Button
							size="sm"
							color="alternative"
							aria-pressed={isAdding}
							onclick={() => (isAdding = !isAdding)}
						>
							{isAdding ? say.doneAdding : say.addAFace}
						</Button>
						<p>
							{#if isAdding}{say.tapItsTwoEyes}
							{:else if !chosenMark}{say.tapARingWhoItIs}{/if}
						</p>
					</div>
					{#if chosenMark}
						<MarkFields
							mark={chosenMark}
							standing={standing.get(chosenMark.id)}
							{rows}
							subjectM={seen.facts.subjectM}
							onchange={(by) => looking.change(chosenMark.id, by)}
						/>
					{/if}
				</div>
				<div class="flex min-w-0 flex-col gap-2.5">
					{#if shot}
						<SmallStage {shot} widthPx={208} heightPx={120} />
					{/if}
					{#if known}
						<p>{lensKnownWords(known, seen.facts.focalMm)}</p>
					{:else}
						<p>{say.theFileDoesNotSayIts}</p>
						<NumberField
							label={say.equivalentOnFullFrame}
							unit="mm"
							value={equivalentMm}
							low={8}
							high={600}
							digits={0}
							onchange={(mm) => (equivalentMm = mm)}
							newGesture={() => ''}
						/>
					{/if}
					{#if isCut(seen.facts, seen.size)}
						<p class="is-soft">{say.itWasCroppedDistancesMayBe}</p>
					{/if}
					<RealCameraFields {camera} onchange={(next) => (chosen = next)} />
					{#if shot}
						<StagedVerdict {shot} />
						{#if areThosePlanned}<p>{say.asManyAsPlannedRowBy}</p>{/if}
					{:else if counted.length > LIMITS.people}
						<p class="is-soft">
							{say.aShotHasRoomForPeople(LIMITS.people)}
						</p>
					{/if}
					<label>
						<input type="checkbox" bind:checked={isKept} />
						{say.keepThePhotographOnThisDevice}
					</label>
					<Button disabled={!shot || !asked.answer} onclick={() => void use()}>{say.useIt}</Button>
				</div>
			</div>
		{/if}
	</div>
</Modal>

<style>
	p {
		color: var(--ink-2);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.6rem;
	}
	.both {
		display: grid;
		grid-template-columns: minmax(0, 5fr) minmax(15rem, 3fr);
		gap: 1rem;
	}
	label {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		min-height: 2rem;
	}
	label input {
		accent-color: var(--ink);
		width: 1.1rem;
		height: 1.1rem;
	}
	@media (max-width: 45rem) {
		.both {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>

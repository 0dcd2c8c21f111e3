<script lang="ts">
	import { shootSheetText as say } from '$words/screens/practice';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import WorkBar from '../working/WorkBar.svelte';
	import { onDestroy } from 'svelte';
	import { nominalFNumber } from '$core/optics/fNumber';
	import type { Solution } from '$core/study/plan';
	import { settingsOf } from '$core/study/settings';
	import type { Spreads } from '$core/tables/spreads';
	import { exposureWords } from '$words/light';
	import { fStop, stopsInWords } from '$words/numbers';
	import { zipped } from '$files/out/zip';
	import { fileName, savedWords, writeFile } from '../browser/saving';
	import { photographAsked } from '../photograph/asked.svelte';
	import { filesAsked } from '../frames/handedFiles.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import Pick from '../fields/Pick.svelte';
	import FrameView from './FrameView.svelte';
	import { Roll } from './roll.svelte';
	import { PLANNED_SETTING, settingOptions, sizeOptions } from './shootOptions';
	import { takenAt } from './takenAt';

	/** The shot taken with the practice camera: how many frames, with which settings, and what came of it. */
	interface Props {
		solution: Solution;
		spreads: Spreads;
		/** When the shot is taken, by the clock there; and the time zone of the day. */
		startsAt: string;
		timeZone?: string | undefined;
		open: boolean;
	}

	let { solution, spreads, startsAt, timeZone, open = $bindable() }: Props = $props();

	const MOST_FRAMES = 40;
	/** What is so little too dark or too bright is not worth saying, stops. */
	const UNSEEN_STOPS = 0.4;

	const roll = new Roll();
	onDestroy(() => roll.dispose());

	let frames = $state(6);
	let sizePx = $state(2400);
	let fNumber = $state(PLANNED_SETTING);
	let shutterS = $state(PLANNED_SETTING);
	let iso = $state(PLANNED_SETTING);
	let seed = $state(1);
	let looked = $state(0);
	let saved = $state('');

	const shot = $derived(solution.study.shot);
	const chosen = (value: string) => (value === PLANNED_SETTING ? undefined : Number(value));
	const own = $derived({ shutterS: chosen(shutterS), iso: chosen(iso) });
	const take = $derived(
		fNumber === PLANNED_SETTING ? solution.take : solution.study.at(Number(fNumber))
	);
	const settings = $derived(take && settingsOf(take, own));
	const isOwn = $derived([fNumber, shutterS, iso].some((value) => value !== PLANNED_SETTING));
	const offStops = $derived(settings ? Math.log2(settings.gain) : 0);

	const frame = $derived(roll.frames[looked]?.taken ?? null);

	const options = $derived(settingOptions(solution));
	const sizes = $derived(sizeOptions(shot.body));

	function shoot() {
		looked = 0;
		saved = '';
		roll.take({
			shot,
			own: { ...own, fNumber: chosen(fNumber) ?? take?.fNumber },
			frames,
			seed,
			spreads,
			longSidePx: Math.min(sizePx, shot.body.sensor.pixelsAcross),
			...takenAt(startsAt, timeZone),
			firstNumber: 1
		});
		// other frames the next time
		seed += 1;
	}

	async function save() {
		const name = `${fileName(shot.title)}-practice.zip`;
		const files = roll.taken.map((one) => ({ name: one.name, content: one.jpeg }));
		try {
			saved = savedWords(await writeFile(name, () => zipped(files)), name);
		} catch (error) {
			saved = say.itWasNotSaved(error instanceof Error ? error.message : 'unknown');
		}
	}

	/** Looked at as any photograph would be. */
	function toStage() {
		if (!frame) return;
		open = false;
		photographAsked.ask('new-shot', { file: new File([frame.jpeg], frame.name) });
	}

	/** Judged as frames that came home. Handed over twice they are known: same name, size and time. */
	function toReview() {
		open = false;
		const lastModified = roll.order?.localMs ?? 0;
		filesAsked.hand(
			roll.taken.map(({ jpeg, name }) => new File([jpeg], name, { type: jpeg.type, lastModified }))
		);
	}

	$effect(() => {
		if (!open) roll.work.stop();
	});
	const newGesture = () => '';
</script>

<Modal title={say.shootIt} size="xl" bind:open>
	<div class="stack">
		{#if roll.frames.length === 0}
			<p>
				{say.thePracticeCameraTakesThisShot}
			</p>
		{/if}
		<div class="fields">
			<NumberField
				label={say.frames}
				value={frames}
				low={1}
				high={MOST_FRAMES}
				digits={0}
				onchange={(value) => (frames = Math.round(value))}
				{newGesture}
			/>
			<Pick
				label={say.size}
				options={sizes}
				value={String(Math.min(sizePx, shot.body.sensor.pixelsAcross))}
				onchoose={(px) => (sizePx = Number(px))}
			/>
			<Pick
				label={common.fNumber}
				options={options.fNumbers}
				value={fNumber}
				onchoose={(to) => (fNumber = to)}
			/>
			<Pick
				label={common.shutter}
				options={options.shutters}
				value={shutterS}
				onchoose={(to) => (shutterS = to)}
			/>
			<Pick label={common.iso} options={options.isos} value={iso} onchoose={(to) => (iso = to)} />
		</div>
		{#if settings && (isOwn || Math.abs(offStops) > UNSEEN_STOPS)}
			<p>
				{fStop(nominalFNumber(settings.fNumber))}, {exposureWords(
					settings
				)}{#if Math.abs(offStops) > UNSEEN_STOPS}:
					<strong class="is-soft"
						>{say.too(stopsInWords(Math.abs(offStops)), offStops < 0 ? 'dark' : 'bright')}</strong
					>{/if}.
			</p>
		{/if}
		<div class="row">
			{#if roll.work.isBusy}
				<Button color="alternative" onclick={() => roll.work.stop()}>{common.stop}</Button>
				<div class="bar">
					<WorkBar
						share={(roll.taken.length + (roll.work.share ?? 0)) / (roll.order?.frames ?? 1)}
						label={say.frames}
					/>
				</div>
			{:else}
				<Button onclick={shoot} disabled={!take}>
					{roll.frames.length > 0 ? say.shootAgain : say.shootIt}
				</Button>
				{#if roll.order && !roll.isWhole}
					<Button color="alternative" onclick={() => void roll.goOn()}>{common.goOn}</Button>
				{/if}
				{#if roll.taken.length > 0}
					<Button color="alternative" onclick={toReview}>{say.judgeThemInReview}</Button>
					<Button color="alternative" onclick={() => void save()}>{say.saveAsZip}</Button>
					<Button
						color="alternative"
						title={say.whereEverybodyStandsFromTheFrame}
						disabled={!frame}
						onclick={toStage}>{say.stageFromThisFrame}</Button
					>
				{/if}
			{/if}
			<p role="status">
				{#if roll.order}{say.ofFrames(roll.taken.length, roll.order.frames)}{/if}
				{saved}
			</p>
		</div>
		{#if roll.work.problem}
			<p class="is-soft" role="alert">
				{say.itStoppedWhatIsDoneStays(roll.work.problem)}
			</p>
		{/if}
		{#if roll.frames.length > 0}
			<FrameView frames={roll.frames} bind:looked focus={solution.plan.focus?.frame ?? null} />
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
	.bar {
		flex: 1 1 8rem;
	}
</style>

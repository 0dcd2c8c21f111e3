<script lang="ts">
	import Modal from 'flowbite-svelte/Modal.svelte';
	import Progressbar from 'flowbite-svelte/Progressbar.svelte';
	import { untrack } from 'svelte';
	import type { Withheld } from '$core/format/withheld';
	import { useKit } from '../../kit/kit.svelte';
	import Choice from '../../fields/Choice.svelte';
	import Pick from '../../fields/Pick.svelte';
	import type { AutoBackup } from '../../keeping/autoBackup.svelte';
	import type { Keeping } from '../../keeping/promise.svelte';
	import type { Session } from '../../keeping/session.svelte';
	import { JobFiles } from './jobFiles.svelte';

	/** Files out, and what this browser keeps. */
	interface Props {
		session: Session;
		keeping: Keeping;
		backups: AutoBackup;
		open: boolean;
		onopenfile: () => void;
	}

	let { session, keeping, backups, open = $bindable(), onopenfile }: Props = $props();

	const kit = useKit();
	const files = untrack(() => new JobFiles(session, kit));

	const LEFT_OUT: readonly { readonly key: keyof Withheld; readonly text: string }[] = [
		{ key: 'names', text: 'names' },
		{ key: 'notes', text: 'notes' },
		{ key: 'places', text: 'places' }
	];
	const PAPERS = [
		{ value: 'A4', text: 'A4' },
		{ value: 'Letter', text: 'Letter' }
	] as const;
	const zones = $derived([...new Set([files.zone, ...Intl.supportedValuesOf('timeZone')])]);

	$effect(() => {
		if (open) void keeping.look();
	});

	/** Handed to the browser, which does not say what became of it. */
	let isHanded = $state(false);

	async function backUp() {
		const saved = await files.saveBackup();
		isHanded = saved === 'handed';
		if (saved === 'written') keeping.noteBackup();
	}
	function noteSaved() {
		isHanded = false;
		keeping.noteBackup();
	}
</script>

<Modal title="Files" size="lg" bind:open>
	<div class="stack">
		<fieldset>
			<legend>Leave out</legend>
			{#each LEFT_OUT as { key, text } (key)}
				<label>
					<input
						type="checkbox"
						checked={files.withheld[key]}
						onchange={(event) =>
							(files.withheld = { ...files.withheld, [key]: event.currentTarget.checked })}
					/>
					{text}
				</label>
			{/each}
			<p>
				Of every file but the backup. People become “Person 1”, also in titles. A title that names
				somebody who is on no list stays as it is.
			</p>
		</fieldset>
		{#if session.job}
			<section>
				<h3>This day</h3>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveJob}
						>The whole day</button
					>
					<span>to open again, here or by somebody else</span>
				</div>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.savePocket}
						>Pocket file</button
					>
					<span>one page with every card, for any phone, without a network</span>
				</div>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveCards}
						>Cards (PDF)</button
					>
					<Choice
						label="Paper"
						quiet
						options={PAPERS}
						value={files.paper}
						onchoose={(paper) => (files.paper = paper)}
					/>
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.printCards}
						>Print cards…</button
					>
					<span>four on a sheet; Latin, Greek and Cyrillic letters as text, others drawn</span>
				</div>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveList}
						>Shot list (CSV)</button
					>
					<span>a table for spreadsheets; what is changed there can be opened here</span>
				</div>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveCalendar}
						>Schedule (calendar)</button
					>
					<Pick
						label="Times are of"
						quiet
						options={zones.map((value) => ({ value, text: value.replaceAll('_', ' ') }))}
						value={files.zone}
						onchoose={(timeZone) => {
							const { job, day } = session;
							if (job) day.change('the time zone of the day', job.id, { job: { timeZone } });
						}}
					/>
				</div>
				<div class="row">
					{#await import('../../practice/PracticeDay.svelte') then { default: PracticeDay }}
						<PracticeDay {session} spreads={kit.contents.spreads} />
					{/await}
				</div>
			</section>
		{/if}
		{#if session.shot}
			<section>
				<h3>This shot: <bdi>{session.shot.title}</bdi></h3>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveShot}
						>The shot</button
					>
					<button
						class="knob"
						type="button"
						disabled={files.isBusy}
						onclick={() => void files.saveStage('svg')}>Stage (SVG)</button
					>
					<button
						class="knob"
						type="button"
						disabled={files.isBusy}
						onclick={() => void files.saveStage('png')}>Stage (PNG)</button
					>
				</div>
			</section>
		{/if}
		<section>
			<h3>Everything on this device</h3>
			<div class="row">
				<button class="knob" type="button" disabled={files.isBusy} onclick={() => void backUp()}
					>Back up everything</button
				>
				<button class="knob" type="button" onclick={onopenfile}>Open a file…</button>
				<span>{keeping.backupWords}</span>
			</div>
			{#if isHanded}
				<div class="row" role="status">
					<span>Is the backup among your downloads? This browser does not say.</span>
					<button class="knob" type="button" onclick={noteSaved}>It is saved</button>
				</div>
			{/if}
			{#if backups.folderName !== null}
				<div class="row">
					<span role="status">
						{#if backups.isAsleep}
							Backups into “<bdi>{backups.folderName}</bdi>” wait: the browser wants to be asked
							again first.
						{:else}
							Backed up into “<bdi>{backups.folderName}</bdi>” a minute after a change, a file a
							day.
						{/if}
						{backups.problem}
					</span>
					{#if backups.isAsleep}
						<button class="knob" type="button" onclick={() => void backups.wake()}
							>Ask the browser</button
						>
					{/if}
					<button class="knob" type="button" onclick={() => void backups.choose()}
						>Another folder…</button
					>
					<button class="knob" type="button" onclick={() => void backups.forget()}
						>Stop these backups</button
					>
				</div>
			{:else if backups.isPossible}
				<div class="row">
					<button class="knob" type="button" onclick={() => void backups.choose()}
						>Automatically, into a folder…</button
					>
					<span>chosen once; then a file a day, a minute after a change</span>
					<span role="status">{backups.problem}</span>
				</div>
			{/if}
			<p>
				The backup holds all days, the kit, your hands, and the marks and notes of frames, without
				what was taken out and without the steps that can be undone. A backup, a day, a shot or a
				shot list is opened here; you see what is in it before anything is taken.
			</p>
			<p>{keeping.storageWords}</p>
		</section>
		<div class="report" role="status">
			{files.report.text}
			{#if files.report.share !== null}
				<Progressbar progress={Math.round(100 * files.report.share)} size="h-1.5" />
			{/if}
		</div>
	</div>
</Modal>

<style>
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1.2rem;
		align-items: center;
	}
	legend {
		float: left;
		font-weight: 600;
		padding-right: 1rem;
	}
	fieldset p {
		flex-basis: 100%;
	}
	label {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		min-height: 1.75rem;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.3rem 0.6rem;
		align-items: center;
		padding: 0.2rem 0;
	}
	.row > .knob:first-child {
		min-width: 10rem;
	}
	p,
	.row span {
		color: var(--ink-2);
	}
	.report {
		min-height: 2rem;
	}
	@media (pointer: coarse) {
		label {
			min-height: 2.75rem;
		}
	}
</style>

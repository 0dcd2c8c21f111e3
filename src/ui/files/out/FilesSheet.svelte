<script lang="ts">
	import { filesSheetText as say } from '$words/screens/files/out';
	import { commonText as common } from '$words/screens/common';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import WorkBar from '../../working/WorkBar.svelte';
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
		{ key: 'names', text: say.names },
		{ key: 'notes', text: common.notes },
		{ key: 'places', text: say.places }
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

<Modal title={say.files} size="lg" bind:open>
	<div class="stack">
		<fieldset>
			<legend>{say.leaveOut}</legend>
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
				{say.fromEveryFileExceptTheBackup}
			</p>
		</fieldset>
		{#if session.job}
			<section>
				<h3>{say.thisDay}</h3>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveJob}
						>{say.theWholeDay}</button
					>
					<span>{say.toOpenAgainHereOrOn}</span>
				</div>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.savePocket}
						>{say.pocketFile}</button
					>
					<span>{say.onePageWithEveryCardFor}</span>
				</div>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveCards}
						>{say.cardsPdf}</button
					>
					<Choice
						label={common.paper}
						quiet
						options={PAPERS}
						value={files.paper}
						onchoose={(paper) => (files.paper = paper)}
					/>
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.printCards}
						>{say.printCards}</button
					>
					<span>{say.fourOnASheetLatinGreek}</span>
				</div>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveList}
						>{say.shotListCsv}</button
					>
					<span>{say.aTableForSpreadsheetsWhatIs}</span>
				</div>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveCalendar}
						>{say.scheduleCalendar}</button
					>
					<Pick
						label={say.timesAreIn}
						quiet
						options={zones.map((value) => ({ value, text: value.replaceAll('_', ' ') }))}
						value={files.zone}
						onchoose={(timeZone) => {
							const { job, day } = session;
							if (job) day.change(say.theTimeZoneOfTheDay, job.id, { job: { timeZone } });
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
				<h3>{say.thisShot} <bdi>{session.shot.title}</bdi></h3>
				<div class="row">
					<button class="knob" type="button" disabled={files.isBusy} onclick={files.saveShot}
						>{say.theShot}</button
					>
					<button
						class="knob"
						type="button"
						disabled={files.isBusy}
						onclick={() => void files.saveStage('svg')}>{say.stageSvg}</button
					>
					<button
						class="knob"
						type="button"
						disabled={files.isBusy}
						onclick={() => void files.saveStage('png')}>{say.stagePng}</button
					>
				</div>
			</section>
		{/if}
		<section>
			<h3>{say.everythingOnThisDevice}</h3>
			<div class="row">
				<button class="knob" type="button" disabled={files.isBusy} onclick={() => void backUp()}
					>{say.backUpEverything}</button
				>
				<button class="knob" type="button" onclick={onopenfile}>{say.openAFile}</button>
				<span>{keeping.backupWords}</span>
			</div>
			{#if isHanded}
				<div class="row" role="status">
					<span>{say.isTheBackupAmongYourDownloads}</span>
					<button class="knob" type="button" onclick={noteSaved}>{say.itIsSaved}</button>
				</div>
			{/if}
			{#if backups.folderName !== null}
				<div class="row">
					<span role="status">
						{#if backups.isAsleep}
							{common.backupsInto}<bdi>{backups.folderName}</bdi
							>{common.areWaitingTheBrowserNeedsYour}
						{:else}
							{say.backedUpInto}<bdi>{backups.folderName}</bdi>{say.aMinuteAfterAChangeA}
						{/if}
						{backups.problem}
					</span>
					{#if backups.isAsleep}
						<button class="knob" type="button" onclick={() => void backups.wake()}
							>{common.askTheBrowser}</button
						>
					{/if}
					<button class="knob" type="button" onclick={() => void backups.choose()}
						>{say.anotherFolder}</button
					>
					<button class="knob" type="button" onclick={() => void backups.forget()}
						>{say.stopTheseBackups}</button
					>
				</div>
			{:else if backups.isPossible}
				<div class="row">
					<button class="knob" type="button" onclick={() => void backups.choose()}
						>{say.automaticallyIntoAFolder}</button
					>
					<span>{say.chosenOnceThenAFileA}</span>
					<span role="status">{backups.problem}</span>
				</div>
			{/if}
			<p>
				{say.theBackupHoldsAllDaysThe}
			</p>
			<p>{keeping.storageWords}</p>
		</section>
		<div class="report" role="status">
			{files.report.text}
			{#if files.report.share !== null}
				<WorkBar share={files.report.share} label={files.report.text} />
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

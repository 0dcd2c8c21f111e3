<script lang="ts">
	import { appText as say } from '$words/screens/shell';
	import { commonText as common } from '$words/screens/common';
	import { untrack } from 'svelte';
	import { stepBy } from './keeping/dayActions';
	import { saveShotFile } from './browser/saving';
	import { ACCEPTED } from '$files/in/kinds';
	import Dropping from './files/in/Dropping.svelte';
	import Looking from './files/in/Looking.svelte';
	import { Openings } from './files/in/openings.svelte';
	import { AutoBackup } from './keeping/autoBackup.svelte';
	import { Keeping } from './keeping/promise.svelte';
	import { returnFocus } from './shell/focusReturn';
	import { Network } from './browser/network.svelte';
	import { actionOf, isOfReview, type Action, type ReviewAction } from './shared/shortcuts';
	import Notices from './shell/Notices.svelte';
	import { photographAsked } from './photograph/asked.svelte';
	import { openSampleDay } from './keeping/sample';
	import { filesAsked } from './frames/handedFiles.svelte';
	import { undoingAt } from './keeping/undoingAt';
	import { Kit, provideKit } from './kit/kit.svelte';
	import { Session } from './keeping/session.svelte';
	import { settings } from './shared/settings.svelte';
	import TopBar from './shell/TopBar.svelte';
	import { isOpen, isPlace, type PlaceName } from './shared/places';
	import { SCREENS } from './screens';
	import Welcome from './welcome/Welcome.svelte';
	import { tour } from './welcome/tour.svelte';

	/** The shell around the places of the work. */
	interface Props {
		/** The shot the address asks for. */
		shotId: string | null;
		/** The place the address asks for. */
		asked: PlaceName | null;
		/** The sample day is asked for: part of the title of one of its shots, or empty; null when it is not. */
		sample: string | null;
		onshow: (place: PlaceName, shotId: string | null) => void;
	}

	let { shotId, asked, sample, onshow }: Props = $props();

	const session = new Session();
	const kit = provideKit(new Kit(session.library));
	const keeping = new Keeping();
	const backups = new AutoBackup(session, keeping);
	const network = new Network();
	const openings = new Openings(session, kit);
	let isHelpOpen = $state(false);
	let areFilesOpen = $state(false);
	/** Sheets are loaded when they are first wanted; they stay then, since something may still be being made. */
	const wanted = $state({ files: false, help: false });
	$effect(() => {
		if (areFilesOpen) wanted.files = true;
		if (isHelpOpen) wanted.help = true;
	});
	let chooser = $state<HTMLInputElement>();
	/** The sample day is asked for and not there yet. */
	let isSampleDue = $state(untrack(() => sample !== null));

	$effect(() => untrack(() => session.start(shotId ?? settings.lastShotId)));
	$effect(() => keeping.start());
	$effect(() => network.start());
	$effect(() => returnFocus());
	$effect(() => {
		if (!session.isSaving || !session.job || session.job.isSample) return;
		untrack(() => {
			keeping.noteChange();
			void keeping.askToKeep();
		});
	});
	$effect(() => {
		// what was said of frames is in the backup, too
		if (session.review.changes === 0) return;
		untrack(() => !session.job?.isSample && keeping.noteChange());
	});
	$effect(() => {
		if (!session.isReady) return;
		untrack(() => {
			if (!isSampleDue) return;
			void openSampleDay(session, sample ?? '').finally(() => (isSampleDue = false));
		});
	});
	$effect(() => {
		if (session.isReady) untrack(() => void backups.start());
	});
	$effect(() => {
		if (settings.changedAt !== null) backups.soon();
	});
	let place = $state<PlaceName>(untrack(() => asked ?? settings.lastPlace));
	// what will be shown is fetched while the store is read
	untrack(() => {
		if (isSampleDue || (shotId ?? settings.lastShotId)) SCREENS[place]().catch(() => undefined);
	});
	/** Where one is: where one went if it has what it needs, else the day; null before there is anything. */
	const at = $derived.by((): PlaceName | null => {
		const open = { job: session.job !== null, shot: session.shot !== null };
		const wanted: readonly PlaceName[] = [place, 'day', 'plan'];
		return wanted.find((one) => isOpen(one, open)) ?? null;
	});
	$effect(() => {
		const id = session.shotId;
		void place;
		untrack(() => {
			settings.set({ lastPlace: place, ...(id ? { lastShotId: id } : {}) });
			if (id || session.job) onshow(place, id);
		});
	});

	const go = (next: PlaceName) => (place = next);
	$effect(() => {
		if (filesAsked.waiting.length > 0) go('review');
	});
	/** A photograph is looked at; anything else is opened. */
	function take(file: File | undefined) {
		if (!file) return;
		const becomes = at === 'plan' ? 'this-shot' : 'new-shot';
		if (file.type.startsWith('image/')) photographAsked.ask(becomes, { file });
		else void openings.take(file);
	}

	function takeDropped(files: readonly File[]) {
		if (files.length === 0) openings.refuse(say.whatYouDroppedHoldsNoFile);
		else if (at === 'review' || files.length > 1) filesAsked.hand([...files]);
		else take(files[0]);
	}

	const undo = () => undoingAt(at, session).undo();
	const redo = () => undoingAt(at, session).redo();

	const CTRL: Readonly<Record<string, () => void>> = {
		z: undo,
		y: redo,
		Z: redo,
		o: () => chooser?.click(),
		s: () => session.shot && saveShotFile(session.shot)
	};
	const ACTS: Readonly<Record<Exclude<Action, PlaceName | ReviewAction>, () => void>> = {
		previous: () => void stepBy(session, -1),
		next: () => void stepBy(session, 1),
		files: () => (areFilesOpen = true),
		units: () => settings.set({ units: settings.units === 'm' ? 'ft' : 'm' }),
		look: () => settings.set({ look: settings.look === 'night' ? 'day' : 'night' }),
		help: () => (isHelpOpen = true)
	};

	/** What is done in Review is its own. */
	const acts = (action: Action) =>
		isPlace(action) ? () => go(action) : isOfReview(action) ? undefined : ACTS[action];

	function press(event: KeyboardEvent) {
		const isTyping = (event.target as Element).matches(
			'input:not([type=radio], [type=checkbox]), textarea, select'
		);
		const isCommand = event.ctrlKey || event.metaKey;
		if (event.altKey || document.querySelector('dialog[open]')) return;
		if (isCommand && isTyping && 'zyZ'.includes(event.key)) return;
		if (!isCommand && isTyping) return;
		const letter = isCommand ? null : actionOf(event.key);
		const act = letter ? acts(letter) : isCommand ? CTRL[event.key] : undefined;
		if (!act) return;
		event.preventDefault();
		act();
	}
</script>

<svelte:window
	onkeydown={press}
	onpagehide={() => session.leave()}
	onbeforeunload={(event) => session.isAtRisk && event.preventDefault()}
/>
<svelte:document
	onvisibilitychange={() => {
		if (!document.hidden) return;
		void session.flush();
		if (keeping.isUnsaved) void backups.write();
	}}
/>

<div
	class="app"
	class:has-places={session.job}
	data-saved={!session.isSaving}
	data-ready={session.isReady}
>
	<TopBar
		{session}
		place={at ?? 'day'}
		isOffline={network.isOffline}
		ongo={go}
		onfiles={() => (areFilesOpen = true)}
		onhelp={() => (isHelpOpen = true)}
	/>
	<Notices
		{session}
		{keeping}
		{backups}
		{network}
		refusal={openings.refusal}
		onforget={() => (openings.refusal = null)}
		onfiles={() => (areFilesOpen = true)}
	/>
	{#if session.isReady && at}
		{#await SCREENS[at]() then { default: Screen }}
			<Screen {session} ongo={go} onfiles={() => (areFilesOpen = true)} />
		{:catch}
			<p role="alert">
				{say.thisPartOfTheAppCould}
				<button class="knob" type="button" onclick={() => location.reload()}
					>{common.tryAgain}</button
				>
			</p>
		{/await}
	{:else if session.isReady && !isSampleDue}
		<Welcome {session} onnow={() => go('card')} />
	{/if}
	{#if tour.step !== null}
		{#await import('./welcome/TourNote.svelte') then { default: TourNote }}<TourNote />{/await}
	{/if}
	<input
		bind:this={chooser}
		hidden
		type="file"
		aria-label={say.openAFile}
		accept={ACCEPTED}
		onchange={(event) => {
			const [file] = event.currentTarget.files ?? [];
			event.currentTarget.value = '';
			take(file);
		}}
	/>
	<Looking {openings} />
	<Dropping ondrop={takeDropped} onfail={() => openings.refuse(say.theFolderCannotBeReadChoose)} />
</div>
{#if wanted.help}
	{#await import('./shell/Help.svelte') then { default: Help }}<Help
			bind:open={isHelpOpen}
		/>{/await}
{/if}
{#if wanted.files}
	{#await import('./files/out/FilesSheet.svelte') then { default: FilesSheet }}
		<FilesSheet
			{session}
			{keeping}
			{backups}
			bind:open={areFilesOpen}
			onopenfile={() => {
				areFilesOpen = false;
				chooser?.click();
			}}
		/>
	{/await}
{/if}
{#if photographAsked.isOpen}
	{#await import('./photograph/PhotographSheet.svelte') then { default: PhotographSheet }}
		<PhotographSheet
			{session}
			becomes={photographAsked.becomes}
			file={photographAsked.more.file ?? null}
			bind:open={photographAsked.isOpen}
			onused={photographAsked.more.onused ?? (() => go('plan'))}
		/>
	{/await}
{/if}
{#key openings.compared}
	{#if openings.compared}
		{#await import('./files/in/ImportSheet.svelte') then { default: ImportSheet }}
			<ImportSheet
				{session}
				{kit}
				file={openings.compared}
				onclose={(file) => openings.close(file)}
				ontaken={() => go('day')}
			/>
		{/await}
	{/if}
{/key}

<style>
	.app {
		display: flex;
		flex-direction: column;
		min-height: 100dvh;
	}
	/* the whole of it on the screen, unless the text is so large that it must scroll */
	@media (min-width: 45rem) and (min-height: 37rem) {
		.app {
			height: max(100dvh, 37rem);
		}
	}
	/* the places lie at the bottom of a phone */
	@media (max-width: 40rem) {
		.app.has-places {
			--places: 3.4rem;
			padding-bottom: calc(var(--places) + env(safe-area-inset-bottom));
		}
	}
</style>

<script lang="ts">
	import { untrack } from 'svelte';
	import type { Refusal } from '$core/format/shotFile';
	import PlanScreen from './plan/PlanScreen.svelte';
	import { addShot } from './shared/dayActions';
	import { readShotFile, saveShotFile } from './shared/files';
	import Help from './shared/Help.svelte';
	import Notices from './shared/Notices.svelte';
	import { openSampleDay } from './shared/sample';
	import { Store } from '$data/store';
	import { Kit, provideKit } from './kit/kit.svelte';
	import { Session } from './shared/session.svelte';
	import { settings, type Place } from './shared/settings.svelte';
	import CardScreen from './card/CardScreen.svelte';
	import DayScreen from './day/DayScreen.svelte';
	import TopBar from './shared/TopBar.svelte';
	import Welcome from './shared/Welcome.svelte';

	/** The shell around the places of the work. */
	interface Props {
		/** The shot the address asks for. */
		shotId: string | null;
		/** The place the address asks for. */
		asked: Place | null;
		wantsSample: boolean;
		onshow: (place: Place, shotId: string | null) => void;
	}

	let { shotId, asked, wantsSample, onshow }: Props = $props();

	const store = new Store();
	const session = new Session(store);
	const kit = provideKit(new Kit(store.kit));
	let refusal = $state.raw<Refusal | null>(null);
	let isHelpOpen = $state(false);
	let isDropping = $state(false);
	let chooser = $state<HTMLInputElement>();
	let hasOpenedSample = false;

	$effect(() => untrack(() => session.start(shotId ?? settings.lastShotId)));
	$effect(() => kit.start());
	$effect(() => {
		if (!session.isReady || !wantsSample || hasOpenedSample) return;
		hasOpenedSample = true;
		untrack(() => void openSampleDay(session));
	});
	let place = $state<Place>(untrack(() => asked ?? settings.lastPlace));
	/** Without a shot there is only the day to go to. */
	const at = $derived(session.shot ? place : 'day');
	$effect(() => {
		const id = session.shotId;
		void place;
		untrack(() => {
			settings.set({ lastPlace: place, ...(id ? { lastShotId: id } : {}) });
			if (id || session.job) onshow(place, id);
		});
	});

	async function take(file: File | undefined) {
		if (!file) return;
		const reading = await readShotFile(file);
		refusal = reading.ok ? null : reading;
		if (reading.ok) await addShot(session, reading.shot);
	}

	function drop(event: DragEvent) {
		event.preventDefault();
		isDropping = false;
		void take(event.dataTransfer?.files[0]);
	}

	/** On the day what was done to it, else what was done to the shot. */
	const undo = () => (at === 'day' ? session.library.undo() : session.undo());
	const redo = () => (at === 'day' ? session.library.redo() : session.redo());

	const CTRL: Readonly<Record<string, () => void>> = {
		z: undo,
		y: redo,
		Z: redo,
		o: () => chooser?.click(),
		s: () => session.shot && saveShotFile(session.shot)
	};
	const LETTERS: Readonly<Record<string, () => void>> = {
		u: () => settings.set({ units: settings.units === 'm' ? 'ft' : 'm' }),
		n: () => settings.set({ look: settings.look === 'night' ? 'day' : 'night' }),
		'?': () => (isHelpOpen = true)
	};

	function press(event: KeyboardEvent) {
		const isTyping = (event.target as Element).matches(
			'input:not([type=radio], [type=checkbox]), textarea, select'
		);
		const isCommand = event.ctrlKey || event.metaKey;
		if (event.altKey || document.querySelector('dialog[open]')) return;
		if (isCommand && isTyping && 'zyZ'.includes(event.key)) return;
		if (!isCommand && (isTyping || !settings.shortcuts)) return;
		const action = (isCommand ? CTRL : LETTERS)[event.key];
		if (!action) return;
		event.preventDefault();
		action();
	}
</script>

<svelte:window
	onkeydown={press}
	ondragover={(event) => {
		event.preventDefault();
		isDropping = true;
	}}
	ondragleave={(event) => (isDropping = event.relatedTarget !== null)}
	ondrop={drop}
	onpagehide={() => void session.flush()}
/>
<svelte:document onvisibilitychange={() => document.hidden && void session.flush()} />

<div
	class="app"
	class:has-places={session.job}
	data-saved={!session.isSaving}
	data-ready={session.isReady}
>
	<TopBar
		{session}
		place={at}
		ongo={(next) => (place = next)}
		onopenfile={() => chooser?.click()}
		onhelp={() => (isHelpOpen = true)}
	/>
	<Notices {session} {refusal} onforget={() => (refusal = null)} />
	{#if session.job && at === 'day'}
		<DayScreen {session} ongo={(next) => (place = next)} onopenfile={() => chooser?.click()} />
	{:else if session.shot && at === 'card'}
		<CardScreen {session} ongo={(next) => (place = next)} />
	{:else if session.shot}
		<PlanScreen {session} />
	{:else if session.isReady}
		<Welcome {session} />
	{/if}
	<input
		bind:this={chooser}
		hidden
		type="file"
		aria-label="Open a shot file"
		accept=".json,application/json"
		onchange={(event) => {
			const [file] = event.currentTarget.files ?? [];
			event.currentTarget.value = '';
			void take(file);
		}}
	/>
	{#if isDropping}<div class="drop" aria-hidden="true">Drop the shot file here</div>{/if}
</div>
<Help bind:open={isHelpOpen} />

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
	.drop {
		position: fixed;
		inset: 1rem;
		display: grid;
		place-items: center;
		border: 3px dashed var(--focus);
		background: color-mix(in srgb, var(--paper) 85%, transparent);
		font-family: var(--font-serif);
		font-size: 1.6rem;
		z-index: 50;
		pointer-events: none;
	}
</style>

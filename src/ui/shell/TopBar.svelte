<script lang="ts">
	import { topBarText as say } from '$words/screens/shell';
	import { commonText as common } from '$words/screens/common';
	import type { Session } from '../keeping/session.svelte';
	import type { PlaceName } from '../shared/places';
	import { indexOfOpen, stepBy } from '../keeping/dayActions';
	import { undoingAt } from '../keeping/undoingAt';
	import DeviceButtons from './DeviceButtons.svelte';
	import Places from './Places.svelte';
	import ShotMenu from './ShotMenu.svelte';

	/** Wordmark, places, job and shot, undo and redo, units, look, help. */
	interface Props {
		session: Session;
		place: PlaceName;
		isOffline: boolean;
		ongo: (place: PlaceName) => void;
		onfiles: () => void;
		onhelp: () => void;
	}

	let { session, place, isOffline, ongo, onfiles, onhelp }: Props = $props();

	const isDay = $derived(place === 'day');
	const steps = $derived(undoingAt(place, session));
	const shots = $derived(session.jobShots);
	const index = $derived(indexOfOpen(session));
</script>

<header class="bar">
	<span class="word">{common.focalis}</span>
	{#if session.job}<Places {place} {ongo} />{/if}
	{#if session.shot && place !== 'day'}
		<ShotMenu {session} {onfiles} {onhelp} />
		{#if place === 'plan'}
			<button
				class="knob bare"
				type="button"
				aria-label={common.previousShot}
				disabled={index <= 0}
				onclick={() => void stepBy(session, -1)}>‹</button
			>
			<button
				class="knob bare"
				type="button"
				aria-label={common.nextShot}
				disabled={index >= shots.length - 1}
				onclick={() => void stepBy(session, 1)}>›</button
			>
		{/if}
	{/if}
	<span class="spring"></span>
	<span
		role="status"
		class="offline"
		title={isOffline ? say.noNetworkEverythingHereWorks : undefined}
		>{isOffline ? 'offline' : ''}</span
	>
	{#if session.job}
		<button
			class="knob bare"
			type="button"
			aria-label={say.undo}
			title={steps.undoWords ?? undefined}
			disabled={!steps.canUndo}
			onclick={() => steps.undo()}>↶</button
		>
		<button
			class="knob bare"
			type="button"
			aria-label={say.redo}
			title={steps.redoWords ?? undefined}
			disabled={!steps.canRedo}
			onclick={() => steps.redo()}>↷</button
		>
	{/if}
	<span class="device" class:in-menu={session.shot && !isDay}><DeviceButtons {onhelp} /></span>
</header>

<style>
	.bar {
		display: flex;
		align-items: center;
		gap: 0.15rem;
		padding: 0.2rem 1.25rem;
		border-bottom: 1px solid var(--rule);
		min-width: 0;
	}
	.word {
		font-family: var(--font-serif);
		font-weight: 600;
		font-size: 1.2rem;
		padding-right: 0.8rem;
	}
	.spring {
		flex: 1;
	}
	.offline {
		color: var(--marginal);
		font-weight: 600;
		padding: 0 0.4rem;
	}
	.device {
		display: contents;
	}
	@media (max-width: 40rem) {
		.bar {
			padding: 0.1rem 0.4rem;
		}
		.word {
			padding-right: 0.2rem;
			font-size: 1.05rem;
		}
		/* on a phone these are in the shot's menu */
		.device.in-menu {
			display: none;
		}
	}
	@media (max-width: 22rem) {
		.word {
			display: none;
		}
	}
</style>

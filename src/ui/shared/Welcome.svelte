<script lang="ts">
	import Button from 'flowbite-svelte/Button.svelte';
	import { addShot } from '../keeping/dayActions';
	import { newShot } from '../keeping/newShot';
	import { openSampleDay } from '../keeping/sample';
	import { photographAsked } from '../photograph/asked.svelte';
	import type { Session } from '../keeping/session.svelte';

	/** The first visit: nothing is kept here yet. */
	let { session, onnow }: { session: Session; onnow: () => void } = $props();
</script>

<main class="welcome">
	<h1>Faces sharp, background as you meant it.</h1>
	<p>
		Focalis picks the focus point, the eye and the aperture for a picture of people, from where
		everyone stands. Nothing leaves this browser.
	</p>
	<div>
		<Button onclick={() => openSampleDay(session)}>Open the sample day</Button>
		<Button color="light" onclick={() => addShot(session, newShot('New shot'))}>Start a shot</Button
		>
		<Button color="light" onclick={() => photographAsked.ask('new-shot')}>From a photograph</Button>
		<Button color="light" onclick={onnow}>A verdict in three taps</Button>
	</div>
	<p>Or drop a file of yours on this window.</p>
</main>

<style>
	.welcome {
		max-width: 36rem;
		margin: 12vh auto;
		padding: 0 1rem;
		display: flex;
		flex-direction: column;
		gap: 1rem;
		font-size: 1rem;
	}
	h1 {
		font-size: 1.9rem;
		line-height: 1.15;
	}
	div {
		display: flex;
		flex-wrap: wrap;
		gap: 0.6rem;
	}
</style>

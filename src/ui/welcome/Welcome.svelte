<script lang="ts">
	import { welcomeText as say } from '$words/screens/welcome';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import { addShot } from '../keeping/dayActions';
	import { newShot } from '../keeping/newShot';
	import { openSampleDay } from '../keeping/sample';
	import { photographAsked } from '../photograph/asked.svelte';
	import type { Session } from '../keeping/session.svelte';
	import { tour } from './tour.svelte';

	/** The first visit: nothing is kept here yet. What Focalis does, to be moved by hand, and three ways in. */
	let { session, onnow }: { session: Session; onnow: () => void } = $props();

	async function sample() {
		await openSampleDay(session);
		tour.begin();
	}
</script>

<main class="welcome">
	<div class="words">
		<h1>{say.facesSharpBackgroundAsYouMeant}</h1>
		<p>
			{say.focalisPicksTheFocusPointThe}
		</p>
		<ul>
			<li>
				<Button onclick={() => void sample()}>{say.openTheSampleDay}</Button>
				<span>{say.aWeddingOfTenShotsAlready}</span>
			</li>
			<li>
				<Button color="light" onclick={() => photographAsked.ask('new-shot')}
					>{common.fromAPhotograph2}</Button
				>
				<span>{say.pointAPhoneAtThemEverybody}</span>
			</li>
			<li>
				<Button color="light" onclick={onnow}>{say.aVerdictInThreeTaps}</Button>
				<span>{say.forTheShotThatNobodyPlanned}</span>
			</li>
		</ul>
		<p>
			{say.or}
			<button
				class="in-text"
				type="button"
				onclick={() => void addShot(session, newShot(common.newShot))}
				><span>{say.startAShot}</span></button
			>
			{say.fromScratchOrDropOneOf}
		</p>
	</div>
	<div class="try">
		{#await import('./TryIt.svelte') then { default: TryIt }}<TryIt />{/await}
	</div>
</main>

<style>
	.welcome {
		width: 100%;
		max-width: 78rem;
		margin: auto;
		padding: 1.5rem 1.25rem;
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr);
		gap: 2.5rem;
		align-items: center;
		font-size: 1rem;
	}
	.words,
	ul {
		display: flex;
		flex-direction: column;
		gap: 1rem;
	}
	ul {
		gap: 0.6rem;
	}
	li {
		display: grid;
		grid-template-columns: 14rem minmax(0, 1fr);
		align-items: center;
		gap: 0.8rem;
	}
	li span {
		color: var(--ink-2);
	}
	h1 {
		font-size: 2.2rem;
		line-height: 1.12;
	}
	/* its room is there before it is */
	.try {
		min-height: 29rem;
	}
	@media (max-width: 56rem) {
		.welcome {
			grid-template-columns: minmax(0, 1fr);
			gap: 1.2rem;
			margin: 0 auto;
			padding: 0.8rem;
		}
		h1 {
			font-size: 1.7rem;
		}
		li {
			grid-template-columns: minmax(0, 1fr);
			gap: 0.1rem;
		}
	}
</style>

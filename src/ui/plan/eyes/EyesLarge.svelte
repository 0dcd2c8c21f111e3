<script lang="ts">
	import { decimal } from '$words/numbers';
	import { eyesLargeText as say } from '$words/screens/plan/eyes';
	import { commonText as common } from '$words/screens/common';
	import { allowedWords } from '$words/states';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { stateOf } from '$core/sharpness/state';
	import Picture from '../../picture/Picture.svelte';
	import { keeping } from '../../picture/reuse';
	import StateMark from '../../shared/StateMark.svelte';
	import { devicePx } from '../../picture/size';
	import { wishOf, type Drawable } from '../../drawing/drawable';
	import type { PlanView } from '../view/plan.svelte';
	import { faceParts, type FaceCloseUp } from '../../drawing/eyeTiles';

	/** One face at large: near eye, far eye, nose and ear side by side at one scale. */
	interface Props {
		plan: PlanView;
		drawable: Drawable;
		personId: string | null;
	}

	let { plan, drawable, personId = $bindable() }: Props = $props();

	const SIDE_PX = 210;
	const person = $derived(plan.shot.people.find(({ id }) => id === personId));
	const sidePx = devicePx(SIDE_PX);
	const parts = $derived(personId === null ? [] : faceParts(drawable, personId, sidePx));
	const scale = $derived(Math.round((parts[0]?.closeUp.share ?? 1) * 100));
	const focused = $derived(drawable.plan?.focus);

	const wishes = $derived.by(
		keeping(() =>
			Object.fromEntries(
				parts.map(({ key, closeUp }) => [
					key,
					wishOf(drawable, closeUp.window, sidePx, sidePx, true)
				])
			)
		)
	);

	function words({ ratio, blurPx }: FaceCloseUp): string {
		const px = blurPx < 10 ? decimal(blurPx, 1) : Math.round(blurPx);
		return say.overPx(allowedWords(ratio), px);
	}
</script>

<Modal
	title={person ? say.atPercentOfTheSensor(person.name, scale) : common.eyes}
	bind:open={() => person !== undefined, (open) => !open && (personId = null)}
	size="xl"
>
	<div class="parts">
		{#each parts as part (part.key)}
			{@const state = stateOf(part.ratio)}
			{@const wish = wishes[part.key]}
			<figure>
				<div class="picture">
					{#if wish}
						<Picture
							name="large {part.key}"
							rank={1}
							{wish}
							label={say.atPercent(part.title, scale)}
						/>
					{/if}
				</div>
				<figcaption>
					<strong>{part.title}</strong>
					<span class="is-{state}"><StateMark {state} /> {words(part)}</span>
					{#if part.landmark !== null && personId !== null}
						{@const focus = { personId, landmark: part.landmark }}
						<button
							class="knob"
							type="button"
							aria-pressed={focused?.personId === personId && focused.landmark === part.landmark}
							onclick={() => plan.focusOn(focus)}>{say.focusHere}</button
						>
					{/if}
				</figcaption>
			</figure>
		{/each}
	</div>
	<p class="note">
		{say.blurAsAShareOfWhat}
	</p>
</Modal>

<style>
	.parts {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(210px, 100%), 1fr));
		gap: 0.8rem;
		color: var(--ink);
	}
	.picture {
		aspect-ratio: 1;
		max-width: 210px;
		background: color-mix(in srgb, var(--ink) 12%, var(--sheet));
	}
	figcaption {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.2rem 0.6rem;
		padding-top: 0.3rem;
	}
	.note {
		color: var(--ink-2);
	}
</style>

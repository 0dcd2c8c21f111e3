<script lang="ts">
	import { compareText as say } from '$words/screens/plan/frame';
	import { solve, type Solution } from '$core/study/plan';
	import { asksForSomething } from '$core/study/study';
	import type { Wish } from '../../picture/preview.svelte';
	import Picture from '../../picture/Picture.svelte';
	import { keeping } from '../../picture/reuse';
	import { fStop } from '$words/numbers';
	import { drawableOf, wishOf } from '../../drawing/drawable';
	import type { PlanView } from '../view/plan.svelte';
	import { secondChoices, type SecondChoice } from './secondChoices';

	/** The plan on the left of a divider, a second choice on its right, from the same place. */
	interface Props {
		plan: PlanView;
		first: Solution;
		second: SecondChoice | null;
		wish: Wish;
	}

	let { plan, first, second = $bindable(), wish }: Props = $props();

	/** The choice as it is now: the arrangement may have changed since it was made. */
	const current = $derived(
		secondChoices(first, plan.before, plan.spreads)
			.flatMap(({ choices }) => choices)
			.find(({ key }) => key === second?.key) ?? null
	);
	const solution = $derived(
		current && asksForSomething(current.shot) ? solve(current.shot, plan.chance) : null
	);
	const secondWish = $derived.by(
		keeping(
			() => solution && wishOf(drawableOf(solution), wish.window, wish.widthPx, wish.heightPx)
		)
	);
	/** Place of the divider, per cent from the left. */
	let at = $state(50);

	const firstF = $derived(first.plan.fNumber === null ? '' : fStop(first.plan.fNumber));
	const secondF = $derived(solution?.plan.fNumber == null ? '' : fStop(solution.plan.fNumber));
</script>

{#if secondWish && current}
	<div class="second" style:clip-path="inset(0 0 0 {at}%)">
		<Picture name="second" rank={2} wish={secondWish} label={say.thePictureWith(current.label)} />
	</div>
	<div class="line" style:left="{at}%" aria-hidden="true"><span class="grip">⟷</span></div>
	<span class="tag left" class:away={at < 12}>{say.plan(firstF)}</span>
	<span class="tag right" class:away={at > 88}>
		<bdi>{current.label}</bdi>{current.label.startsWith('f/') ? '' : ` ${secondF}`}
	</span>
	<input
		type="range"
		min="0"
		max="100"
		step="1"
		bind:value={at}
		aria-label={say.dividerThePlanOnItsLeft(current.label)}
		aria-valuetext={say.perCent(at)}
	/>
	<div class="swap">
		<button class="knob" type="button" onclick={() => (at = at > 50 ? 0 : 100)}>
			{at > 50 ? say.onlyTheOther : say.onlyThePlan}
		</button>
		<button
			class="knob"
			type="button"
			aria-label={say.stopComparing}
			onclick={() => (second = null)}>✕</button
		>
	</div>
{/if}

<style>
	.second,
	input {
		position: absolute;
		inset: 0;
	}
	.line {
		position: absolute;
		top: 0;
		bottom: 0;
		width: 0;
		border-left: 2px solid #fffdf8;
		filter: drop-shadow(0 0 1px #000000b0);
		pointer-events: none;
		display: grid;
		place-items: center;
	}
	.grip {
		position: absolute;
		background: #fffdf8;
		color: #1b2a41;
		border-radius: 1rem;
		padding: 0.1rem 0.45rem;
		line-height: 1.2;
	}
	/* the whole picture is the slider: take it anywhere, or use the arrows */
	input {
		width: 100%;
		height: 100%;
		margin: 0;
		opacity: 0;
		cursor: ew-resize;
		touch-action: pan-y;
	}
	input:focus-visible + .swap {
		outline: 2px solid var(--focus);
		outline-offset: 2px;
	}
	.tag {
		position: absolute;
		top: 0.35rem;
		max-width: 46%;
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
		padding: 0.05rem 0.4rem;
		border-radius: 3px;
		background: #fffdf8e0;
		color: #1b2a41;
		font-size: 0.8125rem;
		pointer-events: none;
	}
	.left {
		left: 0.35rem;
	}
	.right {
		right: 0.35rem;
	}
	.away {
		display: none;
	}
	.swap {
		position: absolute;
		right: 0.35rem;
		bottom: 0.35rem;
		display: flex;
		gap: 0.25rem;
	}
</style>

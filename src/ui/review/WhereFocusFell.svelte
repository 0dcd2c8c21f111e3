<script lang="ts">
	import { whereFocusFellText as say } from '$words/screens/review/place';
	import { distance } from '$words/numbers';
	import { fellWords, vantageWords } from '$words/review';
	import { settings } from '../shared/settings.svelte';
	import { namesBeside } from './besideMarks';
	import type { ReviewView } from './view/review.svelte';

	/** A small stage from above: everybody at their depth, the plane that explains what was measured, and the plan's. */
	let { view, planeM: plannedM }: { view: ReviewView; planeM: number | null } = $props();

	/** As large as it is on the screen, so that words keep their size on a phone. */
	let widthPx = $state(560);
	let heightPx = $state(150);
	const LEFT_PX = 46;
	const reviewed = $derived(view.now?.reviewed ?? null);
	const size = $derived(view.file?.measured ?? null);
	/** Where it is among the people who were nearer or farther than planned. */
	const planeM = $derived(plannedM && plannedM + (reviewed?.vantage.fartherM ?? 0));
	const people = $derived(
		(reviewed?.faces ?? []).flatMap((face, i) => {
			const depthM = reviewed?.depthsM[i];
			if (!face || depthM === null || depthM === undefined || !size) return [];
			const x = (face.face.left.x + face.face.right.x) / 2 / size.widthPx;
			return [{ i, depthM, x, state: face.state, name: view.set?.people[i]?.name ?? '' }];
		})
	);
	const fell = $derived(reviewed?.fell ?? null);
	/** Depths that are drawn: everybody's, the planes, and a little more. */
	const range = $derived.by(() => {
		const depths = [
			...people.map(({ depthM }) => depthM),
			...[fell?.planeM, fell?.nearM, fell?.farM, planeM].filter(
				(one): one is number => typeof one === 'number' && Number.isFinite(one)
			)
		];
		if (depths.length === 0) return null;
		const [low, high] = [Math.min(...depths), Math.max(...depths)];
		const more = Math.max(0.15, 0.12 * (high - low));
		return { low: Math.max(0, low - more), high: high + more };
	});
	const at = (depthM: number) =>
		range
			? LEFT_PX +
				((Math.min(depthM, range.high) - range.low) / (range.high - range.low)) *
					(widthPx - LEFT_PX - 12)
			: 0;
	/** Everybody as they are drawn, whoever is looked at first: their name has a place before all others. */
	const marks = $derived(
		people
			.toSorted((a, b) => Number(b.i === view.whom) - Number(a.i === view.whom))
			.map((one) => ({ ...one, x: at(one.depthM), y: 16 + one.x * (heightPx - 56) }))
	);
	const names = $derived(namesBeside(marks, { widthPx, heightPx: heightPx - 18 }));
	const TONES = {
		sharp: 'var(--sharp)',
		marginal: 'var(--marginal)',
		soft: 'var(--soft)'
	} as const;
</script>

{#if reviewed && view.set}
	<p>{fellWords(reviewed, view.set, settings.units)} {vantageWords(reviewed, settings.units)}</p>
	{#if range}
		<div bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
			<svg
				viewBox="0 0 {widthPx} {heightPx}"
				role="img"
				aria-label={say.whereTheFocusFellFromAbove}
			>
				<path
					d="M8 {heightPx / 2 - 9} h16 v18 h-16 z M24 {heightPx / 2 - 5} h10 v10 h-10 z"
					fill="var(--ink)"
				/>
				{#if fell}
					<rect
						x={at(fell.nearM)}
						y="6"
						width={Math.max(1, at(fell.farM) - at(fell.nearM))}
						height={heightPx - 28}
						fill="rgb(var(--zone) / 0.18)"
					/>
					<line
						x1={at(fell.planeM)}
						x2={at(fell.planeM)}
						y1="4"
						y2={heightPx - 20}
						stroke="var(--focus)"
						stroke-width="2.5"
					/>
					<text x={at(fell.planeM)} y={heightPx - 6} text-anchor="middle" fill="var(--focus)"
						>{Number.isFinite(fell.planeM) ? distance(fell.planeM, settings.units) : 'far'}</text
					>
				{/if}
				{#if planeM !== null}
					<line
						x1={at(planeM)}
						x2={at(planeM)}
						y1="4"
						y2={heightPx - 20}
						stroke="var(--ink-2)"
						stroke-width="1.5"
						stroke-dasharray="5 4"
					/>
				{/if}
				{#each marks as { i, x, y, state, name }, k (i)}
					{@const beside = names[k]}
					<circle
						cx={x}
						cy={y}
						r={i === view.whom ? 7 : 5}
						fill={state ? TONES[state] : 'none'}
						stroke="var(--ink)"
					/>
					{#if beside}
						<text x={beside.x} y={beside.y} text-anchor={beside.anchor} fill="var(--ink)"
							>{name}</text
						>
					{/if}
				{/each}
			</svg>
		</div>
		<p class="legend">
			{say.theLineIsWhereTheFocus(planeM === null ? '' : say.theDashedLineIsThePlans)}
		</p>
	{/if}
{/if}

<style>
	div {
		flex: 0 1 150px;
		min-height: 6rem;
		position: relative;
		max-width: 44rem;
		background: var(--sheet);
		border: 1px solid var(--rule);
	}
	svg {
		position: absolute;
		inset: 0;
	}
	text {
		font-size: 11px;
	}
	.legend {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
</style>

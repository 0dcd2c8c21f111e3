<script lang="ts">
	import { standingFloorText as say } from '$words/screens/plan/stage';
	import { commonText as common } from '$words/screens/common';
	import { nominalFNumber, stopsBetween } from '$core/optics/fNumber';
	import { bestStandpoint, shotFrom, type Standpoint } from '$core/advice/standing';
	import { advicePort } from '../../../workers/ports';
	import { Asking } from '../../working/asking.svelte';
	import NoAnswer from '../../working/NoAnswer.svelte';
	import Pick from '../../fields/Pick.svelte';
	import { settings } from '../../shared/settings.svelte';
	import { distance, fStop, smallLength } from '$words/numbers';
	import type { PlanView } from '../view/plan.svelte';
	import { toPx, toWorld, type StageView } from '../../drawing/stageView';

	/** The floor coloured by the f-number that is picked when the camera stands there, framing as now. */
	let { plan, view }: { plan: PlanView; view: StageView } = $props();
	/** On a narrow stage, as on a phone, less is said, and the row is asked for. */
	const NARROW_PX = 600;
	const isNarrow = $derived(view.widthPx < NARROW_PX);

	/** The place that was pointed at has no lens, or is too near. */
	let isOutOfReach = $state(false);
	/** Puts the camera at a place, framing alike. */
	export function standAt(place: { readonly x: number; readonly z: number }) {
		const next = shotFrom(shot, plan.lenses, place);
		isOutOfReach = next === null;
		if (next) plan.change(next);
	}

	const shot = $derived(plan.shot);
	const units = $derived(settings.units);
	const CELL_PX = 46;
	/** The floor in sight, in half metres, so that a small pan asks nothing new. */
	const down = (value: number) => Math.floor(value * 2) / 2;
	const up = (value: number) => Math.ceil(value * 2) / 2;
	const corners = $derived.by(() => {
		const at = shot.camera.position;
		return [toWorld(view, 0, 0, at), toWorld(view, view.widthPx, view.heightPx, at)] as const;
	});
	const left = $derived(down(Math.min(corners[0].x, corners[1].x)));
	const right = $derived(up(Math.max(corners[0].x, corners[1].x)));
	const near = $derived(down(Math.min(corners[0].z, corners[1].z)));
	const far = $derived(up(Math.max(corners[0].z, corners[1].z)));
	const cells = $derived(
		Math.min(400, Math.max(24, Math.round((view.widthPx * view.heightPx) / CELL_PX ** 2)))
	);
	const question = $derived({
		shot,
		spreads: plan.spreads,
		lenses: plan.lenses,
		area: { left, right, near, far },
		cells
	});
	const REST_MS = 120;
	const asked = new Asking(advicePort, 'floor', () => question, REST_MS);
	const floor = $derived(asked.answer);

	const hasAny = $derived(floor?.points.some(({ fNumber }) => fNumber !== null) ?? false);

	const tiles = $derived.by(() => {
		if (!floor) return [];
		const half = floor.cellM / 2;
		return floor.points.map((point) => {
			const corner = (sign: number) =>
				toPx(view, { x: point.x + sign * half, y: 0, z: point.z + sign * half });
			const [a, b] = [corner(-1), corner(1)];
			return {
				point,
				x: Math.min(a.x, b.x),
				y: Math.min(a.y, b.y),
				width: Math.abs(b.x - a.x),
				height: Math.abs(b.y - a.y)
			};
		});
	});

	/** So wide is the strip along the stage's edge that the ruler is written on, px. */
	const RULER_PX = { side: 48, below: 32 };
	/** What would stand on the ruler is not written. */
	const isOnRuler = (x: number, y: number) =>
		view.isTall ? x < RULER_PX.side : y > view.heightPx - RULER_PX.below;
	/** Strong where a wide opening is enough, faint where it takes a small one. */
	function strength({ fNumber }: Standpoint): number {
		if (fNumber === null) return 0;
		return Math.min(0.62, Math.max(0.06, 0.62 - 0.08 * stopsBetween(1.4, fNumber)));
	}
	const now = $derived(plan.solution?.study.pick?.fNumber ?? Infinity);
	const best = $derived(floor && bestStandpoint(floor.points, shot.camera.position, now));
	const bestAwayM = $derived(
		best && Math.hypot(best.x - shot.camera.position.x, best.z - shot.camera.position.z)
	);
	/** Shows where to go, if anywhere is better. */
	const arrow = $derived(
		best && {
			from: toPx(view, shot.camera.position),
			to: toPx(view, { x: best.x, y: 0, z: best.z })
		}
	);

	const ladder = $derived(plan.solution?.plan.ladder ?? []);
	let wanted = $state('');
	/** Whether the narrow stage says how far the back row must come. */
	let asksForRow = $state(false);
	/**
	 * The legend never becomes lower by what it says: with the size of the stage changes what is in sight, and all of that
	 * would be asked anew, without end.
	 */
	let legend = $state<readonly ResizeObserverSize[]>([]);
	let mostLegendPx = $state(0);
	$effect(() => {
		const heightPx = legend[0]?.blockSize ?? 0;
		if (heightPx > mostLegendPx) mostLegendPx = heightPx;
	});
	const wish = $derived(ladder.find(({ fNumber }) => String(fNumber) === wanted) ?? ladder[0]);
	const hasRows = $derived((plan.solution?.study.scene.rows.length ?? 0) > 1);
	const nearerQuestion = $derived(
		wish && hasRows ? { shot, spreads: plan.spreads, fNumberExact: wish.fNumberExact } : null
	);
	const nearer = new Asking(advicePort, 'backRowNearer', () => nearerQuestion, REST_MS);
	const byM = $derived(nearer.answer);
	const reverse = $derived.by(() => {
		if (!byM) return '…';
		if (byM.metres === null) return say.notEvenOneRowWouldHold;
		if (byM.metres < 0.005) return say.itHoldsAsItIs;
		return say.theBackRowMustComeNearer(smallLength(byM.metres, units));
	});
</script>

<svg class="floor" aria-hidden="true">
	<defs>
		<pattern id="no-lens" width="7" height="7" patternUnits="userSpaceOnUse">
			<path d="M0 7 L7 0" stroke="var(--rule)" stroke-width="1" />
		</pattern>
		<marker
			id="way-end"
			viewBox="0 0 10 10"
			refX="9"
			refY="5"
			markerWidth="6"
			markerHeight="6"
			orient="auto"
		>
			<path d="M0 0 L10 5 L0 10 z" fill="var(--focus)" />
		</marker>
	</defs>
	{#each tiles as { point, x, y, width, height } (`${point.x} ${point.z}`)}
		{#if point.fNumber !== null}
			<rect {x} {y} {width} {height} fill="rgb(var(--zone) / {strength(point)})" />
			{#if width > 26 && !isOnRuler(x + width / 2, y + height / 2)}
				<text x={x + width / 2} y={y + height / 2 + (width > 36 ? -1 : 4)}
					>{nominalFNumber(point.fNumber)}</text
				>
				{#if width > 36}
					<text class="lens" x={x + width / 2} y={y + height / 2 + 11}
						>{say.mm(Math.round(point.focalMm))}</text
					>
				{/if}
			{/if}
		{:else}
			<rect {x} {y} {width} {height} fill="url(#no-lens)" />
		{/if}
	{/each}
	{#if arrow}
		<line
			class="way"
			x1={arrow.from.x}
			y1={arrow.from.y}
			x2={arrow.to.x}
			y2={arrow.to.y}
			marker-end="url(#way-end)"
		/>
	{/if}
</svg>
<div class="legend" bind:borderBoxSize={legend} style:min-height="{mostLegendPx}px">
	<NoAnswer {asked} what={common.whereToStand} />
	<p role="status">
		{#if isOutOfReach}
			{say.noLensInTheKitGives}
		{:else if !floor}{say.tryingTheCameraEverywhere}
		{:else if !hasAny}
			{say.noSpotInSightWorksWith}
		{:else}
			{isNarrow ? say.tapWhereToStandNotWhere : say.tapWhereToStandTheFraming}
		{/if}
	</p>
	{#if best}
		<button class="knob" type="button" onclick={() => standAt(best)}
			>{say.goToTheArrowAway(
				fStop(nominalFNumber(best.fNumber ?? 0)),
				distance(bestAwayM ?? 0, units)
			)}</button
		>
	{:else}
		<!-- its place is kept while nothing is known -->
		<p class="as-good" class:none={!hasAny}>{say.nowhereInSightIsBetterThan}</p>
	{/if}
	{#if hasRows && isNarrow}
		<button
			class="knob"
			type="button"
			aria-expanded={asksForRow}
			onclick={() => {
				asksForRow = !asksForRow;
				mostLegendPx = 0;
			}}>{say.backRow}</button
		>
	{/if}
	{#if hasRows && wish && (!isNarrow || asksForRow)}
		<div class="reverse">
			<Pick
				quiet
				label={say.forThisFNumber}
				options={ladder.map(({ fNumber }) => ({
					value: String(fNumber),
					text: say.for(fStop(fNumber))
				}))}
				value={String(wish.fNumber)}
				onchoose={(next) => (wanted = next)}
			/>
			<span role="status">{reverse}</span>
		</div>
	{/if}
</div>

<style>
	.floor {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
	text {
		fill: var(--ink-2);
		font-size: 0.72rem;
		text-anchor: middle;
	}
	.way {
		stroke: var(--focus);
		stroke-width: 2.5;
	}
	.lens {
		font-size: 0.6rem;
	}
	.legend {
		/* below the stage, of which it would cover somebody */
		order: 1;
		box-sizing: border-box;
		z-index: 1;
		padding: 0.3rem 0.5rem;
		background: var(--sheet);
		border-top: 1px solid var(--rule);
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.2rem 1rem;
		justify-content: space-between;
		font-size: 0.8125rem;
	}
	.as-good {
		padding-block: 0.4rem;
	}
	.none {
		visibility: hidden;
	}
	.reverse {
		flex-basis: 100%;
		display: flex;
		align-items: center;
		gap: 0.5rem;
	}
</style>

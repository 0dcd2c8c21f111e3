<script lang="ts">
	import { shotListText as say } from '$words/screens/day';
	import { dragHandle, dragHandleZone, SHADOW_ITEM_MARKER_PROPERTY_NAME } from 'svelte-dnd-action';
	import { tick } from 'svelte';
	import { dueAt, pausesIn } from '$core/day/schedule';
	import { WallClock } from '../browser/clock.svelte';
	import type { ShotRecord } from '$data/store/database';
	import type { DayView } from './day.svelte';
	import { clock, pauseWords } from '$words/day';
	import { count } from '$words/numbers';
	import ShotRow from './ShotRow.svelte';

	/** The shots in order of time; dragged by a handle, or moved by keys on it, they change places. */
	let { day }: { day: DayView } = $props();

	type Item = ShotRecord & { [SHADOW_ITEM_MARKER_PROPERTY_NAME]?: boolean };
	/** The order while something is dragged; null when nothing is. */
	let dragged = $state.raw<Item[] | null>(null);
	const items = $derived<readonly Item[]>(dragged ?? day.found);
	const isWhole = $derived(day.found.length === day.shots.length);
	const pauses = $derived(pausesIn(day.shots.map(({ slot }) => slot)));
	const clockOnWall = new WallClock();
	const dueId = $derived.by(() => {
		const todo = day.shots.filter(({ slot }) => slot.status === 'planned');
		return (
			todo[
				dueAt(
					todo.map(({ slot }) => slot),
					clockOnWall.minute
				)
			]?.id ?? null
		);
	});
	const FLIP_MS = matchMedia('(prefers-reduced-motion: reduce)').matches ? 0 : 150;

	interface Dragging {
		readonly items: Item[];
		readonly info: { readonly id: string };
	}
	function finish({ detail: { items: order, info } }: CustomEvent<Dragging>) {
		const record = day.shots.find(({ id }) => id === info.id);
		const to = order.findIndex(({ id }) => id === info.id);
		dragged = null;
		draggedId = null;
		if (record) day.move(record, to);
	}
	/** What would start when, if what is dragged were dropped where it is. */
	let draggedId = $state<string | null>(null);
	const wouldStart = $derived.by(() => {
		const to = dragged?.findIndex(({ id }) => id === draggedId) ?? -1;
		return draggedId !== null && to >= 0 ? day.startsIfMoved(draggedId, to) : null;
	});
	const moveWords = $derived.by(() => {
		const start = draggedId === null ? undefined : wouldStart?.[draggedId];
		if (!wouldStart || !start) return '';
		const others = Object.keys(wouldStart).length - 1;
		const rest = others === 1 ? say.oneOtherShotMoves : say.otherShotsMove(count(others));
		return say.hereItStartsAt(clock(start), rest);
	});
	function consider({ detail }: CustomEvent<Dragging>) {
		dragged = detail.items;
		draggedId = detail.info.id;
	}
	function nudge(event: KeyboardEvent, record: ShotRecord, place: number) {
		const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
		if (!by || !event.altKey) return;
		event.preventDefault();
		day.move(record, place + by);
		// what moves in the page loses the focus
		void tick().then(() => handles[record.id]?.focus());
	}
	let handles = $state<Record<string, HTMLElement | null>>({});
</script>

<ol
	class="shots"
	aria-label={say.shotsOfTheDay}
	use:dragHandleZone={{
		items: [...items],
		flipDurationMs: FLIP_MS,
		dragDisabled: !isWhole,
		dropTargetStyle: {},
		zoneItemTabIndex: -1,
		autoAriaDisabled: true
	}}
	onconsider={consider}
	onfinalize={finish}
>
	{#each items as record, i (record.id)}
		{@const pause = isWhole && !dragged ? pauses[i] : undefined}
		<li data-shot={record.id}>
			<div class="line" class:far={items.length > 30}>
				{#if isWhole && record.slot.isLocked}
					<span class="locked" title={say.theTimeIsLocked} aria-hidden="true">
						<svg viewBox="0 0 12 14"><path d="M3 6V4a3 3 0 0 1 6 0v2M1.5 6h9v7h-9z" /></svg>
					</span>
				{:else if isWhole}
					<!-- the package takes no drag that begins on a button -->
					<div
						class="handle"
						role="button"
						tabindex="0"
						bind:this={handles[record.id]}
						use:dragHandle
						aria-label={say.moveDragOrAltWithThe(record.shot.title)}
						onkeydown={(event) => nudge(event, record, i)}
					>
						⠿
					</div>
				{/if}
				<ShotRow
					{day}
					{record}
					isFirst={i === 0}
					isLast={i === items.length - 1}
					wouldStart={wouldStart?.[record.id] ?? null}
					isDue={record.id === dueId}
				/>
			</div>
			{#if pause !== undefined && pauseWords(pause)}
				<p class="pause" class:overlap={pause < 0}>{pauseWords(pause)}</p>
			{/if}
		</li>
	{/each}
</ol>

<p class="moves" role="status">{moveWords}</p>

<style>
	/* a drop a little above the first or below the last counts */
	.shots {
		display: flex;
		flex-direction: column;
		padding-block: 5rem;
		margin-block: -5rem;
		pointer-events: none;
	}
	li {
		pointer-events: auto;
		border-bottom: 1px solid var(--rule);
		position: relative;
		background: var(--paper);
	}
	/* a long list draws only what is near */
	.far {
		content-visibility: auto;
		contain-intrinsic-size: auto 5.2rem;
	}
	.line {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
	}
	.handle {
		display: grid;
		place-items: center;
		width: 1.6rem;
		color: var(--ink-2);
		cursor: grab;
		touch-action: none;
	}
	.locked {
		display: grid;
		place-items: center;
		width: 1.6rem;
		color: var(--ink-2);
	}
	.locked svg {
		width: 0.8rem;
		fill: none;
		stroke: currentColor;
		stroke-width: 1.5;
	}
	.moves:not(:empty) {
		position: fixed;
		left: 50%;
		bottom: calc(var(--places, 0rem) + 1rem);
		translate: -50%;
		z-index: 20;
		background: var(--ink);
		color: var(--sheet);
		border-radius: 3px;
		padding: 0.3rem 0.8rem;
	}
	.handle:hover {
		color: var(--ink);
	}
	.pause {
		position: absolute;
		right: 0.6rem;
		bottom: -0.62rem;
		z-index: 2;
		padding: 0 0.5rem;
		font-size: 0.8125rem;
		line-height: 1.25rem;
		background: var(--paper);
		color: var(--ink-2);
	}
	.overlap {
		background: var(--warn);
		color: var(--ink);
		font-weight: 600;
		border: 1px solid var(--edge);
		border-radius: 3px;
	}
	@media (max-width: 45rem) {
		.pause {
			right: auto;
			left: 2.4rem;
		}
	}
	@media (pointer: coarse) {
		.handle,
		.locked {
			width: 2.2rem;
		}
	}
</style>

<script lang="ts">
	import { ladderText as say } from '$words/screens/plan/ladder';
	import { commonText as common } from '$words/screens/common';
	import { reusing } from '../../picture/reuse';
	import StateMark from '../../shared/StateMark.svelte';
	import { sameObject } from '../../drawing/stageObjects';
	import { type PlanView } from '../view/plan.svelte';
	import { ladderTable, type Cell } from './ladderTable';

	/** Every f-number of the lens and what it would hold. Pointing peeks, Enter or a click fixes. */
	let { plan, isPhone }: { plan: PlanView; isPhone: boolean } = $props();

	const solution = $derived(plan.solution);
	const table = $derived.by(
		reusing(() =>
			solution ? ladderTable(solution, plan.selected, plan.odds.answer, plan.sharpness) : null
		)
	);
	const shownExact = $derived(plan.shown?.plan.fNumberExact ?? null);
	const fixedExact = $derived(plan.isFixed ? (solution?.plan.fNumberExact ?? null) : null);
	const shownF = $derived(plan.shown?.plan.fNumber ?? null);

	let head = $state<HTMLElement>();
	let scroller = $state<HTMLElement>();

	/** Keeps the rung that is shown in sight where the ladder is a strip to swipe. */
	$effect(() => {
		const column = head?.querySelector<HTMLElement>(`th[data-rung="${shownExact}"]`);
		if (!column || !scroller || !isPhone) return;
		const labelsPx = column.parentElement?.firstElementChild?.clientWidth ?? 0;
		const room = scroller.clientWidth - labelsPx - column.offsetWidth;
		scroller.scrollLeft = column.offsetLeft - labelsPx - room / 2;
	});

	function words(cell: Cell): string {
		if (cell.kind === 'number') return cell.wrong && `: ${cell.wrong}`;
		if (cell.kind === 'thing')
			return cell.met ? say.asIntended(cell.state) : say.notAsIntended(cell.state);
		const state = { sharp: 'sharp', marginal: common.aStopShort, soft: 'soft' }[cell.state];
		return cell.kind === 'faces' ? say.ofSharpWorst(cell.held, cell.of, state) : state;
	}

	function rungUnder(event: Event): number | null {
		const cell = (event.target as Element).closest<HTMLElement>('[data-rung]');
		return cell ? Number(cell.dataset['rung']) : null;
	}

	function point(event: PointerEvent) {
		if (event.pointerType !== 'touch') plan.peek(rungUnder(event));
	}

	function toggle(fNumberExact: number) {
		plan.fix(fixedExact === fNumberExact ? null : fNumberExact);
	}

	function press(event: KeyboardEvent, index: number) {
		const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
		if (event.key === 'Escape') plan.peek(null);
		if (!step) return;
		event.preventDefault();
		head?.querySelectorAll<HTMLButtonElement>('button[data-rung]')[index + step]?.focus();
	}
</script>

{#if table}
	<section class="pane ladder" aria-label={say.ladderOfFNumbers}>
		<div class="scroll" bind:this={scroller}>
			<table onpointermove={point} onpointerleave={() => plan.peek(null)}>
				<thead bind:this={head}>
					<tr>
						<td class="corner">
							{#if !isPhone && shownF !== null && shownExact !== null}
								<button
									class="knob lock"
									type="button"
									aria-pressed={fixedExact === shownExact}
									onclick={() => toggle(shownExact)}
								>
									{fixedExact === shownExact ? say.unlockF(shownF) : say.lockF(shownF)}
								</button>
							{/if}
						</td>
						{#each table.columns as column, i (column.fNumberExact)}
							<th
								scope="col"
								data-rung={column.fNumberExact}
								class:pick={column.isPick}
								class:shown={column.fNumberExact === shownExact}
								class:fixed={column.fNumberExact === fixedExact}
							>
								<button
									type="button"
									data-rung={column.fNumberExact}
									tabindex={column.fNumberExact === shownExact ? 0 : -1}
									aria-pressed={column.fNumberExact === fixedExact}
									aria-label="f/{column.fNumber}{column.isPick
										? say.thePick
										: ''}{column.isDiffracted ? say.theSmallOpeningSoftensIt : ''}"
									onfocus={() => plan.peek(column.fNumberExact)}
									onblur={() => plan.peek(null)}
									onkeydown={(event) => press(event, i)}
									onclick={() => toggle(column.fNumberExact)}
								>
									{column.fNumber}{#if column.isDiffracted}<span
											class="diffracted"
											title={say.theSmallOpeningSoftensThePicture}>≈</span
										>{/if}
								</button>
							</th>
						{/each}
					</tr>
				</thead>
				<tbody>
					{#each table.lines as line (line.key)}
						<tr class:single={line.isSingle}>
							<th scope="row">
								<button
									type="button"
									aria-pressed={sameObject(plan.selected, line.ref)}
									onclick={() =>
										(plan.selected = sameObject(plan.selected, line.ref) ? null : line.ref)}
								>
									<bdi>{line.label}</bdi>
								</button>
							</th>
							{#each line.cells as cell, i (i)}
								{@const column = table.columns[i]}
								<td
									data-rung={column?.fNumberExact}
									class:pick={column?.isPick}
									class:shown={column?.fNumberExact === shownExact}
								>
									{#if cell?.kind === 'number'}
										<span
											class="number"
											class:is-marginal={cell.wrong}
											title={cell.wrong || undefined}>{cell.text}{cell.wrong ? '!' : ''}</span
										><span class="sr-only">{words(cell)}</span>
									{:else if cell}
										<span class="sr-only">{words(cell)}</span>
										<span
											aria-hidden="true"
											class={cell.kind === 'thing' ? '' : `is-${cell.state}`}
											class:many={cell.kind === 'faces' && cell.of > 9}
										>
											{#if cell.kind === 'thing'}
												{cell.met ? '▲' : '△'}
											{:else}
												<StateMark state={cell.state} />
												{cell.kind === 'faces' ? `${cell.held}/${cell.of}` : ''}
											{/if}
										</span>
									{/if}
								</td>
							{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	</section>
{/if}

<style>
	.ladder {
		height: 100%;
	}
	.scroll {
		overflow: auto;
		height: 100%;
	}
	table {
		border-collapse: separate;
		border-spacing: 0;
		width: 100%;
		table-layout: fixed;
		text-align: center;
		font-size: 0.78rem;
	}
	th,
	td {
		padding: 0.05rem 0;
		border-left: 1px solid color-mix(in srgb, var(--rule) 55%, transparent);
		font-weight: 400;
		width: 2.9rem;
		white-space: nowrap;
	}
	.corner,
	tbody th {
		position: sticky;
		left: 0;
		z-index: 1;
		width: 8.5rem;
		text-align: left;
		background: var(--sheet);
		border-left: 0;
	}
	thead th,
	.corner {
		position: sticky;
		top: 0;
		background: var(--sheet);
		z-index: 2;
	}
	.corner {
		z-index: 3;
		padding: 0.15rem 0.3rem;
	}
	.lock {
		width: 100%;
		min-height: 1.6rem;
	}
	thead th button {
		width: 100%;
		min-height: 1.9rem;
		font-weight: 600;
		font-size: 0.875rem;
	}
	tbody th button {
		width: 100%;
		min-height: 1.5rem;
		padding: 0 0.5rem;
		text-align: left;
		color: var(--ink-2);
		overflow: hidden;
		text-overflow: ellipsis;
	}
	tbody th button[aria-pressed='true'] {
		color: var(--ink);
		font-weight: 600;
	}
	.many {
		font-size: 0.68rem;
		letter-spacing: -0.03em;
	}
	.number {
		font-size: 0.72rem;
		letter-spacing: -0.02em;
	}
	.single th button {
		padding-left: 1.3rem;
	}
	.shown {
		background: color-mix(in srgb, var(--focus) 12%, var(--sheet));
	}
	.pick {
		border-left: 2px solid var(--focus);
		border-right: 2px solid var(--focus);
	}
	thead .pick {
		border-top: 2px solid var(--focus);
	}
	tbody tr:last-child .pick {
		border-bottom: 2px solid var(--focus);
	}
	.fixed button {
		background: var(--ink);
		color: var(--sheet);
	}
	.diffracted {
		color: var(--marginal);
	}
	.fixed .diffracted {
		color: inherit;
	}
	th button:focus-visible {
		outline-offset: -2px;
	}
	@media (max-width: 45rem) {
		.corner,
		tbody th {
			width: 6.5rem;
		}
	}
	@media (pointer: coarse) {
		thead th button,
		tbody th button {
			min-height: 2.75rem;
		}
		th,
		td {
			width: 3.4rem;
		}
	}
</style>

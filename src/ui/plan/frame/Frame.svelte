<script lang="ts">
	import type { Landmark } from '$core/format/shot';
	import { nameOfId } from '$core/solve/reasons';
	import { lookAt } from '$core/solve/scene';
	import { reusing } from '../../shared/reuse';
	import type { PlanView } from '../plan.svelte';
	import EyeMark from './EyeMark.svelte';
	import ThingMark from './ThingMark.svelte';
	import { drawFrame, type DrawnHead } from './frameScene';

	/** A drawing of what the camera sees. Click a face to focus there. */
	let { plan }: { plan: PlanView } = $props();

	const shown = $derived(plan.shown);
	const outcome = $derived(shown ?? { scene: lookAt(plan.shot), plan: null, pair: null });
	const scene = $derived(outcome.scene);
	const drawn = $derived.by(reusing(() => drawFrame(outcome)));
	const heads = $derived(drawn.filter((one) => one.kind === 'head'));
	const width = $derived(scene.pose.widthMm);
	const height = $derived(scene.pose.heightMm);
	const focus = $derived(shown?.plan.focus ?? null);
	const focusPerson = $derived(plan.shot.people.find(({ id }) => id === focus?.personId));
	const isChosen = $derived(plan.shot.choices.focus !== undefined);

	let widthPx = $state(1);
	let heightPx = $state(1);
	/** mm of the sensor to a px of the screen: what is marked keeps its size on the screen. */
	const mmPerPx = $derived(Math.max(width / Math.max(widthPx, 1), height / Math.max(heightPx, 1)));

	let activeId = $state<string | null>(null);
	const fromLeft = $derived(heads.toSorted((a, b) => a.skull.x - b.skull.x));

	const PARTS: readonly { landmark: Landmark; text: string }[] = [
		{ landmark: 'left-eye', text: 'left eye' },
		{ landmark: 'right-eye', text: 'right eye' },
		{ landmark: 'nose-tip', text: 'nose' }
	];

	/** More than this would leave no room for the picture; "why" names them all. */
	const MOST_UNSEEN = 5;
	const unseen = $derived(
		(shown?.plan.unseen ?? []).map(({ personId, why, by }) => {
			const behind = `behind ${nameOfId(plan.shot, by)}`;
			const words = { cut: 'cut', turned: 'turned away', hidden: behind }[why];
			return { id: personId, name: nameOfId(plan.shot, personId), words };
		})
	);

	/** Ids in files may hold spaces, ids of elements may not. */
	const elementId = (id: string) => `face-${encodeURIComponent(id)}`;

	function focusOn(head: DrawnHead | undefined) {
		if (!head) return;
		plan.focusOn({ personId: head.id });
	}

	function press(event: KeyboardEvent) {
		const step = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
		const index = fromLeft.findIndex(({ id }) => id === activeId);
		if (step) {
			event.preventDefault();
			activeId = fromLeft[Math.min(fromLeft.length - 1, Math.max(0, index + step))]?.id ?? null;
		} else if (event.key === 'Enter' || event.key === ' ') {
			event.preventDefault();
			focusOn(fromLeft[index]);
		}
	}

	/** The head under the pointer, the nearest one first. */
	function click(event: MouseEvent) {
		const head = (event.target as Element).closest('[data-head]');
		focusOn(heads.find(({ id }) => id === head?.getAttribute('data-head')));
	}

	function stateWords(head: DrawnHead): string {
		const states = head.eyes.map(({ state }) => state);
		if (states.includes('soft')) return 'soft';
		if (states.includes('marginal')) return 'a stop short';
		return states.includes('sharp') ? 'sharp' : 'nothing asked';
	}
</script>

<section class="pane frame" aria-label="Frame">
	<div class="view" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
		<!-- one tab stop: the arrows go from face to face -->
		<svg
			viewBox="{-width / 2} {-height / 2} {width} {height}"
			role="listbox"
			tabindex="0"
			aria-label="The picture: choose a face to focus on"
			aria-activedescendant={activeId === null ? undefined : elementId(activeId)}
			onkeydown={press}
			onclick={click}
			onfocus={() => (activeId ??= focus?.personId ?? fromLeft[0]?.id ?? null)}
			onblur={() => (activeId = null)}
		>
			<defs>
				<clipPath id="frame-edge">
					<rect x={-width / 2} y={-height / 2} {width} {height} />
				</clipPath>
			</defs>
			<rect class="ground" x={-width / 2} y={-height / 2} {width} {height} role="presentation" />
			<g clip-path="url(#frame-edge)" role="presentation">
				{#each drawn as one (`${one.kind} ${one.id}`)}
					{#if one.kind === 'thing'}
						<ThingMark thing={one} {mmPerPx} />
					{:else}
						<g
							id={elementId(one.id)}
							role="option"
							aria-selected={focus?.personId === one.id}
							aria-label="{one.name}, {stateWords(one)}"
							data-head={one.id}
							class="head tone-{one.tone}"
							class:animal={one.isAnimal}
							class:active={activeId === one.id}
						>
							{#if one.shoulders}<path class="body" d={one.shoulders} />{/if}
							{#each one.ears as ear, i (i)}
								<circle class="skull" cx={ear.x} cy={ear.y} r={one.skull.ry * 0.32} />
							{/each}
							<ellipse
								class="skull"
								rx={one.skull.rx}
								ry={one.skull.ry}
								transform="translate({one.skull.x} {one.skull.y}) rotate({one.skull.angleDeg})"
							/>
							{#if one.face && !one.isAnimal}
								<ellipse
									class="face"
									rx={one.face.rx}
									ry={one.face.ry}
									transform="translate({one.face.x} {one.face.y}) rotate({one.face.angleDeg})"
								/>
							{/if}
							{#if one.nose}
								<circle class="nose" cx={one.nose.x} cy={one.nose.y} r={one.skull.ry * 0.09} />
							{/if}
							{#each one.eyes.filter(({ isVisible }) => isVisible) as eye (eye.landmark)}
								<EyeMark {eye} size={Math.max(one.skull.ry * 0.13, 2.6 * mmPerPx)} {mmPerPx} />
							{/each}
						</g>
					{/if}
				{/each}
			</g>
			<rect class="edge" x={-width / 2} y={-height / 2} {width} {height} role="presentation" />
		</svg>
	</div>
	<div class="below">
		{#if focusPerson}
			<div class="parts" role="group" aria-label="Focus on {focusPerson.name}’s">
				<span><bdi>{focusPerson.name}</bdi>:</span>
				{#each PARTS as { landmark, text } (landmark)}
					<button
						class="knob"
						type="button"
						aria-pressed={focus?.landmark === landmark}
						onclick={() => plan.focusOn({ personId: focusPerson.id, landmark })}>{text}</button
					>
				{/each}
			</div>
		{/if}
		{#if isChosen}
			<button class="knob" type="button" onclick={() => plan.focusOn(null)}
				>let Focalis choose</button
			>
		{/if}
		{#each unseen.slice(0, MOST_UNSEEN) as { id, name, words } (id)}
			<span class="unseen"><bdi>{name}</bdi> {words}</span>
		{/each}
		{#if unseen.length > MOST_UNSEEN}
			<span class="unseen">and {unseen.length - MOST_UNSEEN} more not seen</span>
		{/if}
	</div>
</section>

<style>
	.frame {
		display: flex;
		flex-direction: column;
		height: 100%;
	}
	.view {
		flex: 1;
		min-height: 0;
		padding: 0.5rem;
		display: flex;
	}
	svg {
		width: 100%;
		height: 100%;
		min-width: 0;
		display: block;
	}
	.ground {
		fill: color-mix(in srgb, var(--ink) 12%, var(--sheet));
	}
	.edge {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.5px;
		vector-effect: non-scaling-stroke;
	}
	.head {
		cursor: pointer;
	}
	.skull {
		fill: var(--hair);
	}
	.face {
		fill: var(--skin);
	}
	.body {
		fill: var(--cloth);
		stroke: var(--sheet);
		stroke-width: 0.6px;
		vector-effect: non-scaling-stroke;
	}
	.nose {
		fill: color-mix(in srgb, var(--hair) 45%, var(--skin));
	}
	.animal .nose {
		fill: #241a14;
	}
	.active .skull,
	.active .body {
		stroke: var(--focus);
		stroke-width: 2px;
		vector-effect: non-scaling-stroke;
	}
	.tone-0 {
		--skin: #e9c6a8;
		--hair: #4a3426;
		--cloth: #57677f;
	}
	.tone-1 {
		--skin: #8a5a3c;
		--hair: #1f1915;
		--cloth: #8a7a57;
	}
	.tone-2 {
		--skin: #f0d9c4;
		--hair: #a9793f;
		--cloth: #6d5a74;
	}
	.tone-3 {
		--skin: #c08a61;
		--hair: #2d2320;
		--cloth: #4f7168;
	}
	.tone-4 {
		--skin: #d9ae8a;
		--hair: #77706a;
		--cloth: #86605a;
	}
	.animal {
		--hair: #9a7a56;
	}
	.below {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.35rem;
		padding: 0 0.5rem 0.4rem;
		min-height: 2.2rem;
	}
	.parts {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.25rem;
	}
	.unseen {
		color: var(--soft);
	}
</style>

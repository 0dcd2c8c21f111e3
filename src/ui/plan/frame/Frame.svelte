<script lang="ts">
	import { frameText as say } from '$words/screens/plan/frame';
	import { commonText as common } from '$words/screens/common';
	import { landmarkFacts, OFFERED } from '$core/tables/landmarks';
	import { nameOfId } from '$words/names';
	import { unseenWords } from '$words/reasons';
	import { boxOf, reachOf } from '$core/technique/focusPoints';
	import { wholeFrame } from '../../../preview/scene';
	import { preview } from '../../picture/preview.svelte';
	import { keeping, reusing } from '../../picture/reuse';
	import Picture from '../../picture/Picture.svelte';
	import { settings } from '../../shared/settings.svelte';
	import { devicePx, fitted } from '../../picture/size';
	import { wishOf } from '../../drawing/drawable';
	import type { PlanView } from '../view/plan.svelte';
	import PhotographTools from '../../photograph/PhotographTools.svelte';
	import Compare from './Compare.svelte';
	import FrameDrawing from './FrameDrawing.svelte';
	import FrameTools from './FrameTools.svelte';
	import { drawFrame } from '../../drawing/frameScene';
	import type { SecondChoice } from './secondChoices';

	/** What the camera will see, with its real blur. Click a face to focus there. */
	let { plan }: { plan: PlanView } = $props();

	const shown = $derived(plan.shown);
	const drawable = $derived(plan.drawable);
	const drawn = $derived.by(reusing(() => drawFrame(drawable)));
	const pose = $derived(drawable.scene.pose);
	const focus = $derived(shown?.plan.focus ?? null);
	const focusPerson = $derived(plan.shot.people.find(({ id }) => id === focus?.personId));
	const isChosen = $derived(plan.shot.choices.focus !== undefined);
	const overlays = $derived(settings.overlays);

	let roomX = $state(1);
	let roomY = $state(1);
	const size = $derived(fitted(roomX, roomY, pose.widthMm / pose.heightMm));
	const wish = $derived.by(
		keeping(() => wishOf(drawable, wholeFrame(pose), devicePx(size.width), devicePx(size.height)))
	);
	let samples = $state(0);
	const hasPicture = $derived(preview.why === null && samples > 0);
	let second = $state.raw<SecondChoice | null>(null);

	$effect(() => {
		void plan.shotId;
		samples = 0;
		second = null;
	});

	/** More names would leave no room for the picture; "why" has them all. */
	const MOST_UNSEEN = 5;
	const unseen = $derived(
		(shown?.plan.unseen ?? []).map(({ personId, why, by }) => {
			const words = unseenWords(why, nameOfId(plan.shot, by));
			return { id: personId, name: nameOfId(plan.shot, personId), words };
		})
	);
	const focusPoints = $derived.by(() => {
		const { focusGrid } = plan.shot.body;
		const { orientation } = plan.shot.camera;
		const nearest = focus?.point ? boxOf(focusGrid, orientation, focus.point) : null;
		return { ...reachOf(focusGrid, orientation), nearest };
	});
</script>

<section class="pane frame" aria-label={common.frame}>
	<div class="inner">
		<div class="view" bind:clientWidth={roomX} bind:clientHeight={roomY}>
			<div class="sheet" style:width="{size.width}px" style:height="{size.height}px">
				{#if preview.why === null}
					<!-- another shot's picture is not shown while this one's is on its way -->
					{#key plan.shotId}
						<div class="picture">
							<Picture
								name="frame"
								rank={0}
								{wish}
								label={say.thePictureWithItsRealBlur}
								ondrawn={(count) => (samples = count)}
							/>
						</div>
					{/key}
				{/if}
				<div class="drawing">
					<FrameDrawing
						{drawn}
						width={pose.widthMm}
						height={pose.heightMm}
						focusId={focus?.personId ?? null}
						isOverPicture={hasPicture}
						point={overlays.point || !hasPicture ? (focus?.frame ?? null) : null}
						hasMarks={overlays.states || !hasPicture}
						focusPoints={overlays.reach ? focusPoints : null}
						hasThirds={overlays.thirds}
						hasMargin={overlays.margin}
						hasCuts={overlays.cuts}
						onfocuson={(id) => plan.focusOn({ personId: id })}
					/>
				</div>
				{#if plan.photograph.isShown}
					<img class="photograph" src={plan.photograph.address} alt={common.thePhotograph} />
				{/if}
				{#if second && shown && hasPicture}
					<Compare {plan} first={shown} bind:second {wish} />
				{/if}
			</div>
		</div>
		<div class="beside">
			{#if focusPerson}
				<div class="parts" role="group" aria-label={say.focusOnS(focusPerson.name)}>
					<span><bdi>{focusPerson.name}</bdi>:</span>
					{#each OFFERED as landmark (landmark)}
						<button
							class="knob"
							type="button"
							aria-pressed={focus?.landmark === landmark}
							onclick={() => plan.focusOn({ personId: focusPerson.id, landmark })}
							>{landmarkFacts(landmark).words}</button
						>
					{/each}
				</div>
			{/if}
			{#if isChosen}
				<button class="knob" type="button" onclick={() => plan.focusOn(null)}
					>{common.letFocalisChoose}</button
				>
			{/if}
			{#if plan.photograph.address}<PhotographTools photograph={plan.photograph} />{/if}
			<FrameTools {plan} {hasPicture} bind:second />
			{#if preview.why !== null}
				<p class="why">{say.aDrawingOnly(preview.why)}</p>
			{/if}
			{#each unseen.slice(0, MOST_UNSEEN) as { id, name, words } (id)}
				<span class="unseen"><bdi>{name}</bdi> {words}</span>
			{/each}
			{#if unseen.length > MOST_UNSEEN}
				<span class="unseen">{say.andMoreNotSeen(unseen.length - MOST_UNSEEN)}</span>
			{/if}
		</div>
	</div>
</section>

<style>
	.frame {
		height: 100%;
		container-type: size;
	}
	.inner {
		height: 100%;
		display: flex;
		flex-direction: column;
	}
	.photograph {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
		object-fit: contain;
		background: var(--sheet);
	}
	.view {
		flex: 1;
		min-height: 0;
		min-width: 0;
		margin: 0.4rem;
		display: grid;
		place-items: center;
		overflow: hidden;
	}
	.sheet {
		position: relative;
	}
	.picture,
	.drawing {
		position: absolute;
		inset: 0;
	}
	.beside {
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
	/* a low pane has its room at the side */
	@container (min-aspect-ratio: 19 / 10) {
		.inner {
			flex-direction: row;
		}
		.beside {
			flex: none;
			width: 9.5rem;
			flex-direction: column;
			align-items: stretch;
			flex-wrap: nowrap;
			overflow-y: auto;
			padding: 0.4rem 0.4rem 0.4rem 0;
		}
		.parts > span {
			width: 100%;
		}
		.parts > :global(button) {
			flex: 1 1 4rem;
			padding-inline: 0.2rem;
			white-space: nowrap;
		}
	}
	.unseen {
		color: var(--soft);
	}
	.why {
		color: var(--ink-2);
	}
</style>

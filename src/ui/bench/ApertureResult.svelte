<script lang="ts">
	import { apertureResultText as say } from '$words/screens/bench/place';
	import Button from 'flowbite-svelte/Button.svelte';
	import { apertureSeries, pxPerMmOf, type ApertureStop } from '$core/bench/apertureSeries';
	import { CORNERS } from '$core/bench/chart';
	import type { MeasuredChart } from '$core/bench/measuredChart';
	import { diffractionHalf } from '$core/measure/slantedEdge';
	import { mean } from '$core/numeric/mean';
	import { apertureWords, seriesProblemWords } from '$words/bench';
	import type { KitLens } from '$data/store/database';
	import { useKit } from '../kit/kit.svelte';
	import type { Session } from '../keeping/session.svelte';
	import FNumberChart from '../drawing/FNumberChart.svelte';
	import OwnGear from './OwnGear.svelte';

	/** At which f-number the lens is sharpest, and what is kept of it. */
	interface Props {
		frames: readonly MeasuredChart[];
		entry: KitLens;
		session: Session;
	}

	let { frames, entry, session }: Props = $props();
	const kit = useKit();
	const bodies = $derived(kit.contents.bodies.map(({ body }) => body));
	const reading = $derived(apertureSeries(frames));
	const series = $derived(reading.ok ? reading.series : null);
	/** Line pairs per height of the picture, of cycles per pixel. */
	const heightPx = $derived(frames[0] ? Math.min(frames[0].widthPx, frames[0].heightPx) : 0);
	const perHeight = (cycles: number) => Math.round(cycles * heightPx);
	const cornersOf = ({ corners }: ApertureStop) => {
		const known = CORNERS.flatMap((corner) => corners[corner] ?? []);
		return known.length > 0 ? mean(known) : null;
	};
	const lines = $derived.by(() => {
		if (!series) return [];
		const pxPerMm = frames[0] ? pxPerMmOf(frames[0], bodies) : null;
		const limit = (fNumber: number) =>
			pxPerMm ? perHeight(diffractionHalf(fNumber) / pxPerMm) : NaN;
		return [
			{ name: say.centre, y: series.stops.map(({ centre }) => perHeight(centre.mean)) },
			{
				name: say.corners,
				y: series.stops.map((stop) => perHeight(cornersOf(stop) ?? NaN))
			},
			...(pxPerMm
				? [{ name: say.limitOfDiffraction, y: series.stops.map(({ fNumber }) => limit(fNumber)) }]
				: [])
		];
	});
	const best = $derived(series?.stops[series.best]);
	const most = $derived(
		1.15 *
			Math.max(
				0,
				...lines.slice(0, 2).flatMap(({ y }) => y.filter(Number.isFinite)),
				// where diffraction begins to tell, it is in sight
				lines[2]?.y.at(-1) ?? 0
			)
	);
	const sharpness = $derived(
		series && {
			bodyName: series.bodyName ?? say.aBodyWithoutAName,
			focalMm: series.focalMm ?? entry.lens.focalMm[0],
			date: new Date().toISOString().slice(0, 10),
			frames: frames.length,
			stops: series.stops.map((stop) => {
				const corners = cornersOf(stop);
				return {
					fNumber: stop.fNumber,
					centre: perHeight(stop.centre.mean),
					corners: corners === null ? null : perHeight(corners)
				};
			})
		}
	);
	const isKept = $derived(
		sharpness !== null && JSON.stringify(entry.sharpness) === JSON.stringify(sharpness)
	);

	function keep() {
		if (!sharpness) return;
		const [before, after] = [entry, { ...entry, sharpness }];
		const again = () => kit.put(after);
		again();
		session.bench.did({
			words: say.theLensWasMeasured,
			gesture: crypto.randomUUID(),
			back: () => kit.put(before),
			again
		});
	}
</script>

{#if !reading.ok}
	<p role="status"><strong>{seriesProblemWords(reading.problem)}</strong></p>
{:else if series}
	<p role="status"><strong>{apertureWords(series)}</strong></p>
	{#if series.isSharpened}
		<p>
			{say.theseFilesWereSharpenedInThe}
		</p>
	{/if}
	<FNumberChart
		elsewhere={say.theSentenceAbove}
		{lines}
		fNumbers={series.stops.map(({ fNumber }) => fNumber)}
		shownFNumber={best?.fNumber ?? null}
		yaxis={{ title: { text: say.linePairsPerPictureHeight }, range: [0, most] }}
		level={0.8 * perHeight(best?.centre.mean ?? 0)}
		format=".0f"
		label={say.howSharpTheLensIsAt}
	/>
	<p class="note">{say.dotted80PercentOfItsBest}</p>
	<OwnGear {frames}>
		<Button size="xs" disabled={isKept} onclick={keep}
			>{isKept ? say.keptWithTheLens : say.keepItWithTheLens}</Button
		>
	</OwnGear>
{/if}

<style>
	.note {
		color: var(--ink-2);
	}
</style>

<script lang="ts">
	import { exerciseSetUpText as say } from '$words/screens/bench/exercises';
	import type { ExerciseName } from '$core/format/exerciseLog';

	/** How camera and what is practised on stand: from above, or as the frame shows it. */
	let { exercise }: { exercise: ExerciseName } = $props();
	const LABELS: Readonly<Record<ExerciseName, string>> = {
		'three-objects': say.fromAboveTheCameraAndThree,
		'aperture-ladder': say.fromAboveACameraOnA,
		'eyes-then-nose': say.fromTheSideAFaceAnd,
		'four-edges': say.theFrameWithTheEyeAt
	};
	const OBJECT_PLACES = [
		[128, 92],
		[165, 65],
		[202, 38]
	] as const;
	const CAMERA_PLACES = [96, 142, 214] as const;
	const EDGE_PLACES = [
		[22, 65],
		[138, 65],
		[80, 32],
		[80, 98]
	] as const;
</script>

<svg viewBox="0 0 240 130" role="img" aria-label={LABELS[exercise]}>
	{#if exercise === 'three-objects' || exercise === 'aperture-ladder'}
		<line class="axis" x1="60" y1="65" x2="232" y2="65" />
		{#if exercise === 'aperture-ladder'}
			{#each [90, 210, 330] as turn (turn)}
				<line class="leg" x1="36" y1="65" x2="36" y2="93" transform="rotate({turn} 36 65)" />
			{/each}
		{/if}
		<rect class="camera" x="26" y="51" width="20" height="28" rx="2" />
		<rect class="camera" x="46" y="57" width="13" height="16" />
		{#each OBJECT_PLACES as [x, y], i (x)}
			<rect class="object" x={x - 9} y={y - 9} width="18" height="18" rx="2" />
			<text {x} y={y + 4.5} text-anchor="middle">{i + 1}</text>
		{/each}
	{:else if exercise === 'eyes-then-nose'}
		<path class="face" d="M 18 24 Q 44 22 46 52 L 56 66 L 46 70 L 46 84 Q 40 98 18 98" />
		<circle class="spot" cx="41" cy="54" r="4" />
		<circle class="spot" cx="54" cy="66" r="4" />
		{#each CAMERA_PLACES as x, i (x)}
			<line class="axis" x1="60" y1={54 + 4 * i} x2={x - 14} y2={60} />
			<rect class="camera" x={x - 14} y="55" width="9" height="11" />
			<rect class="camera" x={x - 5} y="50" width="13" height="21" rx="2" />
		{/each}
	{:else if exercise === 'four-edges'}
		<rect class="frame" x="6" y="16" width="148" height="98" />
		<rect class="frame" x="166" y="10" width="66" height="110" />
		{#each EDGE_PLACES as [x, y] (`${x} ${y}`)}
			<line class="axis" x1="80" y1="65" x2={x} y2={y} />
			<circle class="spot" cx={x} cy={y} r="6" />
		{/each}
		<circle class="object" cx="80" cy="65" r="6" />
		<line class="axis" x1="199" y1="65" x2="199" y2="28" />
		<circle class="object" cx="199" cy="65" r="6" />
		<circle class="spot" cx="199" cy="28" r="6" />
	{/if}
</svg>

<style>
	svg {
		width: 100%;
		max-width: 15rem;
	}
	.axis {
		stroke: var(--ink-2);
		stroke-dasharray: 4 4;
		fill: none;
	}
	.leg {
		stroke: var(--ink-2);
		stroke-width: 2;
	}
	.camera {
		fill: var(--ink);
	}
	.object,
	.frame,
	.face {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2;
	}
	.spot {
		fill: var(--focus);
	}
	text {
		fill: var(--ink);
		font-size: 12px;
	}
</style>

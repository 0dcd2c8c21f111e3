<script lang="ts">
	import type { Flat } from '$core/anatomy/outline';
	import { LABEL_PX } from '../../drawing/stageScene';

	/** The label by which a row is taken hold of. */
	interface Props {
		at: Flat;
		label: string;
		isSelected: boolean;
		isActive: boolean;
	}

	let { at, label, isSelected, isActive }: Props = $props();
</script>

<rect
	class:on={isSelected || isActive}
	x={at.x - LABEL_PX.width / 2}
	y={at.y - LABEL_PX.height / 2}
	width={LABEL_PX.width}
	height={LABEL_PX.height}
	rx="10"
/>
<text x={at.x} y={at.y + 4} text-anchor="middle">{label}</text>

<style>
	rect {
		fill: var(--sheet);
		stroke: var(--edge);
	}
	.on {
		stroke: var(--focus);
		stroke-width: 2;
	}
	text {
		fill: var(--ink);
		font-size: 0.75rem;
	}
</style>

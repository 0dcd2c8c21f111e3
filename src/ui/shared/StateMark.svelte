<script lang="ts">
	import type { State } from '$core/format/plan';

	/** A state as a shape as well as a colour: ● sharp, ◐ a stop short, ○ soft. */
	let { state }: { state: State } = $props();
	const MARKS = { sharp: '●', marginal: '◐', soft: '○' } as const;
</script>

<span class="is-{state}" aria-hidden="true">{MARKS[state]}</span>

<script lang="ts">
	import type { State } from '$core/format/plan';
	import { STATE_MARKS } from '$words/states';

	/** A state as a shape as well as a colour. */
	let { state }: { state: State } = $props();
</script>

<span class="is-{state}" aria-hidden="true">{STATE_MARKS[state]}</span>

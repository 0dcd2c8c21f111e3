<script lang="ts">
	import type { ScreenProps } from '../keeping/screenProps';
	import ReviewScreen from './ReviewScreen.svelte';

	/** What came home from the camera, judged: another job, another screen. */
	let { session }: ScreenProps = $props();
</script>

{#key session.job?.id}
	<ReviewScreen {session} />
{/key}

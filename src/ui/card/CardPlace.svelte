<script lang="ts">
	import type { ScreenProps } from '../keeping/screenProps';
	import CardScreen from './CardScreen.svelte';
	import UnplannedScreen from './UnplannedScreen.svelte';

	/** The card of the open shot; without one, a shot from nothing. */
	let { session, ongo }: ScreenProps = $props();
</script>

{#if session.shot}
	<CardScreen {session} {ongo} />
{:else}
	<UnplannedScreen {session} onclose={() => ongo('day')} onkept={() => {}} />
{/if}

<script lang="ts">
	import type { ScreenProps } from '../screens';
	import CardScreen from './CardScreen.svelte';
	import NowScreen from './NowScreen.svelte';

	/** The card of the open shot; without one, a shot from nothing. */
	let { session, ongo }: ScreenProps = $props();
</script>

{#if session.shot}
	<CardScreen {session} {ongo} />
{:else}
	<NowScreen {session} onclose={() => ongo('day')} onkept={() => {}} />
{/if}

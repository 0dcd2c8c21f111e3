<script lang="ts">
	import { replaceState } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
	import { untrack } from 'svelte';
	import App from '$ui/App.svelte';

	const asked = untrack(() => page.url.searchParams);

	/** The address names the open shot, so that a reload and a bookmark come back to it. */
	function show(shotId: string) {
		replaceState(resolve(`/?shot=${encodeURIComponent(shotId)}`), {});
	}
</script>

<svelte:head><title>Focalis: plan a shot</title></svelte:head>

<App shotId={asked.get('shot')} wantsSample={asked.has('sample')} onshot={show} />

<script lang="ts">
	import { replaceState } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
	import { untrack } from 'svelte';
	import App from '$ui/App.svelte';
	import { pageText } from '$words/screens/shell';
	import { PLACE_NAMES, type PlaceName } from '$ui/shared/places';

	const asked = untrack(() => page.url.searchParams);

	/** The address names the open shot, so that a reload and a bookmark come back to it. */
	function show(place: PlaceName, shotId: string | null) {
		const shot = shotId ? `&shot=${encodeURIComponent(shotId)}` : '';
		replaceState(resolve(`/?at=${place}${shot}`), {});
	}
	const known = PLACE_NAMES.find((place) => place === asked.get('at')) ?? null;
</script>

<svelte:head><title>{pageText.title}</title></svelte:head>

<App shotId={asked.get('shot')} asked={known} sample={asked.get('sample')} onshow={show} />

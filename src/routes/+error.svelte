<script lang="ts">
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
</script>

<svelte:head><title>Focalis: {page.error?.message ?? 'not found'}</title></svelte:head>

<main>
	<h1>{page.status === 404 ? 'There is nothing here.' : 'Something went wrong here.'}</h1>
	<p>Your work is where it was. <a href={resolve('/')}>Back to it</a></p>
</main>

<style>
	main {
		max-width: 36rem;
		margin: 12vh auto;
		padding: 0 1rem;
		font-size: 1rem;
	}
	h1 {
		font-size: 1.9rem;
		margin-bottom: 0.6rem;
	}
	a {
		text-decoration: underline;
	}
</style>

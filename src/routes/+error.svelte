<script lang="ts">
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
	import { errorPageText as say } from '$words/screens/shell';
</script>

<svelte:head><title>{say.title(page.error?.message ?? say.notFound)}</title></svelte:head>

<main>
	<h1>{page.status === 404 ? say.thereIsNothingHere : say.somethingWentWrongHere}</h1>
	<p>{say.yourWorkIsWhereItWas} <a href={resolve('/')}>{say.backToIt}</a></p>
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

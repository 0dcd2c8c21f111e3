<script lang="ts">
	import { licencesText as say } from '$words/screens/shell';
	import { asset } from '$app/paths';
	import { z } from 'zod';

	/** What others made that ships with the app, and on which terms; read when somebody looks. */
	const LicencesSchema = z.array(
		z.object({ name: z.string(), version: z.string(), licence: z.string(), text: z.string() })
	);

	let isOpen = $state(false);

	async function read() {
		const response = await fetch(asset('/licences.json'));
		if (!response.ok) throw new Error(say.notThere);
		return LicencesSchema.parse(await response.json());
	}
</script>

<details bind:open={isOpen}>
	<summary>{say.licencesOfWhatShipsWithFocalis}</summary>
	{#if isOpen}
		{#await read()}
			<p>{say.reading}</p>
		{:then all}
			<ul>
				{#each all as { name, version, licence, text }, i (i)}
					<li>
						<details>
							<summary>{name} {version}: {licence}</summary>
							<pre>{text || say.thePackageCarriesNoTextOf}</pre>
						</details>
					</li>
				{/each}
			</ul>
		{:catch}
			<p role="alert">{say.theLicencesCouldNotBeRead}</p>
		{/await}
	{/if}
</details>

<style>
	summary {
		min-height: 1.75rem;
		cursor: pointer;
	}
	ul {
		padding-left: 1rem;
	}
	pre {
		white-space: pre-wrap;
		font-size: 0.8125rem;
		max-height: 16rem;
		overflow: auto;
	}
	@media (pointer: coarse) {
		summary {
			min-height: 2.75rem;
		}
	}
</style>

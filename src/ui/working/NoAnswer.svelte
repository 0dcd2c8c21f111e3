<script lang="ts">
	import { noAnswerText as say } from '$words/screens/working';
	import { commonText as common } from '$words/screens/common';
	/** Says that something could not be worked out, and tries again. Nothing while all is well. */
	interface Props {
		asked: { readonly problem: string; again(): void };
		/** What is missing then: "advice", "the odds". */
		what: string;
	}

	let { asked, what }: Props = $props();
</script>

{#if asked.problem}
	<p role="alert">
		{say.thereIsNoAnswerFor(what, asked.problem)}
		<button class="knob" type="button" onclick={() => asked.again()}>{common.tryAgain}</button>
	</p>
{/if}

<style>
	p {
		color: var(--soft);
	}
</style>

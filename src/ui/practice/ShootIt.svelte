<script lang="ts">
	import type { Solution } from '$core/study/plan';
	import type { Spreads } from '$core/tables/spreads';

	/** The sheet to shoot a shot with the practice camera. It stays when it is closed: the frames would be gone with it. */
	interface Props {
		shotId: string | null;
		solution: Solution | null;
		spreads: Spreads;
		/** When the shot is taken, by the clock there; and the time zone of the day. */
		startsAt: string;
		timeZone: string | undefined;
	}

	let { shotId, solution, spreads, startsAt, timeZone }: Props = $props();
	let isOpen = $state(false);
	/** Whose frames are in the sheet; null before any were asked for. */
	let shotInSheet = $state<string | null>(null);

	/** Opens the sheet. */
	export function shoot() {
		shotInSheet = shotId;
		isOpen = true;
	}
</script>

{#if solution && shotInSheet !== null && shotInSheet === shotId}
	{#await import('./ShootSheet.svelte') then { default: ShootSheet }}
		<ShootSheet {solution} {spreads} {startsAt} {timeZone} bind:open={isOpen} />
	{/await}
{/if}

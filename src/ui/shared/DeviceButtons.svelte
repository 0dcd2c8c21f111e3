<script lang="ts">
	import { settings } from './settings.svelte';

	/** How this device shows things: units, look, help. */
	let { onhelp }: { onhelp: () => void } = $props();

	const isNight = $derived(settings.look === 'night');
</script>

<button
	class="knob bare"
	type="button"
	aria-label="Lengths in {settings.units === 'm'
		? 'metres; switch to feet'
		: 'feet; switch to metres'}"
	onclick={() => settings.set({ units: settings.units === 'm' ? 'ft' : 'm' })}
	>{settings.units}</button
>
<button
	class="knob bare"
	type="button"
	aria-label={isNight ? 'Day look' : 'Night look'}
	onclick={() => settings.set({ look: isNight ? 'day' : 'night' })}>{isNight ? '☀' : '☾'}</button
>
<button class="knob bare" type="button" aria-label="Help" onclick={onhelp}>?</button>

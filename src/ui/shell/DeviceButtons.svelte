<script lang="ts">
	import { settings } from '../shared/settings.svelte';

	/** How this device shows things: units, look, help. */
	let { onhelp, inWords = false }: { onhelp: () => void; inWords?: boolean } = $props();

	const isNight = $derived(settings.look === 'night');
</script>

<button
	class="knob"
	class:bare={!inWords}
	type="button"
	aria-label="Lengths in {settings.units === 'm'
		? 'metres; switch to feet'
		: 'feet; switch to metres'}"
	onclick={() => settings.set({ units: settings.units === 'm' ? 'ft' : 'm' })}
	>{inWords ? (settings.units === 'm' ? 'Metres' : 'Feet') : settings.units}</button
>
<button
	class="knob"
	class:bare={!inWords}
	type="button"
	aria-label={isNight ? 'Day look' : 'Night look'}
	onclick={() => settings.set({ look: isNight ? 'day' : 'night' })}
	>{inWords ? (isNight ? 'Day look' : 'Night look') : isNight ? '☀' : '☾'}</button
>
<button class="knob" class:bare={!inWords} type="button" aria-label="Help" onclick={onhelp}
	>{inWords ? 'Help' : '?'}</button
>

<script lang="ts">
	import { deviceButtonsText as say } from '$words/screens/shell';
	import { commonText as common } from '$words/screens/common';
	import { settings } from '../shared/settings.svelte';

	/** How this device shows things: units, look, help. */
	let { onhelp, inWords = false }: { onhelp: () => void; inWords?: boolean } = $props();

	const isNight = $derived(settings.look === 'night');
</script>

<button
	class="knob"
	class:bare={!inWords}
	type="button"
	aria-label={say.lengthsIn(
		settings.units === 'm' ? say.metresSwitchToFeet : say.feetSwitchToMetres
	)}
	onclick={() => settings.set({ units: settings.units === 'm' ? 'ft' : 'm' })}
	>{inWords ? (settings.units === 'm' ? say.metres : say.feet) : settings.units}</button
>
<button
	class="knob"
	class:bare={!inWords}
	type="button"
	aria-label={isNight ? say.dayLook : say.nightLook}
	onclick={() => settings.set({ look: isNight ? 'day' : 'night' })}
	>{inWords ? (isNight ? say.dayLook : say.nightLook) : isNight ? '☀' : '☾'}</button
>
<button class="knob" class:bare={!inWords} type="button" aria-label={common.help} onclick={onhelp}
	>{inWords ? common.help : '?'}</button
>

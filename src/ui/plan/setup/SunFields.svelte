<script lang="ts">
	import { sunFieldsText as say } from '$words/screens/plan/setup';
	import { wrapDeg } from '$core/geometry/angle';
	import NumberField from '../../fields/NumberField.svelte';
	import { settings } from '../../shared/settings.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import { aroundOf, sunAt } from './sun';

	/** Where the sun stands when the shot is taken: by the place, the time, and where the stage looks. */
	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	const place = $derived(settings.sunPlace);
	let ownTime = $state<string | null>(null);
	const time = $derived(ownTime ?? plan.startsAt);
	const stand = $derived(sunAt(place, time, plan.timeZone));
	/** Where the stage's depth runs, from north: as it was said before. */
	const bearingDeg = $derived(
		shot.sun ? (stand.bearingDeg - shot.sun.aroundDeg + 360) % 360 : settings.sunPlace.lookingDeg
	);
	const newGesture = (kind: string) => plan.newGesture(kind);

	function put(at = stand, looking = bearingDeg, gesture?: string) {
		const sun = { aroundDeg: aroundOf(at, looking), altitudeDeg: at.altitudeDeg };
		plan.change({ ...shot, sun }, gesture);
	}
	function move(change: Partial<typeof place>, gesture: string) {
		const looking = bearingDeg;
		settings.set({ sunPlace: { ...place, ...change } });
		put(sunAt({ ...place, ...change }, time, plan.timeZone), looking, gesture);
	}
	function look(degrees: number, gesture: string) {
		settings.set({ sunPlace: { ...place, lookingDeg: degrees } });
		put(stand, degrees, gesture);
	}
	function when(next: string) {
		const looking = bearingDeg;
		ownTime = next;
		put(sunAt(place, next, plan.timeZone), looking);
	}
	function choose(isKnown: boolean) {
		if (isKnown) put();
		else plan.change({ ...shot, sun: undefined });
	}
	const side = $derived.by(() => {
		if (!shot.sun) return '';
		if (shot.sun.altitudeDeg <= 0) return say.itIsBelowTheHorizon;
		const off = wrapDeg(shot.sun.aroundDeg - shot.camera.panDeg);
		const where =
			Math.abs(off) < 30
				? say.inFrontOfTheCamera
				: Math.abs(off) > 150
					? say.behindTheCamera
					: say.toThe(Math.abs(off) > 90 ? 'behind ' : '', off > 0 ? 'right' : 'left');
		return say.itStandsHigh(Math.round(shot.sun.altitudeDeg), where);
	});
</script>

<label class="known">
	<input
		type="checkbox"
		checked={shot.sun !== undefined}
		onchange={(event) => choose(event.currentTarget.checked)}
	/>
	{say.showWhereTheSunStands}
</label>
{#if shot.sun}
	<div class="pairs">
		<NumberField
			label={say.latitudeNorth}
			unit="°"
			value={place.latitudeDeg}
			low={-90}
			high={90}
			digits={3}
			onchange={(latitudeDeg, gesture) => move({ latitudeDeg }, gesture)}
			{newGesture}
		/>
		<NumberField
			label={say.longitudeEast}
			unit="°"
			value={place.longitudeDeg}
			low={-180}
			high={180}
			digits={3}
			onchange={(longitudeDeg, gesture) => move({ longitudeDeg }, gesture)}
			{newGesture}
		/>
		<label class="time">
			{say.dateAndTimeThere}
			<input
				class="typed"
				type="datetime-local"
				value={time}
				onchange={(event) => event.currentTarget.value && when(event.currentTarget.value)}
			/>
		</label>
		<NumberField
			label={say.theDirectionTheStageFacesFrom}
			unit="°"
			value={bearingDeg}
			low={0}
			high={360}
			step={5}
			digits={0}
			onchange={look}
			{newGesture}
		/>
	</div>
	<p role="status">{side}</p>
{/if}

<style>
	.known {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		min-height: 1.75rem;
	}
	.time {
		display: flex;
		flex-direction: column;
		color: var(--ink-2);
		font-size: 0.8125rem;
		min-width: 0;
	}
</style>

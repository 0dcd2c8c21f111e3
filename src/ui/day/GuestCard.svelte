<script lang="ts">
	import { guestCardText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
	import { renamed, standsIn, withGuest, withoutGuest } from '$core/day/guests';
	import { JOB_LIMITS, type Guest } from '$core/format/job';
	import { LIMITS } from '$core/format/shot';
	import { boundsOf } from '$core/format/bounds';
	import { eyesOfStatureM, statureOfEyesM } from '$core/day/heights';
	import { BUILDS, isHuman } from '$core/tables/heads';
	import HeightField from '../fields/HeightField.svelte';
	import { EYE_HEIGHT_M } from '$core/arrange/arrange';
	import type { ShotRecord } from '$data/store/database';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';
	import type { DayView } from './day.svelte';

	/** One of the people of the day: what they are like, and the shots they stand in. */
	let { day, guest }: { day: DayView; guest: Guest } = $props();

	const EYES = boundsOf('job.people.eyeHeightM');
	const builds = BUILDS.map((value) => ({ value, text: value }));
	const newGesture = (): string => crypto.randomUUID();
	let gesture = '';

	function change(part: Partial<Guest>, by = newGesture()) {
		const people = day.job.people.map((one) => (one.id === guest.id ? { ...one, ...part } : one));
		day.changePeople(people, say.changing(guest.name), [], by);
	}
	/** Whoever is called otherwise is so in the shots, too. */
	function rename(name: string) {
		if (!name || name === guest.name) return;
		const people = day.job.people.map((one) => (one.id === guest.id ? { ...one, name } : one));
		const shots = day.shots
			.filter(({ shot }) => standsIn(guest.name, shot))
			.map(({ id, shot }) => ({ shotId: id, shot: renamed(shot, guest.name, name) }));
		day.changePeople(people, say.calling(guest.name, name), shots);
	}
	function place(record: ShotRecord, isIn: boolean) {
		const { shot } = record;
		if (isIn)
			day.changeShot(record, withGuest(shot, guest, settings.framing), say.placing(guest.name));
		else day.changeShot(record, withoutGuest(shot, guest.name), say.removing(guest.name));
	}
	const takeOut = () =>
		day.changePeople(
			day.job.people.filter(({ id }) => id !== guest.id),
			say.takingOffTheList(guest.name)
		);
</script>

<div class="card">
	<label>
		{common.name}
		<input
			class="typed"
			type="text"
			maxlength={LIMITS.name}
			value={guest.name}
			onchange={(event) => rename(event.currentTarget.value.trim())}
		/>
	</label>
	<div class="pair">
		<Pick
			label={common.build}
			options={builds}
			value={guest.build}
			onchoose={(build) => change({ build, eyeHeightM: EYE_HEIGHT_M[build] })}
		/>
		{#if isHuman(guest.build)}
			<HeightField
				label={common.height}
				value={statureOfEyesM(guest.eyeHeightM)}
				low={statureOfEyesM(EYES.low)}
				high={statureOfEyesM(EYES.high)}
				onchange={(metres) => change({ eyeHeightM: eyesOfStatureM(metres) })}
			/>
		{/if}
		<HeightField
			label={say.eyesAboveTheGround}
			value={guest.eyeHeightM}
			low={EYES.low}
			high={EYES.high}
			onchange={(eyeHeightM) => change({ eyeHeightM })}
		/>
	</div>
	<label class="check">
		<input
			type="checkbox"
			checked={guest.glasses}
			onchange={(event) => change({ glasses: event.currentTarget.checked })}
		/>
		{say.wearsGlasses}
	</label>
	<label>
		{common.note}
		<input
			class="typed"
			type="text"
			maxlength={JOB_LIMITS.guestNote}
			value={guest.note}
			onfocus={() => (gesture = newGesture())}
			oninput={(event) => change({ note: event.currentTarget.value }, gesture)}
		/>
	</label>
	<fieldset>
		<legend>{say.standsIn}</legend>
		{#each day.shots as record (record.id)}
			<label class="check">
				<input
					type="checkbox"
					checked={standsIn(guest.name, record.shot)}
					onchange={(event) => place(record, event.currentTarget.checked)}
				/>
				<bdi>{record.shot.title}</bdi>
			</label>
		{/each}
	</fieldset>
	<button class="knob" type="button" onclick={takeOut}>{common.takeOffTheList}</button>
</div>

<style>
	.card {
		display: flex;
		flex-direction: column;
		gap: 0.5rem;
		padding: 0.3rem 0 0.8rem 0.8rem;
	}
	label {
		display: flex;
		flex-direction: column;
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	.check {
		flex-direction: row;
		align-items: center;
		gap: 0.5rem;
		min-height: 1.6rem;
		color: var(--ink);
		font-size: inherit;
	}
	.pair {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(6.5rem, 1fr));
		align-items: end;
		gap: 0.5rem;
	}
	legend {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	.knob {
		align-self: start;
	}
	@media (pointer: coarse) {
		.check {
			min-height: 2.75rem;
		}
	}
</style>

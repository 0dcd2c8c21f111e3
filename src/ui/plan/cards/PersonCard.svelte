<script lang="ts">
	import { personCardText as say } from '$words/screens/plan/cards';
	import { commonText as common } from '$words/screens/common';
	import Amount from '../../fields/Amount.svelte';
	import type { Person } from '$core/format/shot';
	import Pick from '../../fields/Pick.svelte';
	import { changePerson } from '../view/edits';
	import type { PlanView } from '../view/plan.svelte';
	import { BUILD_OPTIONS, KEEP_OPTIONS, MOTION_OPTIONS, NEED_OPTIONS } from '$words/options';

	let { plan, person }: { plan: PlanView; person: Person } = $props();

	/** Which way the degrees turn. */
	const wayWords = (turnDeg: number) =>
		turnDeg === 0 ? '' : turnDeg > 0 ? say.toTheRight : say.toTheLeft;
	const newGesture = (kind: string) => plan.newGesture(kind);
	const set = (change: Partial<Person>, gesture?: string) =>
		plan.change(changePerson(plan.shot, person.id, change), gesture);
</script>

<div class="fields">
	<Pick
		label={common.mustBe}
		options={NEED_OPTIONS}
		value={person.need}
		onchoose={(need) => set({ need })}
	/>
	<Pick
		label={common.keepSharp}
		options={KEEP_OPTIONS}
		value={person.keep}
		onchoose={(keep) => set({ keep })}
	/>
	<Amount
		of="shot.people.turnDeg"
		label={say.headTurned(wayWords(person.turnDeg))}
		value={person.turnDeg}
		step={5}
		digits={0}
		onchange={(turnDeg, gesture) => set({ turnDeg }, gesture)}
		{newGesture}
	/>
	<Pick
		label={say.moves}
		options={MOTION_OPTIONS}
		value={person.motion}
		onchoose={(motion) => set({ motion })}
	/>
</div>
<details>
	<summary class="text-[var(--ink-2)]">{say.nodLeanBuild}</summary>
	<div class="fields">
		<Amount
			of="shot.people.nodDeg"
			label={say.chinDown}
			value={person.nodDeg}
			step={5}
			digits={0}
			onchange={(nodDeg, gesture) => set({ nodDeg }, gesture)}
			{newGesture}
		/>
		<Amount
			of="shot.people.leanDeg"
			label={say.leaned}
			value={person.leanDeg}
			step={5}
			digits={0}
			onchange={(leanDeg, gesture) => set({ leanDeg }, gesture)}
			{newGesture}
		/>
		<Pick
			label={common.build}
			options={BUILD_OPTIONS}
			value={person.build}
			onchoose={(build) => set({ build })}
		/>
	</div>
</details>
<button class="knob" type="button" onclick={() => plan.focusOn({ personId: person.id })}
	>{common.focusHere}</button
>

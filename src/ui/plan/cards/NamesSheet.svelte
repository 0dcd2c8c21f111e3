<script lang="ts">
	import { namesSheetText as say } from '$words/screens/plan/cards';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { called } from '$core/day/guests';
	import { LIMITS } from '$core/format/shot';
	import { rowName } from '$words/rows';
	import { capital } from '$words/numbers';
	import type { PlanView } from '../view/plan.svelte';

	/** Names of everybody, row by row from left to right: typed from head to head, pasted, or picked. */
	let { plan, isOpen = $bindable() }: { plan: PlanView; isOpen: boolean } = $props();

	const id = $props.id();
	const shot = $derived(plan.shot);
	const rows = $derived.by(() => {
		const found = (plan.solution?.study.scene.rows ?? []).map(({ members }) =>
			members.map(({ personId }) => personId)
		);
		const named = found.map((ids, i) => ({
			title: capital(rowName(i, found.length)) || say.fromLeftToRight,
			ids
		}));
		const inRows = found.flat();
		const rest = shot.people.map((one) => one.id).filter((one) => !inRows.includes(one));
		return rest.length > 0 ? [...named, { title: say.theOthers, ids: rest }] : named;
	});
	const order = $derived(rows.flatMap(({ ids }) => ids));
	const nameOf = (personId: string) => shot.people.find((one) => one.id === personId)?.name ?? '';

	let gesture = '';
	function name(personId: string, names: readonly string[]) {
		plan.change(called(plan.shot, order, order.indexOf(personId), names, plan.guests), gesture);
	}
	/** A list goes to this head and the next ones. */
	function paste(event: ClipboardEvent, personId: string) {
		const names = (event.clipboardData?.getData('text') ?? '').split(/[\n\r\t,;]+/);
		if (names.length < 2) return;
		event.preventDefault();
		name(personId, names);
	}
</script>

<Modal title={say.namesRowByRow} size="md" bind:open={isOpen}>
	<div class="stack">
		<p>{say.typeFromHeadToHeadWith}</p>
		<datalist id="{id}-guests">
			{#each plan.guests as guest (guest.id)}<option value={guest.name}></option>{/each}
		</datalist>
		{#each rows as { title, ids }, row (row)}
			<fieldset>
				<legend>{title}</legend>
				<div class="fields">
					{#each ids as personId, i (personId)}
						<input
							class="typed"
							type="text"
							aria-label={say.of(title, i + 1, ids.length)}
							list="{id}-guests"
							autocomplete="off"
							maxlength={LIMITS.name}
							value={nameOf(personId)}
							onfocus={(event) => {
								gesture = plan.newGesture('names');
								event.currentTarget.select();
							}}
							onchange={(event) => name(personId, [event.currentTarget.value])}
							onpaste={(event) => paste(event, personId)}
						/>
					{/each}
				</div>
			</fieldset>
		{/each}
	</div>
</Modal>

<style>
	legend {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
</style>

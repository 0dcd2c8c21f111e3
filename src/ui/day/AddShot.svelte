<script lang="ts">
	import { addShotText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
	import DropdownItem from 'flowbite-svelte/DropdownItem.svelte';
	import { LENSES } from '$data/kit';
	import { useKit } from '../kit/kit.svelte';
	import type { Body } from '$core/format/shot';
	import { addShot } from '../keeping/dayActions';
	import Menu from '../shared/Menu.svelte';
	import { photographAsked } from '../photograph/asked.svelte';
	import { newShot } from '../keeping/newShot';
	import type { Session } from '../keeping/session.svelte';
	import { ARRANGEMENTS, arranged, type Arrangement } from '../keeping/arrangements';

	/** Adds a shot at the end of the day: empty, or from an arrangement. */
	interface Props {
		session: Session;
		/** It is about to be added: whoever types something meanwhile keeps it. */
		onadd: () => void;
	}

	let { session, onadd }: Props = $props();
	const kit = useKit();
	let isOpen = $state(false);

	/** The lens of the kit that is usual for so many people; any if there is none such. */
	function lensFor({ counts, part }: Arrangement, body: Body) {
		const lenses = kit.lensesFor(body);
		const wanted =
			counts.length > 1 || counts[0] === 6
				? LENSES.zoom2470
				: part === 'head-and-shoulders'
					? LENSES.portrait85
					: LENSES.normal50;
		return lenses.find(({ name }) => name === wanted.name) ?? lenses[0] ?? wanted;
	}

	async function add(arrangement: Arrangement | null) {
		isOpen = false;
		const blank = newShot(common.newShot);
		const shot = arrangement ? arranged(arrangement, lensFor(arrangement, blank.body)) : blank;
		onadd();
		await addShot(session, shot);
	}
</script>

<Menu text={say.shot} bind:isOpen>
	{#each ARRANGEMENTS as one (one.key)}
		<DropdownItem onclick={() => add(one)}>{one.title}</DropdownItem>
	{/each}
	<DropdownItem onclick={() => add(null)}>{say.anEmptyStage}</DropdownItem>
	<DropdownItem
		onclick={() => {
			isOpen = false;
			photographAsked.ask('new-shot');
		}}>{common.fromAPhotograph}</DropdownItem
	>
</Menu>

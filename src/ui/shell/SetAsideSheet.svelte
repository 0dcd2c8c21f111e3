<script lang="ts">
	import { setAsideSheetText as say } from '$words/screens/shell';
	import { commonText as common } from '$words/screens/common';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import type { SetAside } from '$data/store/contents';
	import { valueAt, withValueAt } from '$data/mending';
	import { troubleOf } from '$data/store/trouble';
	import { Invalid } from '$data/store/valid';
	import { saveText } from '../browser/saving';
	import type { Session } from '../keeping/session.svelte';

	/** Records that cannot be read: what is wrong with each, to be put right in its place. */
	let { session, open = $bindable() }: { session: Session; open: boolean } = $props();
	const library = $derived(session.library);

	const KIND_WORDS: Readonly<Record<SetAside['table'], string>> = {
		jobs: say.aDay,
		shots: say.aShot,
		bodies: common.aBodyOfTheKit,
		lenses: common.aLensOfTheKit,
		spreads: common.howSteadyYourHandsAre,
		erased: say.whatWasErased
	};
	const NAMES = ['shot.title', 'title', 'body.name', 'lens.name', 'slot.startsAt', 'date'];
	const keyOf = ({ id, table }: SetAside) => `${table} ${id}`;
	const nameOf = ({ raw }: SetAside): string =>
		NAMES.map((path) => valueAt(raw, path)).find((name) => typeof name === 'string') ??
		say.withoutAName;

	/** Records as they were changed here, what is wrong with them now, and what became of it. */
	let changed = $state.raw<Readonly<Record<string, unknown>>>({});
	let problems = $state.raw<Readonly<Record<string, SetAside['problems']>>>({});
	let said = $state('');
	const recordOf = (one: SetAside) => changed[keyOf(one)] ?? one.raw;
	const problemsOf = (one: SetAside) => problems[keyOf(one)] ?? one.problems;

	const shown = (value: unknown): string =>
		typeof value === 'string' ? value : value === undefined ? '' : JSON.stringify(value);
	/** As it is typed: a number, a list, or else words. */
	function typed(text: string): unknown {
		try {
			return JSON.parse(text);
		} catch {
			return text;
		}
	}

	function change(one: SetAside, path: string, value: unknown) {
		changed = { ...changed, [keyOf(one)]: withValueAt(recordOf(one), path, value) };
	}

	async function putBack(one: SetAside) {
		const name = nameOf({ ...one, raw: recordOf(one) });
		try {
			await session.mend(one, recordOf(one));
			said = say.isBack(name);
			if (library.setAside.length === 0) open = false;
		} catch (error) {
			if (error instanceof Invalid) {
				problems = { ...problems, [keyOf(one)]: error.problems };
				said = say.stillCannotBeRead(name, error.message);
			} else said = troubleOf(error) === 'full' ? say.thereIsNoRoomForIt : say.itWasNotKept;
		}
	}

	const save = () =>
		saveText(
			'set-aside.json',
			JSON.stringify(
				library.setAside.map(({ raw }) => raw),
				null,
				'\t'
			)
		);
</script>

<Modal title={say.recordsThatCannotBeRead} size="lg" bind:open>
	<div class="stack">
		<p>
			{say.itStaysAsItIsUntil}
		</p>
		{#each library.setAside as one (keyOf(one))}
			<section>
				<h3>{KIND_WORDS[one.table]}: <bdi>{nameOf(one)}</bdi></h3>
				<ul>
					{#each problemsOf(one) as { path, message } (path)}
						<li>
							<label>
								<span>{message} <code>{path}</code></span>
								<input
									class="typed"
									type="text"
									value={shown(valueAt(recordOf(one), path))}
									onchange={(event) => change(one, path, typed(event.currentTarget.value))}
								/>
							</label>
							<button class="knob" type="button" onclick={() => change(one, path, undefined)}
								>{say.leaveItOut}</button
							>
						</li>
					{/each}
				</ul>
				<Button size="xs" onclick={() => void putBack(one)}>{say.putItBack}</Button>
			</section>
		{/each}
		<p role="status">{said}</p>
		<Button size="xs" color="light" onclick={save}>{say.saveAllOfItToA}</Button>
	</div>
</Modal>

<style>
	.stack,
	section {
		display: flex;
		flex-direction: column;
		gap: 0.5rem;
		align-items: flex-start;
	}
	ul {
		width: 100%;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 0.3rem 0.6rem;
		align-items: end;
	}
	label {
		flex: 1 1 18rem;
		display: flex;
		flex-direction: column;
	}
	code {
		color: var(--ink-2);
		overflow-wrap: anywhere;
	}
</style>

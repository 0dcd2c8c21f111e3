<script lang="ts">
	import { shortcutListText as say } from '$words/screens/shell';
	import { settings } from '../shared/settings.svelte';
	import {
		ACTION_NAMES,
		ACTIONS,
		shortcutKey,
		setKey,
		usualKeys,
		type Action
	} from '../shared/shortcuts';

	/** The single keys: which does what, another one for each, and all of them off. */
	let problem = $state('');

	function take(event: KeyboardEvent, action: Action) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const isCleared = event.key === 'Backspace' || event.key === 'Delete';
		if (!isCleared && ([...event.key].length !== 1 || event.key === ' ')) return;
		event.preventDefault();
		const holder = setKey(action, isCleared ? '' : event.key);
		problem = holder ? say.isAlreadyTheKeyForGive(event.key, ACTIONS[holder].words) : '';
	}
</script>

<label class="all">
	<input
		type="checkbox"
		checked={settings.shortcuts}
		onchange={(event) => settings.set({ shortcuts: event.currentTarget.checked })}
	/>
	{say.singleLetterShortcuts}
</label>
{#if settings.shortcuts}
	<ul>
		{#each ACTION_NAMES as action (action)}
			<li>
				<label>
					<input
						class="typed"
						type="text"
						autocomplete="off"
						readonly
						value={shortcutKey(action)}
						onkeydown={(event) => take(event, action)}
					/>
					{ACTIONS[action].words}
				</label>
			</li>
		{/each}
	</ul>
	<p>
		{say.pressAnotherKeyInAField}
		<button class="knob" type="button" onclick={usualKeys}>{say.backToTheUsualKeys}</button>
	</p>
	{#if problem}<p role="alert">{problem}</p>{/if}
{/if}

<style>
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(12rem, 1fr));
		gap: 0.2rem 1rem;
	}
	label {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		min-height: 2rem;
	}
	input.typed {
		width: 2.5rem;
		text-align: center;
		font-weight: 600;
	}
</style>

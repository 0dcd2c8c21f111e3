<script lang="ts">
	import type { Refusal } from '$core/format/shotFile';
	import { saveShotFile, saveText } from '../browser/saving';
	import type { Trouble } from '$data/store/trouble';
	import type { AutoBackup } from '../keeping/autoBackup.svelte';
	import type { Keeping } from '../keeping/promise.svelte';
	import type { Network } from '../browser/network.svelte';
	import type { PartConflict } from '$data/store/parts';
	import type { Session } from '../keeping/session.svelte';

	/** What must be said plainly: trouble with the store, another window's change, a file that is not ours. */
	interface Props {
		session: Session;
		keeping: Keeping;
		backups: AutoBackup;
		network: Network;
		refusal: Refusal | null;
		onforget: () => void;
		onfiles: () => void;
	}

	let { session, keeping, backups, network, refusal, onforget, onfiles }: Props = $props();
	let isSetAsideSeen = $state(false);
	let isMending = $state(false);
	let isLeftAsleep = $state(false);

	const MOST_SHOWN = 4;

	const TROUBLE_WORDS: Readonly<Record<Trouble, string>> = {
		full: 'This browser’s storage is full: changes are not kept.',
		refused: 'This browser does not let Focalis keep anything: changes are not kept.',
		newer:
			'What this browser keeps was written by a newer Focalis. It is left as it is: reload to get the newer one. Changes here are not kept.',
		silent:
			'This browser’s storage does not answer: what was kept is not shown, changes are not kept.'
	};
	let rawProblem = $state('');
	async function saveRaw() {
		try {
			saveText('everything-kept.json', await session.rawCopy());
		} catch {
			rawProblem = 'It cannot be read just now.';
		}
	}

	const KIND_WORDS: Readonly<Record<PartConflict['kind'], string>> = {
		jobs: 'What is said of this day',
		slots: 'The place of a shot in its day',
		bodies: 'A body of the kit',
		lenses: 'A lens of the kit',
		spreads: 'How steady your hands are'
	};
	const conflictWords = ({ kind, theirs }: PartConflict): string =>
		theirs
			? `${KIND_WORDS[kind]} was changed in another window at the same time.`
			: `${KIND_WORDS[kind]} was taken out in another window.`;
</script>

<div class="notices">
	{#if session.trouble}
		<div class="notice" role="alert">
			<p>
				{TROUBLE_WORDS[session.trouble]}
				You can go on, and save the shot to a file before you close this window.
			</p>
			{#if session.trouble === 'newer'}
				<button class="knob" type="button" onclick={() => void saveRaw()}
					>Save what is there to a file</button
				>
				{#if rawProblem}<span>{rawProblem}</span>{/if}
			{/if}
			{#if session.shot}
				{@const shot = session.shot}
				<button class="knob" type="button" onclick={() => saveShotFile(shot)}>Save to a file</button
				>
				<button class="knob" type="button" onclick={() => void session.flush()}>Try again</button>
			{/if}
		</div>
	{/if}
	{#if session.conflict}
		<div class="notice" role="alert">
			<p>
				{session.conflict.theirs
					? 'This shot was changed in another window meanwhile. Which one shall stand? Undo brings the other back.'
					: 'This shot was thrown away in another window.'}
			</p>
			<button class="knob" type="button" onclick={() => void session.settle('mine')}>Mine</button>
			{#if session.conflict.theirs}
				<button class="knob" type="button" onclick={() => void session.settle('theirs')}
					>The other one</button
				>
			{/if}
		</div>
	{/if}
	{#each session.library.conflicts as conflict (conflict.key)}
		<div class="notice" role="alert">
			<p>{conflictWords(conflict)} Which one shall stand?</p>
			<button
				class="knob"
				type="button"
				onclick={() => void session.library.settle(conflict, 'mine')}>Mine</button
			>
			<button
				class="knob"
				type="button"
				onclick={() => void session.library.settle(conflict, 'theirs')}>The other one</button
			>
		</div>
	{/each}
	{#if session.news}
		<div class="notice" role="status">
			<p>{session.news}</p>
			<button class="knob" type="button" onclick={() => (session.news = null)}>Close</button>
		</div>
	{/if}
	{#if session.outbox.refusal}
		<div class="notice" role="alert">
			<p>That cannot be: {session.outbox.refusal}. Nothing was changed.</p>
			<button class="knob" type="button" onclick={() => (session.outbox.refusal = null)}
				>Close</button
			>
		</div>
	{/if}
	{#if refusal}
		<div class="notice" role="alert">
			<div>
				<p>{refusal.message} Nothing was changed.</p>
				{#if refusal.problems.length > 0}
					<ul>
						{#each refusal.problems.slice(0, MOST_SHOWN) as { path, message }, i (i)}
							<li><code>{path}</code>: {message}</li>
						{/each}
						{#if refusal.problems.length > MOST_SHOWN}
							<li>and {refusal.problems.length - MOST_SHOWN} more</li>
						{/if}
					</ul>
				{/if}
			</div>
			<button class="knob" type="button" onclick={onforget}>Close</button>
		</div>
	{/if}
	{#if network.hasNewVersion}
		<div class="notice" role="status">
			<p>A newer Focalis is here. Your work is kept.</p>
			<button
				class="knob"
				type="button"
				onclick={() => void session.flush().then(() => network.takeOver())}>Use it now</button
			>
		</div>
	{/if}
	{#if backups.isAsleep && keeping.isUnsaved && !isLeftAsleep}
		<div class="notice" role="status">
			<p>
				Backups into “<bdi>{backups.folderName}</bdi>” wait: the browser wants to be asked again
				first.
			</p>
			<button class="knob" type="button" onclick={() => void backups.wake()}>Ask the browser</button
			>
			<button class="knob" type="button" onclick={() => (isLeftAsleep = true)}>Not now</button>
		</div>
	{:else if backups.problem && !backups.isAsleep}
		<div class="notice" role="alert">
			<p>
				The backup into “<bdi>{backups.folderName}</bdi>” was not written. {backups.problem} It is tried
				again.
			</p>
			<button class="knob" type="button" onclick={onfiles}>Look at it…</button>
		</div>
	{/if}
	{#if keeping.isBackupDue}
		<div class="notice" role="status">
			<p>A day’s work is in this browser alone. A backup file keeps it safe elsewhere, too.</p>
			<button class="knob" type="button" onclick={onfiles}>Back up…</button>
			<button class="knob" type="button" onclick={() => keeping.notNow()}>Not now</button>
		</div>
	{/if}
	{#if session.library.setAside.length > 0 && !isSetAsideSeen}
		<div class="notice" role="alert">
			<p>
				{session.library.setAside.length === 1
					? 'One record'
					: `${session.library.setAside.length} records`} in this browser cannot be read ({session
					.library.setAside[0]?.problems[0]?.path}: {session.library.setAside[0]?.problems[0]
					?.message}). It is left as it is, and everything else works.
			</p>
			<button class="knob" type="button" onclick={() => (isMending = true)}>Look at it…</button>
			<button class="knob" type="button" onclick={() => (isSetAsideSeen = true)}>Close</button>
		</div>
	{/if}
</div>

{#if isMending}
	{#await import('./SetAsideSheet.svelte') then { default: SetAsideSheet }}
		<SetAsideSheet {session} bind:open={isMending} />
	{/await}
{/if}

<style>
	.notice {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
		padding: 0.4rem 1.25rem;
		background: var(--warn);
		border-bottom: 1px solid var(--edge);
	}
	.notice > :first-child {
		flex: 1 1 20rem;
	}
	ul {
		list-style: disc;
		padding-left: 1.2rem;
	}
</style>

<script lang="ts">
	import { noticesText as say } from '$words/screens/shell';
	import { commonText as common } from '$words/screens/common';
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
		full: say.thisBrowsersStorageIsFullChanges,
		refused: say.thisBrowserDoesNotLetFocalis,
		newer: say.theWorkInThisBrowserWas,
		silent: say.thisBrowsersStorageIsNotAnswering
	};
	let rawProblem = $state('');
	async function saveRaw() {
		try {
			saveText('everything-kept.json', await session.rawCopy());
		} catch {
			rawProblem = say.itCannotBeReadJustNow;
		}
	}

	const KIND_WORDS: Readonly<Record<PartConflict['kind'], string>> = {
		jobs: say.whatThisDaySays,
		slots: say.thePlaceOfAShotIn,
		bodies: common.aBodyOfTheKit,
		lenses: common.aLensOfTheKit,
		spreads: common.howSteadyYourHandsAre
	};
	const conflictWords = ({ kind, theirs }: PartConflict): string =>
		theirs
			? say.wasChangedInAnotherWindowAt(KIND_WORDS[kind])
			: say.wasRemovedInAnotherWindow(KIND_WORDS[kind]);
</script>

<div class="notices">
	{#if session.trouble}
		<div class="notice" role="alert">
			<p>
				{say.youCanGoOnAndSave(TROUBLE_WORDS[session.trouble])}
			</p>
			{#if session.trouble === 'newer'}
				<button class="knob" type="button" onclick={() => void saveRaw()}
					>{say.saveEverythingToAFile}</button
				>
				{#if rawProblem}<span>{rawProblem}</span>{/if}
			{/if}
			{#if session.shot}
				{@const shot = session.shot}
				<button class="knob" type="button" onclick={() => saveShotFile(shot)}
					>{common.saveToAFile}</button
				>
				<button class="knob" type="button" onclick={() => void session.flush()}
					>{common.tryAgain}</button
				>
			{/if}
		</div>
	{/if}
	{#if session.conflict}
		<div class="notice" role="alert">
			<p>
				{session.conflict.theirs ? say.thisShotWasAlsoChangedIn : say.thisShotWasRemovedInAnother}
			</p>
			<button class="knob" type="button" onclick={() => void session.settle('mine')}
				>{say.mine}</button
			>
			{#if session.conflict.theirs}
				<button class="knob" type="button" onclick={() => void session.settle('theirs')}
					>{say.theOtherOne}</button
				>
			{/if}
		</div>
	{/if}
	{#each session.library.conflicts as conflict (conflict.key)}
		<div class="notice" role="alert">
			<p>{say.whichOneDoYouWantTo(conflictWords(conflict))}</p>
			<button
				class="knob"
				type="button"
				onclick={() => void session.library.settle(conflict, 'mine')}>{say.mine}</button
			>
			<button
				class="knob"
				type="button"
				onclick={() => void session.library.settle(conflict, 'theirs')}>{say.theOtherOne}</button
			>
		</div>
	{/each}
	{#if session.news}
		<div class="notice" role="status">
			<p>{session.news}</p>
			<button class="knob" type="button" onclick={() => (session.news = null)}
				>{common.close}</button
			>
		</div>
	{/if}
	{#if session.outbox.refusal}
		<div class="notice" role="alert">
			<p>{say.thatIsNotPossibleNothingWas(session.outbox.refusal)}</p>
			<button class="knob" type="button" onclick={() => (session.outbox.refusal = null)}
				>{common.close}</button
			>
		</div>
	{/if}
	{#if refusal}
		<div class="notice" role="alert">
			<div>
				<p>{say.nothingWasChanged(refusal.message)}</p>
				{#if refusal.problems.length > 0}
					<ul>
						{#each refusal.problems.slice(0, MOST_SHOWN) as { path, message }, i (i)}
							<li><code>{path}</code>: {message}</li>
						{/each}
						{#if refusal.problems.length > MOST_SHOWN}
							<li>{say.andMore(refusal.problems.length - MOST_SHOWN)}</li>
						{/if}
					</ul>
				{/if}
			</div>
			<button class="knob" type="button" onclick={onforget}>{common.close}</button>
		</div>
	{/if}
	{#if network.hasNewVersion}
		<div class="notice" role="status">
			<p>{say.aNewerVersionOfFocalisIs}</p>
			<button
				class="knob"
				type="button"
				onclick={() => void session.flush().then(() => network.takeOver())}>{say.useItNow}</button
			>
		</div>
	{/if}
	{#if backups.isAsleep && keeping.isUnsaved && !isLeftAsleep}
		<div class="notice" role="status">
			<p>
				{common.backupsInto}<bdi>{backups.folderName}</bdi>{common.areWaitingTheBrowserNeedsYour}
			</p>
			<button class="knob" type="button" onclick={() => void backups.wake()}
				>{common.askTheBrowser}</button
			>
			<button class="knob" type="button" onclick={() => (isLeftAsleep = true)}>{say.notNow}</button>
		</div>
	{:else if backups.problem && !backups.isAsleep}
		<div class="notice" role="alert">
			<p>
				{say.theBackupInto}<bdi>{backups.folderName}</bdi>{say.wasNotWrittenFocalisWillTry(
					backups.problem
				)}
			</p>
			<button class="knob" type="button" onclick={onfiles}>{say.lookAtIt}</button>
		</div>
	{/if}
	{#if keeping.isBackupDue}
		<div class="notice" role="status">
			<p>{say.aDaysWorkIsOnlyIn}</p>
			<button class="knob" type="button" onclick={onfiles}>{say.backUp}</button>
			<button class="knob" type="button" onclick={() => keeping.notNow()}>{say.notNow}</button>
		</div>
	{/if}
	{#if session.library.setAside.length > 0 && !isSetAsideSeen}
		<div class="notice" role="alert">
			<p>
				{say.inThisBrowserCannotBeRead(
					session.library.setAside.length === 1
						? say.oneRecord
						: say.records(session.library.setAside.length),
					session.library.setAside[0]?.problems[0]?.path ?? '',
					session.library.setAside[0]?.problems[0]?.message ?? ''
				)}
			</p>
			<button class="knob" type="button" onclick={() => (isMending = true)}>{say.lookAtIt}</button>
			<button class="knob" type="button" onclick={() => (isSetAsideSeen = true)}
				>{common.close}</button
			>
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

<script lang="ts">
	import { jobHeadText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
	import { JOB_LIMITS } from '$core/format/job';
	import type { Job } from '$data/store/database';
	import type { DayView } from './day.svelte';
	import { weekday } from '$words/day';
	import JobsMenu from './JobsMenu.svelte';

	/** What the day is: title, date, place, notes; and how far it has come. */
	let { day }: { day: DayView } = $props();

	const job = $derived(day.job);
	const count = (status: string) => day.shots.filter(({ slot }) => slot.status === status).length;
	const progress = $derived.by(() => {
		const of = day.shots.length;
		if (of === 0) return say.noShotsYet;
		const skipped = count('skipped');
		const rest = skipped > 0 ? say.skipped(skipped) : '';
		return say.ofTaken(count('taken'), of, rest);
	});

	let gesture = '';
	const begin = () => (gesture = crypto.randomUUID());
	const change = (part: Partial<Job>, what: string) =>
		day.changeJob(part, say.theOfTheDay(what), gesture);
</script>

<header>
	<div class="title">
		<h1 class="sr-only">{job.title}</h1>
		<input
			class="name"
			type="text"
			aria-label={say.titleOfTheDay}
			maxlength={JOB_LIMITS.title}
			value={job.title}
			onfocus={begin}
			oninput={(event) => {
				const title = event.currentTarget.value;
				if (title.trim()) change({ title }, 'title');
			}}
		/>
		<JobsMenu {day} />
	</div>
	<p class="facts">
		<input
			type="date"
			aria-label={say.dateOfTheDay}
			value={job.date}
			onfocus={begin}
			oninput={(event) => {
				const date = event.currentTarget.value;
				if (/^\d{4}-\d{2}-\d{2}$/.test(date)) day.moveToDate(date, gesture);
			}}
		/>
		<span class="long">{weekday(job.date)}</span>
		<input
			class="place"
			type="text"
			aria-label={say.placeOfTheDay}
			placeholder={say.place}
			maxlength={JOB_LIMITS.place}
			value={job.place}
			onfocus={begin}
			oninput={(event) => change({ place: event.currentTarget.value }, 'place')}
		/>
		<span class="progress">{progress}</span>
	</p>
	<textarea
		rows="1"
		aria-label={say.notesOfTheDay}
		placeholder={common.notes}
		maxlength={JOB_LIMITS.notes}
		value={job.notes}
		onfocus={begin}
		oninput={(event) => change({ notes: event.currentTarget.value }, 'notes')}></textarea>
</header>

<style>
	header {
		display: flex;
		flex-direction: column;
		gap: 0.15rem;
	}
	.title {
		display: flex;
		gap: 0.8rem;
		align-items: center;
	}
	input,
	textarea {
		background: none;
		border: 1px solid transparent;
		border-radius: 3px;
		padding: 0.1rem 0.3rem;
		margin-left: -0.3rem;
		color: var(--ink);
		font-size: inherit;
	}
	input:hover,
	textarea:hover,
	input:focus,
	textarea:focus {
		border-color: var(--edge);
		background: var(--sheet);
	}
	.name {
		flex: 1;
		min-width: 0;
		font-size: 1.7rem;
		font-family: var(--font-serif);
		font-weight: 600;
	}
	.facts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 0.9rem;
		align-items: center;
		color: var(--ink-2);
	}
	.place {
		flex: 1 1 12rem;
	}
	textarea {
		field-sizing: content;
		max-height: 6rem;
		color: var(--ink-2);
		resize: none;
	}
	@media (max-width: 45rem) {
		.name {
			font-size: 1.3rem;
		}
		.long {
			display: none;
		}
	}
</style>

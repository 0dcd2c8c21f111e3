import { jobFilesText as say } from '$words/screens/files/out';
import { commonText as common } from '$words/screens/common';
import type { JobFile } from '$core/format/job';
import { writeJobText } from '$core/format/openedFile';
import { writeShotText } from '$core/format/shotFile';
import {
	NOTHING_WITHHELD,
	shotWithholding,
	withholding,
	type Withheld
} from '$core/format/withheld';
import { solve } from '$core/study/plan';
import { asksForSomething } from '$core/study/study';
import { chanceOf } from '$core/odds/chanceOf';
import { lookAt } from '$core/study/scene';
import { drawableOf } from '../../drawing/drawable';
import { jobFileOf, kitOfFile } from '$data/jobFile';
import type { CardPaper } from '$files/out/paper/cardsPdf';
import { pocketFile } from '$files/out/pocket';
import type { PrintedCard } from '$files/out/printed';
import { cardsAsPdf } from '../../../workers/cards';
import type { Kit } from '../../kit/kit.svelte';
import { verdictWords } from '$words/day';
import {
	fileName,
	saveBlob,
	savedWords,
	saveText,
	writeFile,
	type Saved
} from '../../browser/saving';
import type { Session } from '../../keeping/session.svelte';
import { backupName, backupNow } from '../../keeping/backupNow';
import { settings } from '../../shared/settings.svelte';
import { pictured, printedCard } from './printedCards';
import { printPage } from '../../browser/printPage';
import { pngOfSvg, stageSvg } from './stageDrawing';

/** What is done at the moment, or was done last. */
export interface Report {
	readonly text: string;
	/** From 0 to 1; null when nothing is being done. */
	readonly share: number | null;
}

/** Files of the open job and of everything, without what is to be left out. */
export class JobFiles {
	withheld = $state.raw<Withheld>(NOTHING_WITHHELD);
	paper = $state<CardPaper>('A4');
	report = $state.raw<Report>({ text: '', share: null });
	readonly #session: Session;
	readonly #kit: Kit;

	constructor(session: Session, kit: Kit) {
		this.#session = session;
		this.#kit = kit;
	}

	get isBusy(): boolean {
		return this.report.share !== null;
	}
	/** The time zone that the times of the job are of. */
	get zone(): string {
		return this.#session.job?.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
	}

	/** The job as it goes out. */
	#job(): JobFile {
		const { job, jobShots } = this.#session;
		if (!job) throw new Error(common.noJobIsOpen);
		return withholding(jobFileOf(job, jobShots, kitOfFile(this.#kit.contents)), this.withheld);
	}

	saveJob = () =>
		this.#making(say.theDay, () => {
			const job = this.#job();
			return this.#save(`${fileName(job.title)}.focalis-job.json`, writeJobText(job));
		});

	saveList = () =>
		this.#making(say.theShotList, async () => {
			const { writeShotList } = await import('$files/out/shotList');
			const job = this.#job();
			return this.#save(`${fileName(job.title)}.csv`, writeShotList(job), 'text/csv');
		});

	saveCalendar = () =>
		this.#making(say.theSchedule, async () => {
			const { writeCalendar } = await import('$files/out/calendar');
			const job = this.#job();
			const describe = (id: string) => {
				const shot = job.shots.find((one) => one.id === id)?.shot;
				if (!shot || !asksForSomething(shot)) return '';
				return verdictWords(solve(shot, chanceOf(this.#kit.contents.spreads)), settings.units);
			};
			const text = writeCalendar(job, this.zone, describe, Date.now());
			return this.#save(`${fileName(job.title)}.ics`, text, 'text/calendar');
		});

	saveCards = () =>
		this.#making(say.theCards, async () => {
			const job = this.#job();
			const bytes = await cardsAsPdf(job.title, await this.#cards(job), this.paper);
			const pdf = new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/pdf' });
			return this.#saveBlob(`${fileName(job.title)}-cards.pdf`, pdf);
		});

	printCards = () =>
		this.#making(say.theCards, async () => {
			const job = this.#job();
			await printPage(pocketFile(job, await this.#cards(job)));
			return say.theCardsWentToThePrinters;
		});

	savePocket = () =>
		this.#making(say.thePocketFile, async () => {
			const job = this.#job();
			const page = pocketFile(job, await this.#cards(job));
			return this.#save(`${fileName(job.title)}.html`, page, 'text/html');
		});

	saveShot = () =>
		this.#making(say.theShot, () => {
			const shot = shotWithholding(this.#shot(), this.withheld);
			return this.#save(`${fileName(shot.title)}.focalis.json`, writeShotText(shot));
		});

	saveStage = (kind: 'svg' | 'png') =>
		this.#making(say.theStage, async () => {
			const shot = shotWithholding(this.#shot(), this.withheld);
			const outcome = asksForSomething(shot)
				? drawableOf(solve(shot, chanceOf(this.#kit.contents.spreads)))
				: { scene: lookAt(shot), plan: null, take: null };
			const svg = stageSvg(outcome, settings.units, shot.title);
			const name = `${fileName(shot.title)}-stage.${kind}`;
			if (kind === 'svg') return this.#save(name, svg, 'image/svg+xml');
			return this.#saveBlob(name, await pngOfSvg(svg));
		});

	/** Everything of this device. What became of the file; null when it could not be made. */
	async saveBackup(): Promise<Saved | null> {
		let saved: Saved | null = null;
		const name = backupName();
		await this.#making(say.theBackup, async () => {
			const pieces = await backupNow(this.#session.library);
			saved = await writeFile(name, () =>
				new Blob([...pieces], { type: 'application/json' }).stream()
			);
			return savedWords(saved, name);
		});
		return saved;
	}

	#shot() {
		const { shot } = this.#session;
		if (!shot) throw new Error(common.noShotIsOpen);
		return shot;
	}

	async #cards({ shots }: JobFile): Promise<PrintedCard[]> {
		const cards: PrintedCard[] = [];
		const { spreads } = this.#kit.contents;
		let hasPictures = true;
		for (const one of shots) {
			this.report = { ...this.report, share: cards.length / shots.length };
			// so that the page stays alive between two cards
			await new Promise((resolve) => setTimeout(resolve));
			const card = printedCard(one, spreads, settings.units);
			cards.push(
				hasPictures
					? await pictured(card, one, spreads).catch(() => {
							hasPictures = false;
							return card;
						})
					: card
			);
		}
		return cards;
	}

	async #making(what: string, make: () => string | Promise<string>): Promise<boolean> {
		if (this.isBusy) return false;
		this.report = { text: say.making(what), share: 0 };
		try {
			this.report = { text: await make(), share: null };
			return true;
		} catch (error) {
			const why = error instanceof Error ? error.message : 'unknown';
			this.report = { text: say.thatDidNotWorkNothingWas(why), share: null };
			return false;
		}
	}

	#save(name: string, text: string, type?: string): string {
		saveText(name, text, type);
		return say.savedAs(name);
	}

	#saveBlob(name: string, blob: Blob): string {
		saveBlob(name, blob);
		return say.savedAs(name);
	}
}

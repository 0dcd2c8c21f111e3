import { STATE_MARKS } from '$words/states';
import type { JobFile } from '$core/format/job';
import type { Setting } from '../../words/card';
import type { PrintedCard } from './printed';
import { frameSvg, plain } from './svg';

/**
 * A job as one page that needs no network and no script: to be kept on a phone, or printed four
 * cards to a sheet.
 */

const STYLE = `
:root{color-scheme:light dark;--paper:#f5f0e5;--ink:#1b2a41;--soft:#55606f;--rule:#c9c1b0;--mark:#a83a26}
@media (prefers-color-scheme:dark){:root{--paper:#17140f;--ink:#f0e6d6;--soft:#b5a992;--rule:#453d30;--mark:#f08a6c}svg{filter:brightness(.75)}}
*{box-sizing:border-box;margin:0}
body{background:var(--paper);color:var(--ink);font:1.05rem/1.4 system-ui,sans-serif;padding:1rem;max-width:44rem;margin:0 auto}
h1{font:600 1.7rem/1.15 serif}h2{font:600 1.5rem/1.15 serif}
header p,.when,dt,caption{color:var(--soft)}
nav ol{padding:.6rem 0;list-style:none}nav a{display:block;padding:.5rem 0;color:inherit;border-bottom:1px solid var(--rule)}
article{border-top:3px solid var(--ink);padding:.8rem 0 1.6rem}
.focus{font:600 1.4rem/1.2 serif}.where{font-size:1.2rem}
.big{display:flex;flex-wrap:wrap;gap:.2rem 1.3rem;padding:.3rem 0}.big dd{font-weight:700;font-size:2.1rem;line-height:1.1}.big div:first-child dd{color:var(--mark)}
svg{display:block;max-width:100%;max-height:15rem;margin:.5rem 0;border:1px solid var(--ink)}
.facts{display:grid;grid-template-columns:auto 1fr;gap:.15rem .8rem;padding:.4rem 0}
div{overflow-x:auto}table{border-collapse:collapse;margin:.5rem 0;font-size:.9rem;white-space:nowrap;font-variant-numeric:tabular-nums}caption{text-align:left;white-space:normal}
th,td{border:1px solid var(--rule);padding:.2rem .35rem;text-align:left}th{font-weight:400;color:var(--soft)}.pick{font-weight:700;outline:2px solid var(--mark)}
.cautions{color:var(--soft);font-size:.95rem;padding-left:1.1rem}
@media print{:root{--paper:#fff;--ink:#000;--soft:#444;--rule:#bbb}nav,header{display:none}body{padding:0;max-width:none;font-size:7.5pt;display:grid;grid-template-columns:1fr 1fr;gap:6mm}article{break-inside:avoid;height:128mm;overflow:hidden;padding:2mm 0}h2{font-size:12pt}.focus{font-size:11pt}.where{font-size:9pt}.big dd{font-size:15pt}svg{max-height:32mm;margin:1mm 0}table{display:none}}
@page{margin:12mm}
`;

const pairs = (
	settings: readonly Setting[],
	one: (term: string, value: string) => string
): string => settings.map(({ label, value }) => one(plain(label), plain(value))).join('');

/** The page of a job's cards. */
export function pocketFile({ title, date, place }: JobFile, cards: readonly PrintedCard[]): string {
	const places = [date, place].filter(Boolean).map(plain).join(', ');
	return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'">
<title>${plain(title)}</title><style>${STYLE}</style></head><body>
<header><h1><bdi>${plain(title)}</bdi></h1><p><bdi>${places}</bdi></p></header>
<nav aria-label="Cards"><ol>${cards
		.map(
			(card, i) =>
				`<li><a href="#card-${i + 1}"><bdi>${plain(card.when)}</bdi> <strong><bdi>${plain(card.title)}</bdi></strong></a></li>`
		)
		.join('')}</ol></nav>
<main style="display:contents">${cards.map(article).join('\n')}</main>
</body></html>
`;
}

function article(card: PrintedCard, index: number): string {
	const { title, when, notes, taken, content, frame } = card;
	const head = `<h2><bdi>${plain(title)}</bdi></h2><p class="when">${index + 1}. <bdi>${plain(when)}</bdi></p>`;
	if (!content) {
		return `<article id="card-${index + 1}">${head}<p>Nothing in it is meant to be sharp.</p></article>`;
	}
	const facts = [
		...content.facts,
		...(content.checks.length > 0 ? [{ label: 'look at', value: content.checks.join(', ') }] : []),
		...(taken ? [{ label: 'taken', value: taken }] : []),
		...(notes ? [{ label: 'note', value: notes }] : [])
	];
	const cautions = content.cautions.map((text) => `<li>${plain(text)}</li>`).join('');
	return [
		`<article id="card-${index + 1}">${head}`,
		content.focusOn
			? `<p class="focus">${STATE_MARKS[content.state]} <bdi>${plain(content.focusOn)}</bdi></p><p class="where">${plain(content.where)}</p>`
			: '',
		`<dl class="big">${pairs(content.settings, (term, value) => `<div><dt>${term}</dt><dd>${value}</dd></div>`)}</dl>`,
		`<p>${plain(content.sentences.join(' '))}</p>`,
		frame ? frameSvg(frame, `The frame; a ring around ${content.focusOn || 'nothing'}`) : '',
		`<dl class="facts">${pairs(facts, (term, value) => `<dt>${term}</dt><dd><bdi>${value}</bdi></dd>`)}</dl>`,
		ladder(card),
		different(card),
		cautions ? `<ul class="cautions">${cautions}</ul>` : '',
		'</article>'
	].join('');
}

function ladder({ ladder: rungs }: PrintedCard): string {
	if (rungs.length === 0) return '';
	const cells = (cell: (rung: PrintedCard['ladder'][number]) => string) =>
		rungs
			.map((rung) => `<td${rung.isPick ? ' class="pick"' : ''}>${plain(cell(rung))}</td>`)
			.join('');
	return `<div><table><caption>Faces that hold at each f-number</caption><tr>${cells(({ fNumber }) => fNumber)}</tr><tr>${cells(({ held }) => held)}</tr></table></div>`;
}

function different({ different: table }: PrintedCard): string {
	if (!table) return '';
	const head = table.distances.map((text) => `<th scope="col">${plain(text)}</th>`).join('');
	const rows = table.rows.map(({ depth, outlooks }) => {
		const cells = outlooks.map(({ fNumber, focusOn, feasible }) => {
			const who = focusOn ? `<br><bdi>${plain(focusOn)}</bdi>` : '';
			return `<td>${STATE_MARKS[feasible ? 'sharp' : 'soft']} ${plain(fNumber || 'nothing')}${who}</td>`;
		});
		return `<tr><th scope="row">${plain(depth)}</th>${cells.join('')}</tr>`;
	});
	return `<div><table><caption>If it turns out different: how far away, and how deep the group. ● holds, ○ does not</caption><tr><td></td>${head}</tr>${rows.join('')}</table></div>`;
}

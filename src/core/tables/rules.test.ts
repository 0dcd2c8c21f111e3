import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { RULE_TABLE, RULES, type RuleName } from './rules';

const model = readFileSync('docs/model.md', 'utf8');

/** Text of each numbered section of the model, its lines run together. */
const sections = new Map(
	[...model.matchAll(/^## (\d+) [^\n]*\n([\s\S]*?)(?=^## |$(?![\s\S]))/gm)].map(
		([, number, text = '']) => [Number(number), text.replace(/\s+/g, ' ')]
	)
);

/** How a value may be written in the document. */
const written: Partial<Record<RuleName, string>> = {
	nearEyeTieM: '1e-9',
	keyTieRatio: '1e-9',
	marginalRatio: '2^0.5',
	keyPreferredFactor: '2^(1/6)',
	hiddenThingShare: 'half',
	hiddenRecognisableShare: 'fifth',
	groupShutterS: '1/100',
	groupPreferredShutterS: '1/160',
	slowestByHandS: '1/30',
	flashS: '1/1000',
	fewPeople: 'two',
	groupPeople: 'nine',
	groupFrom: 'three',
	blackRoomStops: 'Five',
	leanSpreadShare: '/ 10',
	stretchedShare: '15 %'
};

describe('rules', () => {
	it.each(Object.entries(RULE_TABLE))('%s is what docs/model.md says', (name, rule) => {
		expect(sections.get(rule.section)).toContain(rule.stated);
		expect(rule.stated).toContain(written[name as RuleName] ?? String(rule.value));
	});

	// the values of the document once more, as numbers: a change of the table alone is noticed
	it.each([
		['nearEyeTieM', 1e-9],
		['keyTieRatio', 1e-9],
		['marginalRatio', Math.sqrt(2)],
		['keyPreferredFactor', 2 ** (1 / 6)],
		['hiddenThingShare', 1 / 2],
		['hiddenRecognisableShare', 1 / 5],
		['groupShutterS', 1 / 100],
		['groupPreferredShutterS', 1 / 160],
		['slowestByHandS', 1 / 30],
		['flashS', 1 / 1000],
		['fewPeople', 2],
		['groupPeople', 9],
		['groupFrom', 3],
		['blackRoomStops', 5],
		['leanSpreadShare', 1 / 10],
		['stretchedShare', 15 / 100]
	] as const)('%s, which the document spells out, is %d', (name, value) => {
		expect(RULES[name]).toBeCloseTo(value, 12);
	});
});

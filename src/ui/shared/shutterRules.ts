import type { Shot } from '$core/format/shot';

/** Ways to choose the shutter, as one of a few words. */

type ShutterRule = Shot['choices']['shutterRule'];

export const SHUTTER_RULES = [
	{ value: 'computed', text: 'by what it spoils' },
	{ value: '1', text: '1 over the focal length' },
	{ value: '2', text: '1 over twice that' }
] as const;

export type RuleValue = (typeof SHUTTER_RULES)[number]['value'];

export const ruleValue = (rule: ShutterRule): RuleValue => String(rule) as RuleValue;

export const ruleOf = (value: RuleValue): ShutterRule =>
	value === 'computed' ? value : value === '2' ? 2 : 1;

import type { Shot } from '$core/format/shot';

/** Ways to choose the shutter, as one of a few words. */

type ShutterRule = Shot['choices']['shutterRule'];

export const SHUTTER_RULES = [
	{ value: 'computed', text: 'by what it spoils' },
	{ value: '1', text: '1 over the focal length' },
	{ value: '2', text: '1 over twice that' }
] as const;

type Value = (typeof SHUTTER_RULES)[number]['value'];

export const ruleValue = (rule: ShutterRule): Value => String(rule) as Value;

export const ruleOf = (value: Value): ShutterRule =>
	value === 'computed' ? value : value === '2' ? 2 : 1;

import { shutterRulesText as say } from '$words/screens/shared';
import type { Shot } from '$core/format/shot';

/** Ways to choose the shutter, as one of a few words. */

type ShutterRule = Shot['choices']['shutterRule'];

export const SHUTTER_RULES = [
	{ value: 'computed', text: say.byWhatWouldBlur },
	{ value: '1', text: say.n1OverTheFocalLength },
	{ value: '2', text: say.n1OverTwiceThat }
] as const;

export type RuleValue = (typeof SHUTTER_RULES)[number]['value'];

export const ruleValue = (rule: ShutterRule): RuleValue => String(rule) as RuleValue;

export const ruleOf = (value: RuleValue): ShutterRule =>
	value === 'computed' ? value : value === '2' ? 2 : 1;

import type { Camera } from '$core/format/shot';

/** The words of the shot file as a photographer says them. */

export const NEED_OPTIONS = [
	{ value: 'key', text: 'comes first' },
	{ value: 'sharp', text: 'sharp' },
	{ value: 'soft', text: 'may be soft' },
	{ value: 'free', text: 'does not matter' }
] as const;

export const KEEP_OPTIONS = [
	{ value: 'near-eye', text: 'the near eye' },
	{ value: 'both-eyes', text: 'both eyes' },
	{ value: 'face', text: 'the whole face' }
] as const;

export const BUILD_OPTIONS = [
	{ value: 'adult', text: 'adult' },
	{ value: 'child', text: 'child' },
	{ value: 'infant', text: 'infant' },
	{ value: 'cat', text: 'cat' },
	{ value: 'dog', text: 'dog' }
] as const;

export const MOTION_OPTIONS = [
	{ value: 'still', text: 'keeps still' },
	{ value: 'restless', text: 'is restless' },
	{ value: 'walking', text: 'walks' }
] as const;

/** Places that the picture can show around them. */
export const PLACE_OPTIONS = [
	{ value: 'plain', text: 'a plain floor' },
	{ value: 'arcade', text: 'an arcade' },
	{ value: 'steps', text: 'stone steps' },
	{ value: 'quay', text: 'a quay' },
	{ value: 'hall', text: 'a hall' },
	{ value: 'window', text: 'a room with a window' }
] as const;

export const INTENT_OPTIONS = [
	{ value: 'sharp', text: 'sharp' },
	{ value: 'readable', text: 'readable' },
	{ value: 'recognisable', text: 'recognisable' },
	{ value: 'dissolved', text: 'dissolved' },
	{ value: 'any', text: 'as it comes' }
] as const;

/** What is asked of the background as a whole. */
export const BACKGROUND_OPTIONS = [
	{ value: 'dissolved', text: 'melts away' },
	{ value: 'recognisable', text: 'soft but known' },
	{ value: 'readable', text: 'clear' }
] as const;

export const LOOK_OPTIONS = [
	{ value: 'bars', text: 'pattern or lettering' },
	{ value: 'lights', text: 'lights' },
	{ value: 'foliage', text: 'leaves' },
	{ value: 'wall', text: 'wall or cloth' },
	{ value: 'window', text: 'window' },
	{ value: 'object', text: 'held object' },
	{ value: 'crowd', text: 'crowd' }
] as const;

export const SUPPORT_OPTIONS = [
	{ value: 'handheld', text: 'in the hand' },
	{ value: 'braced', text: 'leaning on something' },
	{ value: 'kneeling', text: 'kneeling' },
	{ value: 'monopod', text: 'monopod' },
	{ value: 'tripod', text: 'tripod' }
] as const;

export const ORIENTATION_OPTIONS = [
	{ value: 'landscape', text: 'across' },
	{ value: 'portrait', text: 'upright' }
] as const;

export const supportWords = (support: Camera['support']): string =>
	SUPPORT_OPTIONS.find(({ value }) => value === support)?.text ?? support;

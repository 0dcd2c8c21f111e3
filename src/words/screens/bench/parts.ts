import type { Shown } from '../shown';

export const framesInText = {
	clear: 'Clear',
	chooseFramesOf: (n: Shown) => `Choose frames of ${n}`,
	measuring: (n: Shown) => `Measuring ${n}`,
	measured: (measured: Shown) => `${measured} measured`,
	n1FrameIs: '1 frame is',
	framesAre: (measured: Shown) => `${measured} frames are`,
	measured2: (framesAre: Shown) => `${framesAre} measured.`,
	skipped: (passedOver: Shown) => `${passedOver} skipped`
} as const;

export const howToText = {
	whatUsuallyGoesWrong: (mistakes: Shown) => `What usually goes wrong: ${mistakes}`
} as const;

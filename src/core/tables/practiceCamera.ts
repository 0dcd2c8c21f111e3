/** What the practice camera writes as its maker: frames of it say nothing of anybody's own hands and lenses. */
export const PRACTICE_MAKER = 'Focalis practice camera';

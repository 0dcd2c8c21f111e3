export const reviewText = {
	asTaken: 'as taken',
	bestFirst: 'best first',
	inNoneOfTheDaysShots: 'In none of the day’s shots',
	notMeasuredYet: 'Not measured yet',
	noMark: 'no mark',
	anotherFavourite: 'another favourite',
	noFavourite: 'no favourite',
	movedToAnotherShot: 'moved to another shot'
} as const;

export const planScreenText = {
	aboutLightFramingLensesSharpFor: 'about, light, framing, lenses, sharp for'
} as const;

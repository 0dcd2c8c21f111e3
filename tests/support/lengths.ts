/**
 * The lengths of a text that are told in metres, centimetres or millimetres. Focal lengths and sides of
 * a sensor are told in millimetres by everybody and are no such lengths.
 */
export function metricLengths(text: string): string[] {
	const optics = [
		/\b\d+(?:[.,]\d+)?(?:\s*[–-]\s*\d+(?:[.,]\d+)?)? mm f\/[\d.–-]+/g,
		/\b(?:[Aa]t|to|about) \d+(?:\.\d+)? mm\b/g,
		/\b\d+(?:\.\d+)? × \d+(?:\.\d+)? mm\b/g
	];
	const rest = optics.reduce((left, one) => left.replace(one, ''), text);
	return [...rest.matchAll(/\d(?:[\d.,]*\d)?\s(?:m|cm|mm)\b/g)].map(([found]) => found);
}

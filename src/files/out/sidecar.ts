import type { Judgement } from '$core/format/review';

/**
 * Sidecars of photographs: what was said of a frame, as other programs read it. Source: ISO 16684-1, "Extensible metadata
 * platform (XMP) specification"; the names of its schemas are its own.
 */

export const RDF = 'http://www.w3.org/1999/02/22-rdf-syntax-ns#';
export const XMP = 'http://ns.adobe.com/xap/1.0/';
export const DC = 'http://purl.org/dc/elements/1.1/';
const PACKET = 'W5M0MpCehiHzreSzNTczkc9d';

/** What is written of a frame. */
export interface SidecarFacts {
	/** -1 rejected, 0 none, to 5; null leaves what there is. */
	readonly rating: number | null;
	readonly label: string | null;
	/** What is in focus, and why the frame is good or not. */
	readonly description: string;
}

/** Our own line of a description begins so, and is put in the place of an older one. */
export const OWN_LINE = 'In focus: ';

const RATINGS = { keep: 4, maybe: 2, drop: -1 } as const;
const FAVOURITE_STARS = 5;
const LABELS = { keep: 'Keep', maybe: 'Maybe', drop: 'Drop' } as const;

/** Rating and label of what somebody said. */
export const ratingOf = ({ mark, isFavourite }: Judgement): number | null =>
	isFavourite ? FAVOURITE_STARS : mark && RATINGS[mark];
export const labelOf = ({ mark }: Judgement): string | null => mark && LABELS[mark];

/** Letters that XML has no place for are left out. */
const NOT_XML =
	// eslint-disable-next-line no-control-regex -- these are the very letters
	/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;

export const asXml = (text: string): string =>
	text
		.replace(NOT_XML, '')
		.replaceAll('&', '&amp;')
		.replaceAll('<', '&lt;')
		.replaceAll('>', '&gt;')
		.replaceAll('"', '&quot;');

/** A sidecar where there was none. */
export function newSidecar({ rating, label, description }: SidecarFacts): string {
	return inPacket(`<rdf:RDF xmlns:rdf="${RDF}">
 <rdf:Description rdf:about="" xmlns:xmp="${XMP}" xmlns:dc="${DC}">${
		rating === null ? '' : `\n  <xmp:Rating>${rating}</xmp:Rating>`
 }${label === null ? '' : `\n  <xmp:Label>${asXml(label)}</xmp:Label>`}
  <dc:description><rdf:Alt><rdf:li xml:lang="x-default">${asXml(OWN_LINE + description)}</rdf:li></rdf:Alt></dc:description>
 </rdf:Description>
</rdf:RDF>`);
}

/** Around what others will read: where it begins and ends, and that it may be changed. */
export const inPacket = (rdf: string): string =>
	`<?xpacket begin="\uFEFF" id="${PACKET}"?>\n<x:xmpmeta xmlns:x="adobe:ns:meta/">\n${rdf}\n</x:xmpmeta>\n<?xpacket end="w"?>\n`;

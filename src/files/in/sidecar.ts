import { MARKS, UNJUDGED, type Judgement } from '$core/format/review';
import {
	asXml,
	DC,
	inPacket,
	labelOf,
	OWN_LINE,
	ratingOf,
	RDF,
	XMP,
	type SidecarFacts
} from '../out/sidecar';

/** Sidecars that were there before: read carefully, since they may be anything, and kept but for what is said anew. */

const MOST_BYTES = 2_000_000;
const MOST_NODES = 20_000;
/** Nothing of ours needs them, and they can make a small file endless. */
const DECLARES = /<!(DOCTYPE|ENTITY)/i;

export type SidecarProblem = 'too-large' | 'declares-entities' | 'too-many-parts' | 'broken';

interface Refused {
	readonly ok: false;
	readonly problem: SidecarProblem;
}
export type Merging = { readonly ok: true; readonly text: string } | Refused;

function opened(text: string): { readonly ok: true; readonly rdf: Element } | Refused {
	const refused = (problem: SidecarProblem): Refused => ({ ok: false, problem });
	if (text.length > MOST_BYTES) return refused('too-large');
	if (DECLARES.test(text)) return refused('declares-entities');
	if ((text.match(/</g)?.length ?? 0) > 2 * MOST_NODES) return refused('too-many-parts');
	const read = new DOMParser().parseFromString(text.replace(/^\uFEFF/, ''), 'application/xml');
	const rdf = read.getElementsByTagNameNS(RDF, 'RDF')[0];
	if (!rdf || read.getElementsByTagName('parsererror').length > 0) return refused('broken');
	if (rdf.getElementsByTagName('*').length > MOST_NODES) return refused('too-many-parts');
	return { ok: true, rdf };
}

/** What a sidecar says of the frame in words; empty where it says nothing. */
const describedIn = (rdf: Element): string =>
	[...rdf.getElementsByTagNameNS(DC, 'description')]
		.flatMap((one) => [...one.getElementsByTagNameNS(RDF, 'li')])
		.map((one) => one.textContent ?? '')[0] ?? '';

/** What may be said of a frame in a sidecar. */
type Said = Pick<Judgement, 'mark' | 'isFavourite'>;
const SAYINGS: readonly Said[] = [null, ...MARKS].flatMap((mark) => [
	{ mark, isFavourite: false },
	{ mark, isFavourite: true }
]);

/**
 * What was said of a frame in a sidecar of ours; null where there is nothing of ours in it, or others changed it: what
 * their stars mean is theirs.
 */
export async function saidIn(sidecar: File): Promise<Said | null> {
	if (sidecar.size > MOST_BYTES) return null;
	const open = opened(await sidecar.text());
	if (!open.ok) return null;
	const { rdf } = open;
	if (
		!describedIn(rdf)
			.split('\n')
			.some((line) => line.startsWith(OWN_LINE))
	)
		return null;
	const valueOf = (name: string) =>
		rdf.getElementsByTagNameNS(XMP, name)[0]?.textContent ??
		[...rdf.getElementsByTagNameNS(RDF, 'Description')]
			.map((one) => one.getAttributeNS(XMP, name))
			.find((value) => value !== null) ??
		null;
	const [rating, label] = [valueOf('Rating'), valueOf('Label')];
	const isSaid = (said: Said) => {
		const judged = { ...UNJUDGED, ...said };
		return rating === String(ratingOf(judged)) && label === labelOf(judged);
	};
	return SAYINGS.find(isSaid) ?? null;
}

/**
 * The same sidecar with rating, label and our line of the description; everything else in it stays as it is.
 * Null as rating or label leaves what there is.
 */
export function mergedSidecar(text: string, facts: SidecarFacts): Merging {
	const open = opened(text);
	if (!open.ok) return open;
	const { rdf } = open;
	const before = describedIn(rdf);
	const lines = before.split('\n').filter((line) => line && !line.startsWith(OWN_LINE));
	const description = [...lines, OWN_LINE + facts.description].join('\n');
	const own: (readonly [string, string, string | null])[] = [
		[XMP, 'Rating', facts.rating === null ? null : String(facts.rating)],
		[XMP, 'Label', facts.label]
	];
	for (const [space, name, value] of own) if (value !== null) takeOut(rdf, space, name);
	for (const one of [...rdf.getElementsByTagNameNS(DC, 'description')]) one.remove();
	const rest = new XMLSerializer().serializeToString(rdf).replace(/<\/[^<>]*RDF>\s*$/, '');
	const said = own
		.filter(([, , value]) => value !== null)
		.map(([, name, value]) => `\n  <xmp:${name}>${asXml(value ?? '')}</xmp:${name}>`)
		.join('');
	const prefix = rdf.tagName.includes(':') ? `${rdf.tagName.split(':')[0]}:` : '';
	const added = ` <rdf:Description xmlns:rdf="${RDF}" rdf:about="" xmlns:xmp="${XMP}" xmlns:dc="${DC}">${said}
  <dc:description><rdf:Alt><rdf:li xml:lang="x-default">${asXml(description)}</rdf:li></rdf:Alt></dc:description>
 </rdf:Description>`;
	// an RDF without anything in it closes itself
	const begun = rest.replace(/\/>\s*$/, '>');
	return { ok: true, text: inPacket(`${begun}\n${added}\n</${prefix}RDF>`) };
}

/** A value may be an element or an attribute. */
function takeOut(rdf: Element, space: string, name: string): void {
	for (const one of [...rdf.getElementsByTagNameNS(space, name)]) one.remove();
	for (const one of rdf.getElementsByTagNameNS(RDF, 'Description')) {
		one.removeAttributeNS(space, name);
	}
}

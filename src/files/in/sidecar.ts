import { asXml, DC, inPacket, OWN_LINE, RDF, XMP, type SidecarFacts } from '../out/sidecar';

/** Sidecars that were there before: read carefully, since they may be anything, and kept but for what is said anew. */

const MOST_BYTES = 2_000_000;
const MOST_NODES = 20_000;
/** Nothing of ours needs them, and they can make a small file endless. */
const DECLARES = /<!(DOCTYPE|ENTITY)/i;

export type SidecarProblem = 'too-large' | 'declares-entities' | 'too-many-parts' | 'broken';

export type Merging =
	| { readonly ok: true; readonly text: string }
	| { readonly ok: false; readonly problem: SidecarProblem };

/**
 * The same sidecar with rating, label and our line of the description; everything else in it stays as it is.
 * Null as rating or label leaves what there is.
 */
export function mergedSidecar(text: string, facts: SidecarFacts): Merging {
	const refused = (problem: SidecarProblem): Merging => ({ ok: false, problem });
	if (text.length > MOST_BYTES) return refused('too-large');
	if (DECLARES.test(text)) return refused('declares-entities');
	if ((text.match(/</g)?.length ?? 0) > 2 * MOST_NODES) return refused('too-many-parts');
	const read = new DOMParser().parseFromString(text.replace(/^\uFEFF/, ''), 'application/xml');
	const rdf = read.getElementsByTagNameNS(RDF, 'RDF')[0];
	if (!rdf || read.getElementsByTagName('parsererror').length > 0) return refused('broken');
	if (rdf.getElementsByTagName('*').length > MOST_NODES) return refused('too-many-parts');
	const before = [...rdf.getElementsByTagNameNS(DC, 'description')]
		.flatMap((one) => [...one.getElementsByTagNameNS(RDF, 'li')])
		.map((one) => one.textContent ?? '')[0];
	const lines = (before ?? '').split('\n').filter((line) => line && !line.startsWith(OWN_LINE));
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
	const open = rest.replace(/\/>\s*$/, '>');
	return { ok: true, text: inPacket(`${open}\n${added}\n</${prefix}RDF>`) };
}

/** A value may be an element or an attribute. */
function takeOut(rdf: Element, space: string, name: string): void {
	for (const one of [...rdf.getElementsByTagNameNS(space, name)]) one.remove();
	for (const one of rdf.getElementsByTagNameNS(RDF, 'Description')) {
		one.removeAttributeNS(space, name);
	}
}

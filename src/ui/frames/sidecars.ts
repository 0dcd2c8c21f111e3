import { SvelteMap } from 'svelte/reactivity';
import { folderOf } from '../browser/folders';
import { baseOf } from './pictureFiles';

/** Which sidecar belongs to which frame: the one of its name in its folder. Two cameras may name frames alike. */

/** The name that a sidecar belongs to: "a.jpg.xmp" and "a.xmp" are those of "a.jpg". */
export const sidecarOf = (name: string): string =>
	name
		.replace(/\.xmp$/i, '')
		.replace(/\.(jpe?g|heic|png|webp|avif|tiff?|dng)$/i, '')
		.toLowerCase();

/** A frame, and its file where it was chosen. */
interface Framed {
	readonly name: string;
	readonly file: File | null;
}

/** The folder of a frame; empty where it is not known. */
const folderOfFrame = ({ file }: Framed): string => (file ? folderOf(file) : '');

/** Sidecars that were chosen along with frames. */
export class ChosenSidecars {
	readonly #byName = new SvelteMap<string, readonly File[]>();

	add(file: File): void {
		const key = sidecarOf(file.name);
		const isAnother = (one: File) => one.name !== file.name || folderOf(one) !== folderOf(file);
		const others = this.#byName.get(key)?.filter(isAnother) ?? [];
		this.#byName.set(key, [...others, file]);
	}

	/** The sidecar of a frame; null where none was chosen, "unsure" where it may be any of several. */
	of(frame: Framed): File | null | 'unsure' {
		// raw files have endings of many kinds: such a one is left on "a.raw.xmp"
		const names = new Set([baseOf(frame.name), frame.name.toLowerCase()]);
		const all = [...names].flatMap((name) => this.#byName.get(name) ?? []);
		const folder = folderOfFrame(frame);
		const beside = all.filter((one) => folderOf(one) === folder);
		const elsewhere = all.filter((one) => folder === '' || folderOf(one) === '');
		const found = beside.length > 0 ? beside : elsewhere;
		const fullName = `${frame.name}.xmp`.toLowerCase();
		const own = found.find(({ name }) => name.toLowerCase() === fullName);
		return own ?? (found.length > 1 ? 'unsure' : (found[0] ?? null));
	}
}

/**
 * Where the sidecars of frames lie, below the folder that holds them all: beside their frames. It has the frame's whole
 * name where another frame beside it has the same one, but for the kind of file.
 */
export function sidecarPaths(
	frames: readonly Framed[]
): (frame: Framed, there: File | null) => string {
	const partsOf = (frame: Framed) => folderOfFrame(frame).split('/').filter(Boolean);
	const folders = frames.map(partsOf);
	const [first = []] = folders;
	const differs = first.findIndex((part, i) => folders.some((parts) => parts[i] !== part));
	const common = differs < 0 ? first.length : differs;
	const placeOf = (frame: Framed) => `${folderOfFrame(frame)}/${baseOf(frame.name)}`;
	const seen = new Set<string>();
	const alike = new Set<string>();
	for (const place of frames.map(placeOf)) (seen.has(place) ? alike : seen).add(place);
	return (frame, there) => {
		const base = alike.has(placeOf(frame)) ? frame.name : frame.name.replace(/\.[^.]+$/, '');
		return [...partsOf(frame).slice(common), there?.name ?? `${base}.xmp`].join('/');
	};
}

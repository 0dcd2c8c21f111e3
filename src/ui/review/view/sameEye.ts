import type { Judged } from './group';

/** The same eye of somebody, frame after frame. */

/**
 * The eye that is nearer to the camera in most of the frames: of who looks straight ahead it is now one, now the other, and
 * what stands side by side must be the same.
 *
 * @param planned which one that is where nobody found them
 */
export function nearerEye(
	judged: Iterable<Judged>,
	whom: number,
	planned: 'left' | 'right'
): 'left' | 'right' {
	let more = 0;
	for (const { reviewed } of judged) {
		const near = reviewed.faces[whom]?.near;
		if (near) more += near === 'left' ? 1 : -1;
	}
	if (more === 0) return planned;
	return more < 0 ? 'right' : 'left';
}

/** All frames but one, the one with the sharpest eyes of somebody first; none that was dropped. */
export function sharpestFirst(
	judged: Iterable<Judged>,
	whom: number,
	but: Judged | null
): readonly Judged[] {
	const ratio = ({ reviewed }: Judged) => reviewed.faces[whom]?.ratio ?? Infinity;
	return [...judged]
		.filter(({ file }) => file.id !== but?.file.id && file.judgement.mark !== 'drop')
		.toSorted((a, b) => ratio(a) - ratio(b));
}

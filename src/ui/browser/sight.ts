/**
 * Tells whenever a part of the page comes into sight or goes out of it; returns how to stop.
 *
 * @param aroundPx how near to what is seen counts as in sight
 */
export function watchSight(
	part: Element,
	tell: (isInSight: boolean) => void,
	aroundPx = 0
): () => void {
	const observer = new IntersectionObserver(
		// of several looks that a busy page hears of at a time, only the last says how it is
		(looks) => tell(looks.at(-1)?.isIntersecting ?? false),
		{ rootMargin: `${aroundPx}px` }
	);
	observer.observe(part);
	return () => observer.disconnect();
}

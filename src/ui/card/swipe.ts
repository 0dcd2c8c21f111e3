/** From so far on a move of the finger is a swipe, px. */
const LEAST_PX = 60;
/** A swipe goes sideways, not down the page. */
const MIN_SIDEWAYS_RATIO = 2;

/** Tells of swipes over an element: 1 to the next (leftwards), -1 to the previous. */
export function swiping(node: HTMLElement, onswipe: (by: 1 | -1) => void) {
	let from: { readonly x: number; readonly y: number } | null = null;
	const down = ({ isPrimary, pointerType, clientX, clientY }: PointerEvent) => {
		from = isPrimary && pointerType === 'touch' ? { x: clientX, y: clientY } : null;
	};
	const up = ({ clientX, clientY }: PointerEvent) => {
		if (!from) return;
		const [dx, dy] = [clientX - from.x, clientY - from.y];
		from = null;
		if (Math.abs(dx) >= LEAST_PX && Math.abs(dx) > MIN_SIDEWAYS_RATIO * Math.abs(dy)) {
			onswipe(dx < 0 ? 1 : -1);
		}
	};
	const cancel = () => (from = null);
	// the browser keeps scrolling up and down, and leaves sideways moves to us
	node.style.touchAction = 'pan-y pinch-zoom';
	node.addEventListener('pointerdown', down);
	node.addEventListener('pointerup', up);
	node.addEventListener('pointercancel', cancel);
	return {
		destroy() {
			node.removeEventListener('pointerdown', down);
			node.removeEventListener('pointerup', up);
			node.removeEventListener('pointercancel', cancel);
		}
	};
}

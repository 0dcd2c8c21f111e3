/** How many focused elements are remembered: what opened a sheet may be gone when it closes, such as a menu item. */
const REMEMBERED_ELEMENTS = 6;

const canHoldFocus = (one: HTMLElement): boolean =>
	one.isConnected && one.getClientRects().length > 0 && !one.matches(':disabled');

/**
 * Gives the focus back to what opened a sheet when the sheet closes, or to what had it before that where that is
 * gone: the sheets are taken out of the page, and the browser forgets. Returns how to stop.
 */
export function returnFocus(): () => void {
	let outside: HTMLElement[] = [];
	const watched = new Map<HTMLDialogElement, MutationObserver>();

	function giveBack(dialog: HTMLDialogElement) {
		watched.get(dialog)?.disconnect();
		watched.delete(dialog);
		if (document.activeElement !== document.body) return;
		const opener = outside.findLast(canHoldFocus);
		if (!opener) return;
		// Flowbite opens a menu whose button is given the focus; this one was just left
		const quiet = (event: Event) => event.stopImmediatePropagation();
		document.addEventListener('focusin', quiet, { capture: true, once: true });
		opener.focus();
		document.removeEventListener('focusin', quiet, { capture: true });
	}

	function watch(dialog: HTMLDialogElement) {
		if (watched.has(dialog)) return;
		const observer = new MutationObserver(() => {
			if (!dialog.isConnected || !dialog.open) giveBack(dialog);
		});
		observer.observe(dialog, { attributeFilter: ['open'] });
		if (dialog.parentNode) observer.observe(dialog.parentNode, { childList: true });
		watched.set(dialog, observer);
	}

	function focused({ target }: FocusEvent) {
		if (!(target instanceof HTMLElement)) return;
		const dialog = target.closest('dialog');
		if (dialog) watch(dialog);
		else outside = [...outside.filter((one) => one !== target), target].slice(-REMEMBERED_ELEMENTS);
	}

	document.addEventListener('focusin', focused);
	return () => {
		document.removeEventListener('focusin', focused);
		for (const observer of watched.values()) observer.disconnect();
	};
}

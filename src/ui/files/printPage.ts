/** Hands a page to the browser's own print. The page has no scripts, and may run none. */
export async function printPage(html: string): Promise<void> {
	const frame = document.createElement('iframe');
	frame.hidden = true;
	frame.title = 'Cards to print';
	// the same origin, so that it can be told to print; modals, so that the dialog may open
	frame.setAttribute('sandbox', 'allow-same-origin allow-modals');
	frame.srcdoc = html;
	const loaded = new Promise((resolve) => frame.addEventListener('load', resolve, { once: true }));
	document.body.append(frame);
	await loaded;
	frame.contentWindow?.addEventListener('afterprint', () => frame.remove());
	frame.contentWindow?.print();
}

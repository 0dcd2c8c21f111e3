import { printPageText as say } from '$words/screens/browser';

/** Hands a page to the browser's own print. Its own policy lets it run no scripts. */
export async function printPage(html: string): Promise<void> {
	const frame = document.createElement('iframe');
	frame.hidden = true;
	frame.title = say.cardsToPrint;
	frame.srcdoc = html;
	const loaded = new Promise((resolve) => frame.addEventListener('load', resolve, { once: true }));
	document.body.append(frame);
	await loaded;
	frame.contentWindow?.addEventListener('afterprint', () => frame.remove());
	frame.contentWindow?.print();
}

/** The bytes of a file as text, to be handed out of a page. */
export async function base64Of(file: Blob): Promise<string> {
	const bytes = new Uint8Array(await file.arrayBuffer());
	const parts: string[] = [];
	for (let i = 0; i < bytes.length; i += 8192) {
		parts.push(String.fromCharCode(...bytes.subarray(i, i + 8192)));
	}
	return btoa(parts.join(''));
}

import { Zip, ZipPassThrough } from 'fflate';

/** A file for a ZIP. */
export interface Zipped {
	readonly name: string;
	readonly content: Blob;
}

/**
 * Files as one ZIP, written as they come: never more than a piece of one of them is in memory. Pictures are
 * stored as they are; they would not become smaller.
 *
 * @throws whatever the source of the files throws
 */
export function zipped(
	files: AsyncIterable<Zipped> | Iterable<Zipped>
): ReadableStream<Uint8Array> {
	return new ReadableStream<Uint8Array>({
		async start(controller) {
			const zip = new Zip((error, chunk, isLast) => {
				if (error) controller.error(error);
				else controller.enqueue(chunk);
				if (isLast) controller.close();
			});
			try {
				for await (const { name, content } of files) {
					const entry = new ZipPassThrough(name);
					zip.add(entry);
					const reader = content.stream().getReader();
					for (let next = await reader.read(); !next.done; next = await reader.read()) {
						entry.push(next.value);
					}
					entry.push(new Uint8Array(), true);
				}
				zip.end();
			} catch (error) {
				controller.error(error);
			}
		}
	});
}

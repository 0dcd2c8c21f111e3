import { Zip, ZipPassThrough } from 'fflate';

/** A file for a ZIP. */
export interface Zipped {
	readonly name: string;
	readonly content: Blob;
}

/**
 * Files as one ZIP, made as it is read: never more than a piece of one of them is in memory, and whoever stops
 * reading stops their source. Pictures are stored as they are; they would not become smaller.
 *
 * @throws whatever the source of the files throws
 */
export function zipped(
	files: AsyncIterable<Zipped> | Iterable<Zipped>
): ReadableStream<Uint8Array> {
	const pieces = piecesOf(files);
	return new ReadableStream<Uint8Array>({
		async pull(controller) {
			const { done, value } = await pieces.next();
			if (done) controller.close();
			else controller.enqueue(value);
		},
		async cancel() {
			await pieces.return(undefined);
		}
	});
}

async function* piecesOf(
	files: AsyncIterable<Zipped> | Iterable<Zipped>
): AsyncGenerator<Uint8Array, undefined> {
	const ready: Uint8Array[] = [];
	const zip = new Zip((error, piece) => {
		if (error) throw error;
		ready.push(piece);
	});
	for await (const { name, content } of files) {
		const entry = new ZipPassThrough(name);
		zip.add(entry);
		const reader = content.stream().getReader();
		for (let next = await reader.read(); !next.done; next = await reader.read()) {
			entry.push(next.value);
			yield* ready.splice(0);
		}
		entry.push(new Uint8Array(), true);
		yield* ready.splice(0);
	}
	zip.end();
	yield* ready.splice(0);
	return undefined;
}

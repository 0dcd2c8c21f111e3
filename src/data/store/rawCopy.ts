/** What a database holds, read without knowing its version: nothing of it is changed. */

/** Pictures and places on the device do not fit into a text. */
const LEFT_OUT = new Set(['photographs', 'backupFolders']);

const done = <T>(request: IDBRequest<T>): Promise<T> =>
	new Promise((resolve, reject) => {
		request.onsuccess = () => resolve(request.result);
		request.onerror = () => reject(request.error ?? new Error('the store does not answer'));
	});

/** Every record, by the name of its table. */
export async function rawCopyOf(name: string): Promise<Record<string, unknown[]>> {
	const db = await done(indexedDB.open(name));
	try {
		const tables = [...db.objectStoreNames].filter((table) => !LEFT_OUT.has(table));
		const copy: Record<string, unknown[]> = {};
		for (const table of tables) {
			copy[table] = await done<unknown[]>(
				db.transaction(table, 'readonly').objectStore(table).getAll()
			);
		}
		return copy;
	} finally {
		db.close();
	}
}

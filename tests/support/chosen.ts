/** A file as a browser's chooser hands it over: of a folder where the path has one. */
export function chosenFile(path: string, content = 'x'): File {
	const name = path.split('/').at(-1) ?? '';
	const file = new File([content], name, { lastModified: 7 });
	Object.defineProperty(file, 'webkitRelativePath', { value: path === name ? '' : path });
	return file;
}

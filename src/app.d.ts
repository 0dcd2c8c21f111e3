declare global {
	/** Version of the application, from package.json. */
	const __FOCALIS_VERSION__: string;
}

export {};

import type { IncomingMessage } from 'node:http';

declare global {
	/** Version of the application, from package.json. */
	const __FOCALIS_VERSION__: string;

	namespace App {
		/** What the built server hands on; missing in development. */
		interface Platform {
			readonly req?: IncomingMessage;
		}
	}
}

export {};

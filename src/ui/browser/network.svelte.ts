/** While there is no network it is looked for as often, ms. */
const ASK_AGAIN_MS = 5000;

/** The whole app is fetched for later when the first screen has come, ms. */
const KEEP_AFTER_MS = 4000;

/** Without a service worker, as in a private window, the app works while there is a network. */
const keepTheApp = () =>
	navigator.serviceWorker?.register('/service-worker.js').catch(() => undefined);

/** Whether there is a network, and whether a newer version of the app waits to be used. */
export class Network {
	isOffline = $state(!navigator.onLine);
	#waiting = $state.raw<ServiceWorker | null>(null);

	get hasNewVersion(): boolean {
		return this.#waiting !== null;
	}

	/** Begins to look; returns how to stop. */
	start(): () => void {
		const stop = new AbortController();
		const { signal } = stop;
		const ask = () => void this.#ask();
		addEventListener('online', ask, { signal });
		addEventListener('offline', () => (this.isOffline = true), { signal });
		ask();
		const timer = setInterval(() => this.isOffline && ask(), ASK_AGAIN_MS);
		signal.addEventListener('abort', () => clearInterval(timer));
		const keeping = setTimeout(() => void keepTheApp(), KEEP_AFTER_MS);
		signal.addEventListener('abort', () => clearTimeout(keeping));
		void navigator.serviceWorker?.ready.then((registration) => {
			const look = () => {
				const { waiting, installing } = registration;
				if (waiting) this.#waiting = waiting;
				installing?.addEventListener('statechange', look, { signal });
			};
			look();
			registration.addEventListener('updatefound', look, { signal });
		});
		return () => stop.abort();
	}

	/** A device may think that it has a network and have none: the server knows. */
	async #ask(): Promise<void> {
		try {
			await fetch('/api/health', { cache: 'no-store' });
			this.isOffline = false;
		} catch {
			this.isOffline = true;
		}
	}

	/** Goes on with the newer version. What is not saved yet must be saved before. */
	takeOver(): void {
		navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), {
			once: true
		});
		this.#waiting?.postMessage('take-over');
	}
}

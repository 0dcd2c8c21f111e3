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
		addEventListener('online', () => (this.isOffline = false), { signal });
		addEventListener('offline', () => (this.isOffline = true), { signal });
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

	/** Goes on with the newer version. What is not saved yet must be saved before. */
	takeOver(): void {
		navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), {
			once: true
		});
		this.#waiting?.postMessage('take-over');
	}
}

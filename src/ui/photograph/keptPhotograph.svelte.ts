import type { Session } from '../keeping/session.svelte';

/** The photograph that was kept with the open shot, and whether it lies over the picture. Made while a component is. */
export class KeptPhotograph {
	/** Address of it; empty where there is none. */
	address = $state('');
	jpeg = $state.raw<Blob | null>(null);
	isShown = $state(false);
	readonly #session: Session;

	constructor(session: Session) {
		this.#session = session;
		$effect(() => {
			const { shotId, library } = session;
			void library.photographs;
			let isOver = false;
			let address = '';
			if (shotId) {
				library.photograph(shotId).then(
					(jpeg) => {
						if (isOver) return;
						address = jpeg ? URL.createObjectURL(jpeg) : '';
						this.jpeg = jpeg;
						this.address = address;
						if (!jpeg) this.isShown = false;
					},
					// what cannot be read is not shown; nothing depends on it
					() => undefined
				);
			}
			return () => {
				isOver = true;
				URL.revokeObjectURL(address);
				this.address = '';
			};
		});
	}

	async forget(): Promise<void> {
		const { shotId, library } = this.#session;
		if (shotId) await library.keepPhotograph(shotId, null);
	}
}

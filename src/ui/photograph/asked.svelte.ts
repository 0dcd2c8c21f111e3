import type { Place } from '../shared/places';

/** What a photograph is to become: people of the open shot, or a shot of its own. */
export type Becomes = 'this-shot' | 'new-shot';

/** Whether somebody wants the stage from a photograph, and from which: asked anywhere, shown by the shell. */
class Asked {
	isOpen = $state(false);
	/** Chosen already, by a drop; null to choose one. */
	file = $state.raw<File | null>(null);
	becomes = $state<Becomes>('new-shot');

	/** Where one goes with it. */
	then = $state<Place>('plan');

	ask(becomes: Becomes, file: File | null = null, then: Place = 'plan'): void {
		this.then = then;
		this.becomes = becomes;
		this.file = file;
		this.isOpen = true;
	}
}

export const photographAsked = new Asked();

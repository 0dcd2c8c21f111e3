/** What a photograph is to become: people of the open shot, or a shot of its own. */
export type Becomes = 'this-shot' | 'new-shot';

interface More {
	/** Chosen already, by a drop. */
	readonly file?: File;
	/** What follows when it is used; one goes to Plan if nothing else is said. */
	readonly onused?: () => void;
}

/** Whether somebody wants the stage from a photograph, and from which: asked anywhere, shown by the shell. */
class Asked {
	isOpen = $state(false);
	becomes = $state<Becomes>('new-shot');
	more = $state.raw<More>({});

	ask(becomes: Becomes, more: More = {}): void {
		this.becomes = becomes;
		this.more = more;
		this.isOpen = true;
	}
}

export const photographAsked = new Asked();

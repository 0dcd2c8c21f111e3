/** Files that somebody dropped or handed over for review, which opens by that, until Review takes them. */
class FilesAsked {
	waiting = $state.raw<readonly File[]>([]);

	hand(files: readonly File[]): void {
		this.waiting = [...this.waiting, ...files];
	}

	take(): readonly File[] {
		const files = this.waiting;
		if (files.length > 0) this.waiting = [];
		return files;
	}
}

export const filesAsked = new FilesAsked();

/** What is dragged while a frame is on its way to another shot. */
export const FRAMES_DRAGGED = 'text/x-frames';

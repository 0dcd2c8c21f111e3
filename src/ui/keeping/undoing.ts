/** Something whose last step can be taken back, and done again. */
export interface Undoing {
	/** What would be taken back, in words; null where it is not said. */
	readonly undoWords: string | null;
	readonly redoWords: string | null;
	readonly canUndo: boolean;
	readonly canRedo: boolean;
	undo(): void;
	redo(): void;
}

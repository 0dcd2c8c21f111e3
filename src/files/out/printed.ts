import type { CardContent } from '../../words/card';

/** What stands on a card, and drawings of plain shapes: what files of cards are made from. */

/** A plain shape; lengths in the drawing's own unit, y down. */
export type PrintedShape = { readonly fill: string; readonly stroke?: string } & (
	| { readonly kind: 'path'; readonly d: string; readonly strokeWidth?: number }
	| {
			readonly kind: 'ellipse';
			readonly x: number;
			readonly y: number;
			readonly rx: number;
			readonly ry: number;
			readonly angleDeg: number;
	  }
	| {
			readonly kind: 'rect';
			readonly x: number;
			readonly y: number;
			readonly width: number;
			readonly height: number;
	  }
	| {
			readonly kind: 'text';
			readonly x: number;
			readonly y: number;
			readonly size: number;
			readonly text: string;
			/** The text ends at x instead of beginning there. */
			readonly isBefore?: boolean;
	  }
);

/** Shapes about the middle of a frame, with a ring around what to focus on. */
export interface FrameShapes {
	readonly width: number;
	readonly height: number;
	readonly shapes: readonly PrintedShape[];
	/** Null when there is nothing to focus on. */
	readonly ring: { readonly x: number; readonly y: number; readonly radius: number } | null;
	/** With its real blur: a JPEG of the whole frame, in base64, instead of the shapes. */
	readonly picture?: string;
}

/** What comes of a shot when it turns out different. */
export interface Outlook {
	/** "f/5.6"; empty when there is nothing to focus on. */
	readonly fNumber: string;
	/** Whom to focus on, when it is another one than planned. */
	readonly focusOn: string;
	readonly feasible: boolean;
}

export interface PrintedCard {
	readonly title: string;
	/** "14:30, stone steps" */
	readonly when: string;
	readonly notes: string;
	/** What was really used; empty before it was taken. */
	readonly taken: string;
	/** Null for a shot that asks for nothing to be sharp. */
	readonly content: CardContent | null;
	readonly frame: FrameShapes | null;
	/** The ladder in short: an f-number and how many faces hold. */
	readonly ladder: readonly {
		readonly fNumber: string;
		readonly held: string;
		readonly isPick: boolean;
	}[];
	/** One row for each depth of the group, one column for each distance. */
	readonly different: {
		readonly distances: readonly string[];
		readonly rows: readonly { readonly depth: string; readonly outlooks: readonly Outlook[] }[];
	} | null;
}

export const GROUND = '#e6e0d3';
export const RING = '#b23f2b';

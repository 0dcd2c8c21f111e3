import type { Shot } from '../format/shot';
import { frameEdgesOf } from './edges';
import { frameByFocal, frameByPlace, type Framing } from './framing';
import { heldDownTo, PART_OF_MARK } from './held';

/** Heads keep so much of the frame between them and its edge. */
export const EDGE_SHARE = 0.02;

/**
 * The changed shot with its frame about everybody: the camera steps back, or the zoom opens, where
 * somebody would be cut who was not before, or was not there. As much of them as before stays in.
 */
export function keptInFrame(before: Shot, after: Shot): Shot {
	const cutBefore = frameEdgesOf(before)?.cutIds ?? [];
	const isCut = (frameEdgesOf(after)?.cutIds ?? []).some(
		(id) => !cutBefore.includes(id) && after.people.some((one) => one.id === id)
	);
	if (!isCut) return after;
	const held = before.people.flatMap((one) => heldDownTo(before, one) ?? [])[0];
	const part = held ? PART_OF_MARK[held] : 'head-and-shoulders';
	const framing: Framing = { part, personIds: [], margin: EDGE_SHARE };
	const byPlace = frameByPlace(after, framing);
	const framed = byPlace.ok ? byPlace : frameByFocal(after, framing);
	return framed.ok ? { ...after, camera: framed.camera } : after;
}

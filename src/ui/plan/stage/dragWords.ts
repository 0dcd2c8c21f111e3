import { dragWordsText as say } from '$words/screens/plan/stage';
import type { Shot } from '$core/format/shot';
import { seenFrom } from '$core/geometry/camera';
import type { Scene } from '$core/study/scene';
import { decimal, distance, smallLength, type Units } from '$words/numbers';
import { positionOf } from '../view/edits';
import type { ObjectRef } from '../../drawing/stageObjects';

/** What is said beside an object while it is held, in parts: where it is now, and how far from its neighbours. */
export function dragWords(ref: ObjectRef, shot: Shot, scene: Scene, units: Units): string[] {
	if (ref.kind === 'camera') {
		const { position, panDeg, tiltDeg } = shot.camera;
		return [
			say.upTurnedTilted(distance(position.y, units), decimal(panDeg, 0), decimal(tiltDeg, 0))
		];
	}
	const place = positionOf(shot, scene.rows, ref);
	if (!place) {
		const { focus } = shot.choices;
		return focus && 'depthM' in focus ? [distance(focus.depthM, units)] : [];
	}
	const { depthM } = seenFrom(scene.pose, place);
	const words = [say.away(distance(depthM, units))];
	if (ref.kind === 'person') {
		const person = shot.people.find(({ id }) => id === ref.id);
		if (person && person.turnDeg !== 0)
			words.push(say.turnedToThe(Math.abs(person.turnDeg), person.turnDeg > 0 ? 'right' : 'left'));
	}
	const { rows } = scene;
	const index = rows.findIndex(({ members }) =>
		members.some(({ personId }) => personId === ref.id)
	);
	const [before, own, behind] = [rows[index - 1], rows[index], rows[index + 1]];
	if (own && before)
		words.push(say.behindTheRowBefore(smallLength(own.depthM - before.depthM, units)));
	else if (own && behind)
		words.push(say.toTheRowBehind(smallLength(behind.depthM - own.depthM, units)));
	return words;
}

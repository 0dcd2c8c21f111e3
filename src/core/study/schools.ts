import type { School } from '../format/plan';
import { focusAt, planeThrough } from '../optics/focus';
import { freePlaneM } from './freePlane';
import { fNumberNeeded, worstWideOpen } from './candidates';
import type { Scene } from './scene';

/**
 * What each school of where to focus in a group would do to this shot: the depth it focuses on and
 * the f-number that then holds every face. Source of the schools: common practice.
 */
export function schoolsOf(scene: Scene): School[] {
	const school = (name: School['school'], depthM: number, planeM = depthM): School => ({
		school: name,
		depthM,
		fNumberExact: fNumberNeeded(scene, worstWideOpen(scene, focusAt(scene.optic, planeM)))
	});
	const { rows } = scene;
	const front = rows[0];
	const middle = rows[Math.ceil(rows.length / 2) - 1];
	const depths = rows.flatMap(({ members }) => members.map(({ depthM }) => depthM));
	const nearestM = Math.min(...depths);
	const spreadM = Math.max(...depths) - nearestM;
	const nearest = scene.sightings.find(({ nearEye }) => nearEye?.seen.depthM === nearestM)?.nearEye;
	const computedM = freePlaneM(scene);

	return [
		...(front ? [school('front-row', front.depthM)] : []),
		...(middle ? [school('middle-row', middle.depthM)] : []),
		...(depths.length > 0 ? [school('third-in', nearestM + spreadM / 3)] : []),
		...(nearest
			? [
					school(
						'nearest-eye',
						nearestM,
						planeThrough(scene.optic, nearestM, nearest.seen.cosOffAxis)
					)
				]
			: []),
		...(computedM === null ? [] : [school('computed-plane', computedM)])
	];
}

import { landmarkPoint, type Head } from '../anatomy/head';
import { sightPeople } from '../anatomy/sight';
import type { Shot } from '../format/shot';
import { cameraPose, seenFrom, type CameraPose } from '../geometry/camera';
import { requiredFacePoints } from '../sharpness/need';
import type { Build } from '../tables/heads';
import { LANDMARK_NAMES, type Landmark } from '../tables/landmarks';

/** What a plan asks of the people of its shot, and where it expects them in the frame. */

export interface AskedPerson {
	readonly id: string;
	readonly name: string;
	readonly build: Build;
	/** Whether the frame is lost where they are not sharp, or their eyes are shut. */
	readonly counts: boolean;
	/** How many times the tolerance each eye may be blurred; null where nothing is asked of it. */
	readonly left: number | null;
	readonly right: number | null;
	readonly depthM: number;
	/** How far each landmark lies behind the middle of the eyes, m. */
	readonly behindM: Readonly<Record<Landmark, number>>;
	readonly sigmaM: number;
	/** Where they are, as shares of the depth: to the right and up. */
	readonly aside: number;
	readonly above: number;
}

/** Everybody of a shot. */
export function askedOf(shot: Shot): AskedPerson[] {
	const pose = cameraPose(shot.camera, shot.body.sensor);
	return sightPeople(pose, shot.people, shot.things).map((sighting) => {
		const { person, head } = sighting;
		const points = requiredFacePoints(pose, sighting);
		const factorOf = (name: 'left-eye' | 'right-eye') =>
			points.find(({ landmark }) => landmark === name)?.factor ?? null;
		const { depthM, rightM, upM } = seenFrom(pose, person.eyeMidpoint);
		return {
			id: person.id,
			name: person.name,
			build: person.build,
			counts: person.need === 'key' || person.need === 'sharp',
			left: factorOf('left-eye'),
			right: factorOf('right-eye'),
			depthM,
			behindM: behindEyes(pose, head),
			sigmaM: person.depthSigmaM,
			aside: rightM / depthM,
			above: upM / depthM
		};
	});
}

function behindEyes(pose: CameraPose, head: Head): AskedPerson['behindM'] {
	const eyesM = seenFrom(pose, head.origin).depthM;
	const behind = LANDMARK_NAMES.map((landmark) => [
		landmark,
		seenFrom(pose, landmarkPoint(head, landmark)).depthM - eyesM
	]);
	return Object.fromEntries(behind) as AskedPerson['behindM'];
}

/** The eye of somebody that is planned to be nearer to the camera. */
export const nearerAsked = ({ behindM }: AskedPerson): 'left' | 'right' =>
	behindM['left-eye'] <= behindM['right-eye'] ? 'left' : 'right';

import type { SchoolOf, ShutterSchool } from '$core/advice/comparisons';
import type { School } from '$core/format/plan';
import type { FocusWay } from '$core/study/technique';

/** The schools, as one names them. */

/** Where to focus in a group. */
export const FOCUS_SCHOOLS: Readonly<Record<School['school'], string>> = {
	'front-row': 'the front row',
	'middle-row': 'the middle row',
	'third-in': 'a third of the way in',
	'nearest-eye': 'the nearest eye',
	'computed-plane': 'the computed plane'
};

export const SCHOOL_QUESTIONS: Readonly<Record<SchoolOf['question'], string>> = {
	'how-wide': 'How wide',
	sharp: 'What is sharp',
	surface: 'The surface of focus',
	shutter: 'The shutter by hand',
	point: 'Who chooses the point',
	gives: 'What gives'
};

export const SCHOOLS: Readonly<Record<SchoolOf['school'] | ShutterSchool['school'], string>> = {
	'all-sharp': 'as wide as everyone stays sharp',
	widest: 'as wide as the lens goes',
	'two-down': 'two stops down, for the lens’s best',
	'three-down': 'three stops down, for the lens’s best',
	computed: 'by what it spoils',
	'one-over': 'one over the focal length',
	'one-over-twice': 'one over twice the focal length',
	album: 'a small print held in the hand',
	screen: 'full screen',
	pixel: 'pixel by pixel',
	point: 'a point placed by hand',
	'eye-found': 'the camera finds the eye',
	area: 'the camera, in an area',
	'whole-frame': 'the camera, in the whole frame',
	'hand-magnified': 'nobody: by hand, magnified',
	'hand-finder': 'nobody: by hand, through the finder',
	flat: 'a flat plane',
	shell: 'bent around the camera',
	'iso-rises': 'the ISO rises, the shutter stays fast',
	'iso-lowest': 'the ISO stays at its lowest',
	group: 'for groups, at the slowest',
	'group-better': 'for groups, better',
	children: 'with children'
};

/** Ways to get the focus where it belongs. */
export const FOCUS_WAYS: Readonly<Record<FocusWay, string>> = {
	'move-point': 'move the point',
	'reframe-wrists': 'lock and turn the wrists',
	'reframe-body': 'lock and turn the upper body',
	lean: 'lock and lean onto the computed plane',
	manual: 'by hand, magnified'
};

import type { Caution } from '$core/format/reasons';

/** Not legal or medical advice: local rules, venue staff and licensed people come first. */
const CAUTIONS: Readonly<Record<Caution['code'], string>> = {
	'flash-infant': 'Keep the flash away from an infant’s eyes.',
	'flash-animal': 'Ask before using flash near an animal.',
	'flash-people': 'Ask whether anyone is sensitive to flashes of light.',
	sun: 'Never look at the sun through a long lens or an optical finder, nor leave a lens facing it.',
	'raised-camera': 'A raised camera needs a safe place to stand: no improvised platforms.',
	'raised-people':
		'On steps, walls, piers, rocks or near traffic, keep people back from the edge; never on a railway.',
	support: 'Stands and cables trip people: weight them, mark them, keep walkways and stairs free.',
	permission: 'Have permission for pictures of children, and for the place.',
	'permission-people': 'Have permission for the place and for pictures of people.'
};

export const cautionText = ({ code }: Caution): string => CAUTIONS[code];

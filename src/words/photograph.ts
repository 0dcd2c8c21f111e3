import type { LensFound } from '$core/photograph/lensOf';
import { capital, count, distance, fStop, rounded, smallLength, type Units } from './numbers';

/** What a photograph tells, in words. */

/** "Fifteen faces found, three rows." */
export function facesFound(faces: number, rows: number): string {
	if (faces === 0) return 'No face was found.';
	const found = `${capital(count(faces))} ${faces === 1 ? 'face' : 'faces'} found`;
	return rows > 1 ? `${found}, ${count(rows)} rows.` : `${found}.`;
}

/** "4.20 m, give or take 20 cm" */
export const unsureDistance = (metres: number, sigmaM: number, units: Units): string =>
	`${distance(metres, units)}, give or take ${smallLength(sigmaM, units)}`;

/** How the lens of a photograph is known. */
export function lensKnownWords({ by }: LensFound, focalMm: number | undefined): string {
	const engraved = focalMm === undefined ? 'its lens' : `${rounded(focalMm, 1)} mm`;
	return {
		kit: `The file says ${engraved}, on a body of your kit.`,
		sensor: `The file says ${engraved}, and how large its sensor is.`,
		equivalent: 'The file says what its lens frames like on full frame.'
	}[by];
}

/** What distances that are not sure cost: "From the photograph, give or take 20 cm: f/6.3; f/4.5 if you measure." */
export function unsureSentence(
	sigmaM: number,
	fNumber: number,
	measuredFNumber: number,
	units: Units
): string {
	const said = `From the photograph, give or take ${smallLength(sigmaM, units)}`;
	return measuredFNumber === fNumber
		? `${said}: measured, it would be the same.`
		: `${said}: ${fStop(fNumber)}; ${fStop(measuredFNumber)} if you measure.`;
}

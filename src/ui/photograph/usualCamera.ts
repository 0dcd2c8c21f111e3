import type { Shot } from '$core/format/shot';
import type { PhotographFacts } from '$core/photograph/lensOf';
import type { RealCamera } from '$core/photograph/stage';
import type { Kit } from '../kit/kit.svelte';

/** The camera of a photograph where it is of the kit, else what is used anyway, framed alike. */
export function usualCamera(facts: PhotographFacts, kit: Kit, base: Shot): RealCamera {
	const { bodyName, lensName, focalMm } = facts;
	const body = kit.contents.bodies.find((one) => one.body.name === bodyName)?.body;
	const lens = body && kit.lensesFor(body).find(({ name }) => name === lensName);
	if (body && lens && focalMm !== undefined) return { body, lens, focalMm, isFramedAlike: false };
	return { body: base.body, lens: base.lens, focalMm: base.camera.focalMm, isFramedAlike: true };
}

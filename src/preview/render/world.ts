import { Scene, type IUniform } from 'three';
import { COARSEST, detailsFor, figurePartsOf } from '../assemble';
import { pupilRadiusM } from '../lens/lensUniforms';
import { lookOf, paletteOf } from '../looks';
import type { Subject } from '../scene';
import type { PartStore } from '../sculpt/store';
import { backdropMesh } from '../things/backdrop';
import { chartFills, chartMeshes } from '../things/chart';
import { floorMesh, shadowMesh } from '../things/floor';
import { lampsOf, type Lamp } from '../things/lamps';
import { heldObject } from '../things/object';
import { panelMesh } from '../things/panel';
import { bake, type Placed } from './bake';
import { figureMeshes } from './figureMeshes';
import { lightingOf } from './lighting';
import type { Painter } from './painter';
import { outsideOf, reaches } from './reach';

/** A scene as three draws it for one view: what cannot be in the view is left out. */
export interface World {
	readonly root: Scene;
	readonly lamps: readonly Lamp[];
	/** Whether something is coarser than it should be. */
	readonly isRough: boolean;
	dispose(): void;
}

/** What is made once and used in every picture. */
export interface Workshop {
	readonly parts: PartStore;
	readonly painter: Painter;
}

/**
 * Builds what a view shows.
 *
 * @param uniforms those of its lens
 * @param inHaste  takes coarse parts where fine ones would have to be sculpted first
 */
export function buildWorld(
	subject: Subject,
	{ parts, painter }: Workshop,
	uniforms: Record<string, IUniform>,
	inHaste: boolean
): World {
	const { scene, setting, window, widthPx } = subject;
	const { figures, things, ground } = scene;
	const lighting = lightingOf(scene, setting);
	const pxPerMAtOneM = (setting.focus.imageDistanceMm * widthPx) / window.widthMm;
	const outside = outsideOf(subject);
	const sight = { pupilRadiusM: pupilRadiusM(setting), outside };
	// nearer ones first: they spare the work on what they cover
	const seen = figures
		.filter((figure) => reaches(figure, outside))
		.sort((a, b) => a.head.origin.z - b.head.origin.z);
	let isRough = false;
	const figureParts = seen.flatMap((figure): Placed[] => {
		const look = lookOf(figure.id, figure.build);
		const palette = paletteOf(look);
		const wanted = figurePartsOf(figure, look, detailsFor(figure, pxPerMAtOneM), ground);
		const isReady = !inHaste || wanted.every(({ name }) => parts.has(name));
		if (!isReady) isRough = true;
		const used = isReady ? wanted : figurePartsOf(figure, look, COARSEST, ground);
		return used.map(({ name, matrix }) => ({
			part: parts.of(name),
			matrix,
			palette,
			acrossMPerS: figure.acrossMPerS
		}));
	});
	const held = things
		.filter(({ look }) => look === 'object')
		.flatMap((thing): Placed[] => {
			const { colours, name, matrix } = heldObject(thing);
			return [{ part: parts.of(name), matrix, palette: paletteOf({ colours }), acrossMPerS: 0 }];
		});
	const panels = things.flatMap(
		(thing) => panelMesh(thing, subject, lighting, uniforms, painter) ?? []
	);
	const isFilled = things.some((thing) => chartFills(thing, subject));
	const backdrop = isFilled ? null : backdropMesh(subject, lighting, uniforms, painter);
	const painted = [...panels, ...(backdrop ? [backdrop] : [])];
	const meshes = [
		...figureMeshes(bake([...figureParts, ...held], lighting, sight), lighting, uniforms),
		...panels.map(({ mesh }) => mesh),
		...things.flatMap((thing) => chartMeshes(thing, lighting, uniforms)),
		...(backdrop ? [backdrop.mesh] : []),
		...(isFilled ? [] : [floorMesh(scene, setting.focus.fieldCurvature, lighting, uniforms)]),
		...(seen.length > 0 ? [shadowMesh(seen, ground, uniforms)] : [])
	];
	const root = new Scene();
	// in this order: what lies behind is drawn last, where it is still to be seen
	root.add(...meshes);
	for (const mesh of meshes) mesh.frustumCulled = false;
	return {
		root,
		isRough,
		lamps: things.flatMap(lampsOf).map((lamp) => dimmed(lamp, lighting.room)),
		dispose() {
			// materials are left to the garbage collector: disposing of the last one of a kind would
			// throw its program away, and the next picture would have to compile it again
			for (const { geometry } of meshes) geometry.dispose();
			for (const { painting } of painted) painting.dispose();
		}
	};
}

const dimmed = (lamp: Lamp, share: number): Lamp => ({
	...lamp,
	power: [lamp.power[0] * share, lamp.power[1] * share, lamp.power[2] * share]
});

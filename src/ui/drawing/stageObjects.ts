/** An object of the stage. A row is named by one of its people. */
export type ObjectRef =
	| { readonly kind: 'person'; readonly id: string }
	| { readonly kind: 'thing'; readonly id: string }
	| { readonly kind: 'row'; readonly id: string }
	| { readonly kind: 'camera'; readonly id: 'camera' }
	| { readonly kind: 'plane'; readonly id: 'plane' };

export const CAMERA: ObjectRef = { kind: 'camera', id: 'camera' };
export const PLANE: ObjectRef = { kind: 'plane', id: 'plane' };

export const sameObject = (a: ObjectRef | null, b: ObjectRef | null): boolean =>
	a?.kind === b?.kind && a?.id === b?.id;

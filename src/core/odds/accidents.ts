/** What happened to the camera in one frame. */
export interface CameraAccidents {
	/** Forward, m. */
	readonly cameraM: number;
	/** Image distance focused at, mm. */
	readonly imageMm: number;
	/** mm/s on the sensor. */
	readonly shakeMmPerS: number;
}

/** The accidents of one frame. */
export interface Accidents extends CameraAccidents {
	/** Those with a target first, in the order of the conditions, then the others. */
	readonly people: readonly PersonAccidents[];
}

/** How one person moved in one frame. */
export interface Moved {
	/** Away from the camera, m. */
	readonly awayM: number;
	/** Across the frame, mm/s. */
	readonly speedMmPerS: number;
}

interface PersonAccidents extends Moved {
	readonly personId: string;
	readonly isShut: boolean;
}

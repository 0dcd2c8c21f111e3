/** Why a context cannot draw pictures, in words; null when it can. */
export function whyNoPictures(context: WebGL2RenderingContext | null): string | null {
	if (!context) return 'this browser does not offer WebGL 2';
	if (!context.getExtension('EXT_color_buffer_float')) {
		return 'this device’s graphics cannot add up light exactly';
	}
	return null;
}

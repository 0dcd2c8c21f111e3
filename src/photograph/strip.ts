/** Pixels along the long side of a picture on a strip. */
export const STRIP_PX = 320;

export { artSchema, artSize, type Art, type PixelArt, type VectorNodes } from './art.ts';
export { ART_LIMITS } from './limits.ts';
export { orientationMap } from './orientation.ts';
export { readPixels } from './pixels.ts';
export { readArt, vectorNodes, type ReadArt } from './read.ts';
export { parseSvg, type SvgPicture } from './svg.ts';

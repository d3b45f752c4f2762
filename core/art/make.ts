import { contentHash, ok, type Platform, type Result } from '../base/index.ts';
import { encodePngImage, type RgbaImage } from '../raster/index.ts';
import { artSize, type Art, type PixelArt, type VectorArt, type VectorNodes } from './art.ts';
import { readPixels } from './pixels.ts';
import { makePixels, makeVector, type Recipe } from './recipe.ts';
import { vectorNodes, type ReadArt } from './read.ts';
import { writeVector } from './svg/kept.ts';
import { spreadImage, spreadShapes } from './spread.ts';

/** What of known art goes on to art that is made from it. */
type Known = Pick<Art, 'name' | 'tags' | 'source' | 'licence'>;

const knownOf = ({ name, tags, source, licence }: Known): Known => ({
  name,
  tags,
  ...(source === undefined ? {} : { source }),
  ...(licence === undefined ? {} : { licence }),
});

/** A picture of pixels as art, kept as PNG with its resolution. */
export function pixelArt(image: RgbaImage, dpi: number, known: Known): ReadArt {
  const bytes = encodePngImage(image, dpi);
  const art: PixelArt = {
    ...knownOf(known),
    kind: 'pixels',
    id: contentHash(bytes),
    format: 'png',
    pixelWidth: image.width,
    pixelHeight: image.height,
    orientation: 1,
    dpi,
    dpiKnown: true,
  };
  return { art, bytes, leftOut: [] };
}

/** Drawn shapes as art, kept as SVG. */
export function vectorArt(
  nodes: VectorNodes,
  { width, height }: { width: number; height: number },
  known: Known,
): ReadArt {
  const bytes = writeVector(nodes, { width, height });
  const art: VectorArt = {
    ...knownOf(known),
    kind: 'vector',
    id: contentHash(bytes),
    width,
    height,
  };
  return { art, bytes, leftOut: [] };
}

/** Makes art from other art by a recipe. The other stays; what was done can be changed later. */
export async function makeArt(
  platform: Platform,
  { art, bytes }: { art: Art; bytes: Uint8Array },
  recipe: Recipe,
): Promise<Result<ReadArt>> {
  const made = { from: art.id, recipe };
  if (recipe.kind === 'vector') {
    const nodes = makeVector(vectorNodes(bytes), recipe, artSize(art).width);
    const read = vectorArt(nodes, artSize(art), art);
    return ok({ ...read, art: { ...read.art, made } });
  }
  if (art.kind === 'vector') {
    if (recipe.kind !== 'spread') return ok({ art, bytes, leftOut: [] });
    const { width, height } = artSize(art);
    const size = { width: width + 2 * recipe.by, height: height + 2 * recipe.by };
    const read = vectorArt(spreadShapes(vectorNodes(bytes), recipe.by), size, art);
    return ok({ ...read, art: { ...read.art, made } });
  }
  const image = await readPixels(platform, bytes, art.name);
  if (!image.ok) return image;
  const grown =
    recipe.kind === 'spread'
      ? spreadImage(image.value, Math.ceil((recipe.by * art.dpi) / 25.4))
      : makePixels(image.value, recipe);
  return ok(madePixels(grown, art, recipe));
}

/** Art of pixels that were made from other art by a recipe. */
export function madePixels(image: RgbaImage, from: PixelArt, recipe: Recipe): ReadArt {
  const read = pixelArt(image, from.dpi, from);
  return { ...read, art: { ...read.art, made: { from: from.id, recipe } } };
}

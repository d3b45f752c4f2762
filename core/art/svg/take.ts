import {
  dataAddress,
  err,
  findDataBytes,
  ok,
  problem,
  ProblemError,
  type Platform,
  type Result,
} from '../../base/index.ts';
import { walkDrawing } from '../../drawing/index.ts';
import { encodePngImage } from '../../raster/index.ts';
import { isPixels, sniffFormat } from '../header.ts';
import { ART_LIMITS } from '../limits.ts';
import type { ArtNote } from '../notes.ts';
import type { ArtOmission } from '../omissions.ts';
import { decodeFile, readPixels } from '../pixels.ts';
import { drawResolved, framed, type HeldPicture } from './drawn.ts';
import { svgDrawer, type SvgDrawer } from './library.ts';
import type { SvgPicture } from './picture.ts';
import { pixelDrawer } from './pixels.ts';
import { repairSvg } from './repair.ts';
import { parseSvgTree, type SvgElement, type SvgTree } from './tree.ts';
import { withTypefaces, type LoadedFace, type OwnFaces } from './typefaces.ts';
import { checkUnfolded } from './unfolded.ts';

/** Steps of all paths of a drawing together. */
const MOST_STEPS = 1_000_000;

/** Drawings in drawings. */
const MOST_DEPTH = 3;

/** What no drawing of ours can hold. */
const FOREIGN = ['foreignObject', 'flowRoot', 'video', 'audio', 'iframe', 'canvas'];

/**
 * Takes in an SVG as it is drawn: a well-kept library resolves styles, references, units and text into
 * plain shapes, and these become nodes in mm. Scripts, and whatever lies outside the file, are never
 * looked at. What would unfold to too much is refused before.
 */
export async function takeSvg(
  platform: Platform,
  bytes: Uint8Array,
  name: string,
  own?: OwnFaces,
): Promise<Result<SvgPicture>> {
  return takenOrRefused(platform, { bytes, name, depth: 0, own });
}

async function takenOrRefused(platform: Platform, file: SvgFile): Promise<Result<SvgPicture>> {
  const { name } = file;
  try {
    return await taken(platform, file);
  } catch (error) {
    if (error instanceof ProblemError) return { ok: false, problem: error.problem };
    return /invalid size/.test(String(error))
      ? err('art/no-size', { name }, name)
      : err('art/broken', { name, kind: 'svg' }, name);
  }
}

/** A file, and in how many others it stands as a picture. */
interface SvgFile {
  readonly bytes: Uint8Array;
  readonly name: string;
  readonly depth: number;
  readonly own: OwnFaces | undefined;
}

async function taken(platform: Platform, file: SvgFile): Promise<Result<SvgPicture>> {
  const { bytes, name } = file;
  const repaired = repairSvg(bytes, name);
  const source = parseSvgTree(repaired, name);
  checkUnfolded(source, name);
  const all = elementsOf(source.root);
  const withWords = all.some((element) => /^(svg:)?text$/.test(element.name));
  const own = withWords ? await ownFaces(repaired, file.own) : [];
  const { text, notes } = withWords ? withTypefaces(repaired, own) : { text: repaired, notes: [] };
  const drawer = await svgDrawer(platform, withWords ? own.map((face) => face.bytes) : undefined);
  const resolved = parseSvgTree(drawer.resolved(text), name);
  const { held, lost } = await heldPictures(platform, resolved, file);
  // What is resolved has no words any more: it is drawn without the typefaces.
  const plain = withWords ? await svgDrawer(platform) : drawer;
  const drawn = draw(resolved, held, { drawer: plain, notes });
  if (!drawn) return err('art/no-size', { name }, name);
  if (drawn.nodes.length === 0)
    return err('art/broken', { name, kind: 'svg-without-drawing' }, name);
  checkSize(drawn.nodes, name);
  const [width, height] = [rounded(drawn.width), rounded(drawn.height)];
  return ok({
    width,
    height,
    nodes: framed(drawn),
    leftOut: omissions(all, lost + unheld(all, drawer)),
    notes,
  });
}

/** The own typefaces that a text may name and that are still there. */
async function ownFaces(text: string, own: OwnFaces | undefined): Promise<LoadedFace[]> {
  const lower = text.toLowerCase();
  const named = (own?.faces ?? []).filter(({ family }) => lower.includes(family.toLowerCase()));
  const loaded = await Promise.all(
    named.map(async ({ id, family }) => ({ family, bytes: await own?.bytes(id) })),
  );
  return loaded.flatMap(({ family, bytes }) => (bytes ? { family, bytes } : []));
}

/** Sizes are kept to 0.1 µm; the library counts in single precision. */
const rounded = (mm: number): number => Math.round(mm * 1e4) / 1e4;

function draw(
  resolved: SvgTree,
  held: ReadonlyMap<string, HeldPicture>,
  { drawer, notes }: { drawer: SvgDrawer; notes: ArtNote[] },
): ReturnType<typeof drawResolved> {
  const { root } = resolved;
  const pixels = root && pixelDrawer(root, drawer);
  return drawResolved(resolved, {
    picture: (address) => held.get(address),
    pixels(element, map) {
      const code = element.name === 'g' ? 'filters-as-pixels' : 'patterns-as-pixels';
      if (!notes.some((note) => note.code === code)) notes.push({ code, values: {} });
      return pixels?.(element, map);
    },
  });
}

function elementsOf(root: SvgElement | undefined): SvgElement[] {
  const found: SvgElement[] = root ? [root] : [];
  for (let at = 0; at < found.length; at++) found.push(...(found[at] as SvgElement).children);
  return found;
}

/** The pictures that a drawing holds, as they are kept: decoded once to be sure that they can be. */
async function heldPictures(
  platform: Platform,
  { root }: SvgTree,
  file: SvgFile,
): Promise<{ held: Map<string, HeldPicture>; lost: number }> {
  const held = new Map<string, HeldPicture>();
  let lost = 0;
  let pixels = 0;
  for (const { name: element, attributes } of elementsOf(root)) {
    const address = attributes['xlink:href'] ?? attributes.href;
    if (element !== 'image' || address === undefined || held.has(address)) continue;
    const found = await heldPicture(platform, address, file);
    pixels += found && 'address' in found ? found.width * found.height : 0;
    if (pixels > ART_LIMITS.pixels)
      throw new ProblemError(
        problem(
          'art/too-large',
          { name: file.name, ...sizeOf(found), most: ART_LIMITS.pixels },
          file.name,
        ),
      );
    if (found) held.set(address, found);
    else if (!address.startsWith('data:image/raw')) lost++;
  }
  return { held, lost };
}

const sizeOf = (picture: HeldPicture | undefined): { width: number; height: number } => ({
  width: picture?.width ?? 0,
  height: picture?.height ?? 0,
});

async function heldPicture(
  platform: Platform,
  address: string,
  { name, depth, own }: SvgFile,
): Promise<HeldPicture | undefined> {
  const bytes = findDataBytes(address);
  const format = bytes && sniffFormat(bytes);
  if (bytes && format === 'svg' && depth < MOST_DEPTH) {
    const inner = await takenOrRefused(platform, { bytes, name, depth: depth + 1, own });
    return inner.ok ? inner.value : undefined;
  }
  if (!bytes || !isPixels(format)) return undefined;
  const read = await decodeFile(platform, { format, bytes, name });
  if (!read.ok) return undefined;
  const { width, height, orientation } = read.value.header;
  if ((format === 'png' || format === 'jpeg') && orientation === 1)
    return { address: dataAddress(`image/${format}`, bytes), width, height };
  const upright = await readPixels(platform, bytes, name);
  if (!upright.ok) return undefined;
  const png = encodePngImage(upright.value);
  const { width: wide, height: high } = upright.value;
  return { address: dataAddress('image/png', png), width: wide, height: high };
}

function checkSize(nodes: SvgPicture['nodes'], name: string): void {
  let shapes = 0;
  let steps = 0;
  walkDrawing({ nodes, symbols: {} }, (node) => {
    if (node.kind === 'path' || node.kind === 'image') shapes++;
    if (node.kind === 'path') steps += node.path.length;
  });
  if (shapes > ART_LIMITS.shapes || steps > MOST_STEPS)
    throw new ProblemError(problem('art/too-many-shapes', { name, most: ART_LIMITS.shapes }, name));
}

/** How many pictures of a file the library passes over: those that it only names, and those that are broken. */
const unheld = (elements: readonly SvgElement[], drawer: SvgDrawer): number =>
  elements.filter(({ name, attributes }) => {
    const address = attributes.href ?? attributes['xlink:href'];
    if (!/^(svg:)?image$/.test(name) || !address) return false;
    const bytes = findDataBytes(address);
    if (!bytes) return !address.trim().startsWith('data:');
    const format = sniffFormat(bytes);
    return format === undefined || (format === 'svg' && !canResolve(bytes, drawer));
  }).length;

function canResolve(bytes: Uint8Array, drawer: SvgDrawer): boolean {
  try {
    return drawer.resolved(new TextDecoder().decode(bytes)) !== '';
  } catch {
    return false;
  }
}

function omissions(elements: readonly SvgElement[], count: number): ArtOmission[] {
  const names = new Set(elements.map(({ name }) => name.replace(/^svg:/, '')));
  return [
    ...FOREIGN.filter((name) => names.has(name)).map((name): ArtOmission => ({
      code: 'element',
      values: { name },
    })),
    ...(count ? [{ code: 'pictures' as const, values: { count } }] : []),
  ];
}

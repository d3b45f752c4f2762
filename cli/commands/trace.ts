import {
  clearBackground,
  traceImage,
  traceVector,
  USUAL_CLEARING,
  USUAL_SPECK,
  USUAL_TOLERANCE,
  vectorNodes,
  type ReadArt,
  type Traced,
} from '../../core/art/index.ts';
import { pathData, written } from '../../core/drawing/index.ts';
import {
  boxAround,
  boxOf,
  flatten,
  mapPath,
  scaling,
  signedArea,
  translation,
  type Path,
} from '../../core/geometry/index.ts';
import { buildEdge, pathPart, plainBuild, shapePath } from '../../core/shape/index.ts';
import { length, needed, readOptions, refuse } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { writeWhole } from '../files.ts';
import { expectIn, namedFile, number, oneOf, pixelsOf, readPicture } from '../pictures.ts';

interface Sized {
  readonly traced: Traced;
  /** Of the whole picture, mm. */
  readonly width: number;
  readonly height: number;
}

interface Size {
  /** mm */
  readonly width: number | undefined;
  readonly dpi: number | undefined;
}

/** A picture that is opaque all over stands on paper: its paper is cleared first, if that leaves something. */
async function tracePixels(
  read: ReadArt,
  { width, dpi }: Size,
  { path, tolerance }: { path: string; tolerance: number },
): Promise<Sized> {
  const seen = await pixelsOf(read, path);
  const opaque = seen.data.every((value, at) => at % 4 !== 3 || value > 250);
  const cleared = opaque ? clearBackground(seen, USUAL_CLEARING).image : seen;
  const something = cleared.data.some((value, at) => at % 4 === 3 && value > 127);
  const own = read.art.kind === 'pixels' ? read.art.dpi : 300;
  const perMm = width === undefined ? (dpi ?? own) / 25.4 : seen.width / width;
  const image = something ? cleared : seen;
  const traced = expectIn(path, traceImage(image, { perMm, tolerance, least: USUAL_SPECK }));
  return { traced, width: seen.width / perMm, height: seen.height / perMm };
}

function traceShapes({ art, bytes }: ReadArt, { width, dpi }: Size, path: string): Sized {
  if (art.kind !== 'vector') throw new TypeError('no vector picture');
  const scale = width === undefined ? 96 / (dpi ?? 96) : width / art.width;
  const nodes = [
    { kind: 'group' as const, transform: scaling(scale), children: vectorNodes(bytes) },
  ];
  return {
    traced: expectIn(path, traceVector(nodes)),
    width: art.width * scale,
    height: art.height * scale,
  };
}

function svgOf(path: Path, { width, height }: Sized): string {
  const box = boxAround([
    { left: 0, top: 0, right: width, bottom: height },
    boxOf(flatten(path).flat()) ?? { left: 0, top: 0, right: width, bottom: height },
  ]) ?? { left: 0, top: 0, right: width, bottom: height };
  const [w, h] = [written(box.right - box.left), written(box.bottom - box.top)];
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" ` +
    `viewBox="${written(box.left)} ${written(box.top)} ${w} ${h}">\n` +
    `<path id="edge" fill="none" stroke="#000000" stroke-width="0.1" fill-rule="evenodd" d="${pathData(path)}"/>\n</svg>\n`
  );
}

export const trace: CliCommand = {
  does: 'Traces an edge around a picture, as SVG in mm.',
  example: 'peel trace thistle.png --out edge.svg --offset -1.5mm',
  usage:
    'peel trace IMAGE --out EDGE.svg [--width MM | --dpi N] [--offset MM] [--corners round|miter|bevel] [--holes keep|fill] [--tolerance MM] [--json]',
  async run(argv, reader) {
    const given = readOptions(argv, [
      'out',
      'width',
      'dpi',
      'offset',
      'corners',
      'holes',
      'tolerance',
    ]);
    const path = namedFile(given, 'picture');
    const out = needed(given, 'out');
    if (given.options.width !== undefined && given.options.dpi !== undefined)
      refuse('--width and --dpi were both given.', 'Give one of them.', '--dpi');
    const width = given.options.width === undefined ? undefined : length(given, 'width');
    if (width !== undefined && !(width > 0 && width <= 2000))
      refuse(
        `--width: ${width} mm is too ${width > 0 ? 'large' : 'small'}.`,
        'Write a width of more than nothing and up to 2000 mm.',
        '--width',
      );
    const dpi =
      given.options.dpi === undefined
        ? undefined
        : number(given, 'dpi', { least: 1, most: 9600, other: 300 });
    const offset = length(given, 'offset', 0);
    if (Math.abs(offset) > 50)
      refuse(`--offset: ${offset} mm is not accepted.`, 'Write from -50 to 50 mm.', '--offset');
    const corners = oneOf(given, 'corners', ['round', 'miter', 'bevel'], 'round');
    const holes = oneOf(given, 'holes', ['keep', 'fill'], 'keep');
    const tolerance = length(given, 'tolerance', USUAL_TOLERANCE);
    if (!(tolerance > 0 && tolerance <= 5))
      refuse(`--tolerance: ${tolerance} mm is not accepted.`, 'Write up to 5 mm.', '--tolerance');
    const read = await readPicture(path, reader);
    const sized =
      read.art.kind === 'vector'
        ? traceShapes(read, { width, dpi }, path)
        : await tracePixels(read, { width, dpi }, { path, tolerance });
    const { traced } = sized;
    const built = expectIn(
      path,
      buildEdge({
        ...plainBuild({ kind: 'circle', diameter: 1 }, 'trace'),
        parts: [pathPart(traced.path, 'trace')],
        offset,
        corners: corners === 'miter' ? 'mitre' : corners,
        holes,
      }),
    );
    const edge = mapPath(shapePath(built.shape), translation(built.centre.x, built.centre.y));
    writeWhole(out, svgOf(edge, sized));
    const area = flatten(edge).reduce((sum, ring) => sum + signedArea(ring), 0);
    const round = (value: number, digits: number): number => Number(value.toFixed(digits));
    const document = {
      file: out,
      width: round(sized.width, 3),
      height: round(sized.height, 3),
      nodes: built.nodes,
      deviation: round(traced.deviation, 4),
      parts: built.parts,
      holes: built.holes,
      area: round(area, 2),
    };
    return {
      exit: 0,
      document,
      text: `${out}: ${built.nodes} nodes, ${built.parts} part(s), ${built.holes} hole(s), within ${document.deviation} mm`,
    };
  },
};

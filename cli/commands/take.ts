import { basename } from 'node:path';
import { artSize, vectorNodes, type TakenArt } from '../../core/art/index.ts';
import { walkDrawing } from '../../core/drawing/index.ts';
import { scaling } from '../../core/geometry/index.ts';
import { drawShapes } from '../../core/output/index.ts';
import { encodePngImage, warpImage, type RgbaImage } from '../../core/raster/index.ts';
import { nodePlatform } from '../../devices/wire/index.ts';
import { artNoteTexts, omissionsText } from '../../messages/index.ts';
import { needed, readOptions, refuse, refuseIn } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { readBytes, writeWhole } from '../files.ts';
import { namedFile, number, pixelsOf } from '../pictures.ts';
import { terminalTask } from '../terminal-task.ts';

const USUAL_DPI = 300;

/** The whole frame of art, clear where nothing prints. */
async function frameOf(taken: TakenArt, dpi: number, path: string): Promise<RgbaImage> {
  const { art, bytes } = taken;
  const { width, height } = artSize(art);
  if (art.kind === 'vector')
    return drawShapes(nodePlatform, { width, height, nodes: vectorNodes(bytes) }, dpi);
  const image = await pixelsOf(taken, path);
  const size = {
    width: Math.max(1, Math.round((width * dpi) / 25.4)),
    height: Math.max(1, Math.round((height * dpi) / 25.4)),
  };
  return size.width === image.width && size.height === image.height
    ? image
    : warpImage(image, scaling(image.width / size.width, image.height / size.height), size);
}

function kindOf({ art, bytes }: TakenArt): 'shapes' | 'pixels' | 'both' {
  if (art.kind === 'pixels') return 'pixels';
  let [shapes, pixels] = [false, false];
  walkDrawing({ nodes: vectorNodes(bytes), symbols: {} }, ({ kind }) => {
    if (kind === 'image') pixels = true;
    if (kind === 'path') shapes = true;
  });
  return pixels ? (shapes ? 'both' : 'pixels') : 'shapes';
}

export const take: CliCommand = {
  does: 'Takes in a picture of any kind and draws it as it would print.',
  example: 'peel take thistle.svg --out thistle.png --dpi 600',
  usage: 'peel take FILE --out PNG [--dpi N] [--json]',
  async run(argv, reader) {
    const given = readOptions(argv, ['out', 'dpi']);
    const path = namedFile(given, 'picture');
    const out = needed(given, 'out');
    const dpi = number(given, 'dpi', { least: 10, most: 2400, other: USUAL_DPI });
    const began = performance.now();
    const { taken, refused } = await reader.takeIn(
      { bytes: readBytes(path), name: basename(path) },
      { choices: { dpi }, task: terminalTask() },
    );
    const seconds = Math.round(performance.now() - began) / 1000;
    const [one] = taken;
    if (!one && refused[0]) return refuseIn(path, refused[0].problem);
    if (!one || taken.length > 1)
      return refuse(`${path} holds several pictures.`, 'Use “peel split” for it.', path);
    writeWhole(out, encodePngImage(await frameOf(one, dpi, path), dpi));
    const { width, height } = artSize(one.art);
    const notes = artNoteTexts(one.notes);
    const kind = kindOf(one);
    return {
      exit: 0,
      document: {
        kind,
        width,
        height,
        asPixels: (one.notes ?? []).flatMap(({ code }) =>
          code.endsWith('-as-pixels') ? [code.replace('-as-pixels', '')] : [],
        ),
        leftOut: one.leftOut.map((part) => omissionsText([part])),
        notes,
        seconds,
      },
      text: [
        `${width.toFixed(1)} × ${height.toFixed(1)} mm, ${kind}`,
        ...(one.leftOut.length ? [`without its ${omissionsText(one.leftOut)}`] : []),
        ...notes,
      ].join('\n'),
    };
  },
};

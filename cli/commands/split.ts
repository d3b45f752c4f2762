import { basename } from 'node:path';
import {
  artSize,
  clearBackground,
  partImage,
  readPixels,
  splitPage,
  USUAL_CLEARING,
  USUAL_SPLITTING,
  vectorNodes,
  type TakenArt,
} from '../../core/art/index.ts';
import { drawShapes } from '../../core/output/index.ts';
import { encodePngImage, type RgbaImage } from '../../core/raster/index.ts';
import { problemText } from '../../messages/index.ts';
import { length, needed, readOptions, refuseIn } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { readBytes, writeInto } from '../files.ts';
import { nodePlatform } from '../../devices/wire/index.ts';
import { expectIn, namedFile, number } from '../pictures.ts';
import { terminalTask } from '../terminal-task.ts';

const USUAL_DPI = 300;

async function pageImage(
  { art, bytes }: TakenArt,
  { path, dpi }: { path: string; dpi: number },
): Promise<RgbaImage> {
  return art.kind === 'vector'
    ? drawShapes(nodePlatform, { ...artSize(art), nodes: vectorNodes(bytes) }, dpi)
    : expectIn(path, await readPixels(nodePlatform, bytes, art.name));
}

export const split: CliCommand = {
  does: 'Splits a picture, a PDF or a ZIP of pages into pieces of art.',
  example: 'peel split page.pdf --out pieces --gap 1.5mm',
  usage: 'peel split FILE --out DIR [--dpi N] [--gap MM] [--min-area MM2] [--json]',
  async run(argv, reader) {
    const given = readOptions(argv, ['out', 'dpi', 'gap', 'min-area']);
    const path = namedFile(given, 'file');
    const out = needed(given, 'out');
    const asked = number(given, 'dpi', { least: 10, most: 2400, other: USUAL_DPI });
    const gap = length(given, 'gap', USUAL_SPLITTING.gap);
    const least = number(given, 'min-area', {
      least: 0,
      most: 100_000,
      other: USUAL_SPLITTING.least,
    });
    const { taken, refused } = await reader.takeIn(
      { bytes: readBytes(path), name: basename(path) },
      { choices: { dpi: asked }, task: terminalTask() },
    );
    const [first] = refused;
    if (taken.length === 0 && first) refuseIn(path, first.problem);
    const digits = String(taken.length * 20).length;
    const pieces: { file: string; page: number; bounds: number[]; title?: true }[] = [];
    for (const [index, page] of taken.entries()) {
      // A drawn page has the resolution asked for; --dpi also replaces that of a picture.
      const own = page.art.kind === 'pixels' ? page.art.dpi : asked;
      const dpi = given.options.dpi === undefined ? own : asked;
      const { image } = clearBackground(
        await pageImage(page, { path, dpi: asked }),
        USUAL_CLEARING,
      );
      const done = splitPage(image, { perMm: dpi / 25.4, gap, least });
      for (const part of done.parts) {
        const file = `piece-${String(pieces.length + 1).padStart(Math.max(2, digits), '0')}.png`;
        writeInto(out, file, encodePngImage(partImage(image, done, part), dpi));
        pieces.push({
          file,
          page: index + 1,
          bounds: [part.left, part.top, part.right, part.bottom],
          ...(part.title ? { title: true } : {}),
        });
      }
    }
    return {
      exit: 0,
      document: {
        pages: taken.map(({ path: from }, index) => ({ page: index + 1, file: from })),
        pieces,
        refused: refused.map(({ path: file, problem }) => ({
          file,
          what: problemText(problem).what,
        })),
      },
      text: [
        ...pieces.map(({ file, title }) => `${file}${title ? ' (headline)' : ''}`),
        ...refused.map(
          ({ path: file, problem }) => `left out ${file}: ${problemText(problem).what}`,
        ),
      ].join('\n'),
    };
  },
};

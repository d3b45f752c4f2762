import type { Platform } from '../base/index.ts';
import { solid, type Drawing, type DrawingNode } from '../drawing/index.ts';
import { linesPath, rectanglePath, ringsPath, translation, type Ring } from '../geometry/index.ts';
import { HPGL_PENS, writePdf } from '../output/index.ts';
import { renderPdf } from '../pdf/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import type { SheetPicture } from '../register/index.ts';
import type { CutPath } from './devices.ts';

/** A picture of a sheet and what was done to it. */
export interface RunPictures {
  /** The sheet with the lines that the knife followed. */
  readonly cut: RgbaImage;
  /** The labels alone, as they were peeled off. */
  readonly peeled: RgbaImage;
}

const SHEET = 'sheet';
const PICTURE_DPI = 120;
const RELEASE = '#e9e2d6';
const LINES: Record<number, { color: string; dash?: readonly number[] }> = {
  [HPGL_PENS.kiss]: { color: '#0f7c86', dash: [1.4, 0.8] },
  [HPGL_PENS.through]: { color: '#3b3a9c' },
  [HPGL_PENS.crease]: { color: '#8a640c', dash: [0.2, 0.7] },
};

/** Draws the cut sheet and the peeled labels from what the sensor saw and where the knife went. */
export async function runPictures(
  platform: Platform,
  sensor: SheetPicture,
  { cuts, labels }: { cuts: readonly CutPath[]; labels: readonly Ring[] },
): Promise<RunPictures> {
  const { image, dpi } = sensor;
  const [width, height] = [(image.width * 25.4) / dpi, (image.height * 25.4) / dpi];
  const sheet: DrawingNode = { kind: 'image', art: SHEET, map: [width, 0, 0, height, 0, 0] };
  const lines = cuts.map(({ pen, ring, open }): DrawingNode => {
    const line = LINES[pen] ?? { color: '#3b3a9c' };
    return {
      kind: 'path',
      path: open ? linesPath([ring]) : ringsPath([ring]),
      stroke: { paint: solid(line.color), width: 0.25, ...(line.dash ? { dash: line.dash } : {}) },
    };
  });
  const backing: DrawingNode = {
    kind: 'path',
    path: rectanglePath({ x: width / 2, y: height / 2 }, width, height),
    fill: solid(RELEASE),
  };
  const peeled = labels.flatMap((ring): DrawingNode[] => [
    {
      kind: 'group',
      transform: translation(0.5, 0.9),
      opacity: 0.18,
      children: [{ kind: 'path', path: ringsPath([ring]), fill: solid('#2a1b2e') }],
    },
    { kind: 'group', clip: ringsPath([ring]), children: [sheet] },
  ]);
  const page = (nodes: readonly DrawingNode[]): { drawing: Drawing } => ({
    drawing: { width, height, nodes, symbols: {} },
  });
  const none = (): undefined => undefined;
  const sources = { typeface: none, art: none, bytes: none, pixels: () => image };
  const pdf = await writePdf(
    platform,
    [page([sheet, ...lines]), page([backing, ...peeled])],
    sources,
  );
  const draw = (index: number): Promise<RgbaImage> =>
    renderPdf(platform, { pdf, page: index, dpi: PICTURE_DPI });
  return { cut: await draw(0), peeled: await draw(1) };
}

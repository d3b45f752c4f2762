import { renderPdf } from '../../pdf/index.ts';
import type { RgbaImage } from '../../raster/index.ts';
import type { WrittenPage, Writing } from './format.ts';

/** A page of the print file as pixels: without cut lines, with the pictures on it as they are. */
export async function pageImage(
  { page }: WrittenPage,
  { platform, choices, printFile }: Writing,
  clear: boolean,
): Promise<RgbaImage> {
  const { side, ...both } = choices;
  void side; // a side is one page of both
  const pdf = await printFile({ ...both, cutLayer: false, smallPictures: false });
  return renderPdf(platform, { pdf, page, dpi: choices.dpi, clear });
}

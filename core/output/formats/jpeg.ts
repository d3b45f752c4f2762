import { encodeJpegImage } from '../../raster/index.ts';
import { sideFile } from '../names.ts';
import type { FormatWriter } from './format.ts';
import { pageImage } from './page-image.ts';

const QUALITY = 90;

/** A side of a sheet as JPEG. */
export const jpeg: FormatWriter = {
  scope: 'page',
  async write(page, writing) {
    const { platform, choices } = writing;
    const image = await pageImage(page, writing, false);
    const bytes = await encodeJpegImage(platform, image, { quality: QUALITY, dpi: choices.dpi });
    return { name: sideFile(page.names.jpeg, page.side), bytes };
  },
};

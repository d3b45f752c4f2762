import { encodePngImage } from '../../raster/index.ts';
import { sideFile } from '../names.ts';
import type { FormatWriter } from './format.ts';
import { pageImage } from './page-image.ts';

/** A side of a sheet as PNG, clear where nothing prints if that is chosen. */
export const png: FormatWriter = {
  scope: 'page',
  async write(page, writing) {
    const { clear, dpi } = writing.choices;
    const image = await pageImage(page, writing, clear);
    return { name: sideFile(page.names.png, page.side), bytes: encodePngImage(image, dpi) };
  },
};

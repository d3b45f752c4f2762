import { renderPdf } from '../../pdf/index.ts';
import { encodePngImage } from '../../raster/index.ts';
import { paperPdf } from '../paper/index.ts';
import { pdfSources } from '../print-pdf.ts';
import type { FormatWriter, WrittenFile, Writing } from './format.ts';

const APPROVAL_DPI = 150;

async function paper(
  kind: 'approval' | 'contact',
  writing: Writing,
): Promise<Required<WrittenFile>> {
  const { platform, seen, resources, stem, task, say } = writing;
  await task.yieldNow();
  const sources = pdfSources(seen, resources);
  const made = await paperPdf(platform, kind, { compiled: seen, sources, say });
  return { name: `${stem}-${kind}.pdf`, ...made };
}

/** All labels small, to look over. */
export const contact: FormatWriter = {
  scope: 'job',
  write: async (writing) => [await paper('contact', writing)],
};

/** A sheet to be signed, with pictures of its pages beside it if that is chosen. */
export const approval: FormatWriter = {
  scope: 'job',
  async write(writing) {
    const { platform, choices, stem, task } = writing;
    const signed = await paper('approval', writing);
    const files: WrittenFile[] = [signed];
    for (let page = 0; choices.approvalPictures && page < signed.pages; page++) {
      await task.yieldNow();
      const image = await renderPdf(platform, { pdf: signed.bytes, page, dpi: APPROVAL_DPI });
      const bytes = encodePngImage(image, APPROVAL_DPI);
      files.push({ name: `${stem}-approval-${page + 1}.png`, bytes });
    }
    return files;
  },
};

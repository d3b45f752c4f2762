import { formPdf } from '../print-pdf.ts';
import type { FormatWriter } from './format.ts';

/** A PDF whose placeholders can be typed into. */
export const form: FormatWriter = {
  scope: 'job',
  async write({ platform, seen, resources, choices, stem, say }) {
    const bytes = await formPdf(platform, seen, { resources, say, choices });
    return [{ name: `${stem}-form.pdf`, bytes, pages: seen.sheets.length }];
  },
};

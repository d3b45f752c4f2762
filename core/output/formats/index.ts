import { artwork } from './artwork.ts';
import { dxf } from './dxf.ts';
import { form } from './form.ts';
import type { FormatWriter } from './format.ts';
import { hpgl } from './hpgl.ts';
import { jpeg } from './jpeg.ts';
import { json } from './json.ts';
import { approval, contact } from './papers.ts';
import { pdf } from './pdf.ts';
import { peel } from './peel.ts';
import { png } from './png.ts';
import { svg } from './svg.ts';

/** The kinds of file that a job can be written as, in the order in which they are written. */
export const FORMAT_WRITERS = {
  pdf,
  form,
  svg,
  dxf,
  hpgl,
  png,
  jpeg,
  artwork,
  approval,
  contact,
  peel,
  json,
} as const satisfies Record<string, FormatWriter>;

export type Format = keyof typeof FORMAT_WRITERS;
export const FORMATS = Object.keys(FORMAT_WRITERS) as readonly Format[];
export type { FormatWriter, WrittenFile, WrittenThing, Writing } from './format.ts';

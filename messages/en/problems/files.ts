import type { ProblemValues } from '../../../core/base/index.ts';
import type { Sentences } from '../../sentences.ts';
import { quoted } from '../phrases.ts';
import { count, plural } from '../counts.ts';
import type { ProblemWords } from './problem-words.ts';

const PICTURES =
  'Choose a PNG, JPEG, WebP, GIF, AVIF, HEIC, TIFF, BMP or SVG picture, a PDF or DXF, or a ZIP of these.';

const TYPEFACES = 'Choose a TTF, OTF, TTC, WOFF or WOFF2 file.';

const SMALLER = 'Save it smaller: a label needs 300 pixels for each inch of its width.';

const PLAIN_SVG = 'Save it again as plain SVG.';

const BROKEN_ART: Readonly<Record<ProblemValues['art/broken']['kind'], Sentences>> = {
  picture: {
    what: 'is damaged or not finished.',
    remedy: 'Save it again from the program it came from, as PNG, JPEG, WebP or SVG.',
  },
  pixels: {
    what: 'is damaged or not finished.',
    remedy: 'Save it again from the program it came from.',
  },
  svg: { what: 'is not a well-formed SVG file.', remedy: PLAIN_SVG },
  'svg-without-drawing': { what: 'holds no drawing.', remedy: PLAIN_SVG },
  dxf: {
    what: 'is damaged or not finished.',
    remedy: 'Save it again from the program it came from, as DXF of release 12 or newer.',
  },
};

const OTHER_PROGRAMS: Readonly<
  Record<ProblemValues['art/other-program']['kind'], { what: string; remedy: string }>
> = {
  tiff: {
    what: 'a TIFF of a rare kind',
    remedy: 'Save it as PNG, which loses nothing either.',
  },
  layered: {
    what: 'a picture in layers (PSD)',
    remedy: 'Save a copy as PNG: it keeps what is clear.',
  },
  postscript: {
    what: 'a PostScript file (EPS)',
    remedy: 'Save a copy as SVG or PDF: shapes stay shapes.',
  },
  raw: { what: 'a camera’s raw picture', remedy: 'Develop it first, and save it as JPEG.' },
};

/** Problems with files that are taken in. */
export const FILES: ProblemWords<
  'art' | 'pdf' | 'type' | 'palette' | 'list' | 'archive' | 'backup'
> = {
  'archive/broken': ({ name }) => ({
    what: `${quoted(name)} is damaged or not a Little Peel file.`,
    remedy: 'Use an earlier export or a backup.',
  }),
  'archive/too-large': ({ name, megabytes, files }) => ({
    what: `${quoted(name)} unpacks to more than ${megabytes} MB or ${files} files.`,
    remedy: 'Bring its jobs in one by one.',
  }),
  'art/broken': ({ name, kind }) => ({
    ...BROKEN_ART[kind],
    what: `${quoted(name)} ${BROKEN_ART[kind].what}`,
  }),
  'art/dxf-entities': ({ name, lines, most }) => ({
    what: `${quoted(name)} has ${lines} lines; at most ${most} can be taken in.`,
    remedy: 'Save the outline alone.',
  }),
  'art/dxf-open': ({ name }) => ({
    what: `${quoted(name)} has no closed outline.`,
    remedy: 'Close the line in the program it came from, and save it again.',
  }),
  'art/empty': ({ name }) => ({
    what: `${quoted(name)} is empty (0 bytes).`,
    remedy: `Copy it again from where it came from. ${PICTURES}`,
  }),
  'art/entities': ({ name }) => ({
    what: `${quoted(name)} defines XML entities, which are not read.`,
    remedy: PLAIN_SVG,
  }),
  'art/gone': () => ({
    what: 'The picture’s file is not here any more.',
    remedy: 'Take it in again from where it came from.',
  }),
  'art/no-size': ({ name }) => ({
    what: `${quoted(name)} does not say how large it is.`,
    remedy: 'Give it a width and height, or a viewBox.',
  }),
  'art/nothing-to-trace': ({ kind }) =>
    kind === 'pixels'
      ? {
          what: 'Nothing in this picture has an edge to trace: it is clear all over.',
          remedy: 'Choose a picture with something on it, or clear less of it.',
        }
      : {
          what: 'Nothing in this picture has an edge to trace.',
          remedy: 'Choose a picture with filled shapes.',
        },
  'art/pdf-broken': ({ name }) => ({
    what: `${quoted(name)} is damaged or locked with a password.`,
    remedy: 'Save it again without a password.',
  }),
  'art/pdf-pages': ({ name, pages, most }) => ({
    what: `${quoted(name)} has ${pages} pages; at most ${most} can be taken in.`,
    remedy: 'Save the pages that you need as a PDF of their own.',
  }),
  'art/several': ({ name }) => ({
    what: `${quoted(name)} can hold several pictures.`,
    remedy: PICTURES,
  }),
  'art/too-large': (values) => {
    if ('dpi' in values)
      return {
        what: `A page of ${quoted(values.name)} has too many pixels at ${values.dpi} dpi.`,
        remedy: 'Choose fewer dots per inch.',
      };
    const { name, width, height, most } = values;
    const can = `at most ${most / 1e6} million can be taken in.`;
    return {
      what:
        name === undefined
          ? `A picture has ${width} x ${height} pixels; ${can}`
          : `${quoted(name)} is ${count(width)} x ${count(height)} pixels; ${can}`,
      remedy: SMALLER,
    };
  },
  'art/too-long': ({ name, seconds }) => ({
    what: `${quoted(name)} took longer than ${seconds} seconds to read and was stopped.`,
    remedy: 'Simplify it, or save it as PNG.',
  }),
  'art/too-many-bytes': ({ name, megabytes, most }) => ({
    what: `${quoted(name)} has ${megabytes} MB; at most ${most} MB can be taken in.`,
    remedy: 'Save it smaller, or as JPEG.',
  }),
  'art/too-many-shapes': ({ name, most }) => ({
    what: `${quoted(name)} has more than ${count(most)} shapes.`,
    remedy: 'Simplify it, or save it as PNG.',
  }),
  'art/other-program': ({ name, kind }) => ({
    what: `${quoted(name)} is ${OTHER_PROGRAMS[kind].what}, which cannot be taken in.`,
    remedy: OTHER_PROGRAMS[kind].remedy,
  }),
  'art/too-small': ({ name, width, height, least }) => ({
    what: `${quoted(name)} is ${width} × ${height} pixels; less than ${least} show nothing.`,
    remedy: 'Choose a larger picture: a label needs 300 pixels for each inch of its width.',
  }),
  'art/unknown-kind': ({ name, wanted }) =>
    wanted === 'any'
      ? { what: `${quoted(name)} is not a picture, whatever its name says.`, remedy: PICTURES }
      : {
          what: `${quoted(name)} is no picture of pixels.`,
          remedy: 'Choose a PNG, JPEG, WebP, GIF or AVIF picture.',
        },
  'art/zip-broken': ({ name }) => ({
    what: `${quoted(name)} is damaged or locked with a password.`,
    remedy: 'Unpack it and choose the pictures, or fetch it again.',
  }),
  'art/zip-empty': ({ name }) => ({
    what: `${quoted(name)} holds no file.`,
    remedy: 'Choose a ZIP with pictures in it.',
  }),
  'art/zip-entries': ({ name, most }) => ({
    what: `${quoted(name)} holds more than ${most} files.`,
    remedy: 'Unpack it and choose the pictures that you need.',
  }),
  'art/zip-in-zip': ({ name }) => ({
    what: `${quoted(name)} is a ZIP within a ZIP.`,
    remedy: 'Unpack it and choose the pictures.',
  }),
  'art/zip-name': ({ name }) => ({
    what: `${quoted(name)} holds a file whose name leads out of its folder.`,
    remedy: 'Unpack it and choose the pictures that you need.',
  }),
  'art/zip-size': ({ name }) => ({
    what: `${quoted(name)} unpacks to far more than it seems to hold.`,
    remedy: 'Unpack it and choose the pictures that you need.',
  }),
  'backup/unread': ({ name }) => ({
    what: `${quoted(name)} is not a Little Peel backup.`,
    remedy: 'Choose a file that “Back up all” wrote.',
  }),
  'list/empty': () => ({
    what: 'There is no table in this text.',
    remedy: 'Paste a table whose first row names its columns.',
  }),
  'list/quotes': ({ row, because }) => ({
    what:
      because === 'open'
        ? `In row ${row} of this table a quote begins that never ends.`
        : `In row ${row} of this table something stands behind a closed quote.`,
    remedy: 'Close the quote, or write it twice where it is a sign of its own: "5"" pot".',
  }),
  'list/too-large': (values) =>
    'megabytes' in values
      ? {
          what: `This file has ${values.megabytes} MB.`,
          remedy: 'Keep to 20 MB: save the one table alone.',
        }
      : {
          what: `This table has ${plural(values.columns, 'column')} and ${plural(values.rows, 'row')}.`,
          remedy: `Keep to ${values.mostColumns} columns and ${values.mostRows} rows.`,
        },
  'list/unread': ({ because }) => {
    switch (because) {
      case 'bytes':
        return {
          what: 'This file is no text: it holds bytes that stand for no letter.',
          remedy: 'Save the table as CSV, .xlsx or .ods and take that.',
        };
      case 'long-field':
        return {
          what: 'A field of this table is too long.',
          remedy: 'Keep to 2,000 letters a field.',
        };
      case 'workbook':
        return {
          what: 'This file cannot be read as a workbook.',
          remedy: 'Save it again as .xlsx, .ods or CSV, then take that.',
        };
    }
  },
  'palette/none': ({ file }) => ({
    what: `${quoted(file)} names no two colours.`,
    remedy:
      'A palette is a text with colours such as #5d2a53, or three numbers up to 255 to a line.',
  }),
  'pdf/broken': () => ({
    what: 'This PDF is damaged or locked with a password.',
    remedy: 'Save it again without a password.',
  }),
  'pdf/too-many-paths': ({ most }) => ({
    what: `This PDF has more than ${count(most)} lines on a page.`,
    remedy: 'Save its outlines alone.',
  }),
  'type/broken': ({ name }) => ({
    what: `${quoted(name)} is damaged or not finished.`,
    remedy: 'Fetch it again from where it came from.',
  }),
  'type/not-embeddable': ({ family }) => ({
    what: `The maker of ${quoted(family)} does not allow it to be put into files, and every print goes through one.`,
    remedy: 'Choose another typeface, or ask its maker for a licence that allows embedding.',
  }),
  'type/too-large': ({ name, megabytes, most }) => ({
    what: `${quoted(name)} has ${megabytes} MB; at most ${most} MB can be taken in.`,
    remedy: 'Choose a file with fewer scripts in it.',
  }),
  'type/unknown-kind': ({ name }) => ({
    what: `${quoted(name)} is not a typeface.`,
    remedy: TYPEFACES,
  }),
};

import { titleText } from './element-titles.ts';
import { wordsFor, type Words } from '../words.ts';
import type { FindingCode, FindingName, FindingValues, RowLabel } from '../../core/proof/index.ts';
import type { FindingSentences } from '../sentences.ts';
import { form, some } from './counts.ts';
import { CODES } from './problems/codes.ts';
import { length, quoted, size } from './phrases.ts';

/** Whether a character is a picture rather than a letter (Unicode Technical Standard 51). */
const isSign = (letter: string): boolean => /\p{Extended_Pictographic}/u.test(letter);

const points = (size: number): string => `${size.toFixed(1)} pt`;
const percent = (share: number): string => `${Math.round(share * 100)} %`;
const on = (piece: string | undefined): string => (piece === undefined ? '' : ` on ${piece}`);

const rowText = (label: RowLabel): string => {
  if (typeof label === 'string') return quoted(label);
  return 'row' in label ? `“row ${label.row}”` : `no. ${label.copy}`;
};

/** Copies of a sheet with the verb of their sentence. */
const copies = (
  of: { readonly copies: number; readonly piece: string; readonly sheet?: number },
  one: string,
  many: string,
): string => {
  const who = of.copies === 1 ? `A copy of ${quoted(of.piece)}` : `${of.copies} copies`;
  const where = of.sheet === undefined ? '' : ` on sheet ${of.sheet}`;
  return `${who}${where} ${form(of.copies, one, many)}`;
};

const stickers = (
  of: { readonly stickers: number; readonly piece: string },
  one: string,
  many: string,
): string =>
  `${of.stickers === 1 ? 'A sticker' : `${of.stickers} stickers`} of ${quoted(of.piece)} ${form(of.stickers, one, many)}`;

const MISSING = { art: 'A picture', typeface: 'A typeface', piece: 'A piece' } as const;
const CUTS = { kiss: 'kiss cut', through: 'through cut', crease: 'crease' } as const;

/** Each finding in a sentence, and why it matters. */
const FINDINGS: Words<FindingValues, FindingSentences> = {
  'across-fold': ({ title, piece }) => ({
    what: `${quoted(titleText(title))} on ${quoted(piece)} lies across a fold.`,
    why: 'On the thing it goes around the corner: part of it is seen from one side, part from the other.',
  }),
  'art-missing': (values) =>
    'missing' in values
      ? {
          what: `${MISSING[values.missing]} that ${quoted(values.piece)} uses is missing.`,
          why: 'An empty place would be printed.',
        }
      : {
          what: `The file of ${quoted(values.damaged || 'a picture')} on ${quoted(values.piece)} is damaged or too large.`,
          why: 'An empty place would be printed. Take the picture in again in its place.',
        },
  'bleed-cut-off': (values) => {
    const worst = `${quoted(values.piece)}, no. ${values.number}`;
    const by = `${values.by.toFixed(1)} mm`;
    return {
      what:
        values.copies === 1
          ? `${worst} lacks ${by} of its bleed beside a mark.`
          : `${copies(values, 'lacks', 'lack')} bleed beside marks: ${worst} most of all, by ${by}.`,
      why: 'A cut that is off towards the mark shows paper there. Move the label away, or take smaller marks.',
    };
  },
  'bleed-missing': ({ piece, bleed }) => ({
    what:
      bleed === undefined
        ? `A picture of ${quoted(piece)} ends at its edge and does not reach over the bleed.`
        : `${quoted(piece)} is printed up to its edge with ${bleed} mm of bleed.`,
    why: 'Where the cut is off by a little, a white line of paper shows.',
  }),
  'bleeds-meet': ({ piece, least, bleed }) => ({
    what: `Neighbours of ${quoted(piece)} leave ${least.toFixed(1)} mm of bleed instead of ${bleed} mm.`,
    why: 'A cut that is off by more than that shows the neighbour’s colour.',
  }),
  'code-bent': ({ title, short, most }) => ({
    what: `${quoted(titleText(title))} goes so far around the wall that it looks ${short.toFixed(2)} mm shorter; ${most.toFixed(2)} mm can be read.`,
    why: 'Towards its sides bars and squares are seen at a slant, and run together for a scanner.',
  }),
  'code-crowded': ({ title, by }) => ({
    what:
      by === undefined
        ? `${quoted(titleText(title))} reaches over the edge with its clear zone.`
        : `${quoted(titleText(by))} stands in the clear zone of ${quoted(titleText(title))}.`,
    why: 'A scanner finds a code by the clear zone around it.',
  }),
  'code-pale': ({ title }) => ({
    what: `${quoted(titleText(title))} is not dark enough on what lies behind it.`,
    why: 'Scanners look for dark bars on a light ground.',
  }),
  'code-too-small': ({ title, module, least }) => ({
    what: `The smallest bar of ${quoted(titleText(title))} is ${module.toFixed(2)} mm; ${least} mm can be read.`,
    why: 'Ink spreads, and finer bars run together.',
  }),
  'code-unread': ({ names, count, problem }) => {
    const { what, remedy } = wordsFor(CODES, problem);
    const labels = names.map(rowText);
    const who = count === 1 ? `${labels[0]}: ` : `${count} codes, of ${some(labels, count)}: `;
    return { what: (count > 0 ? who : '') + what, why: remedy };
  },
  'color-unread': ({ names, count, column }) => ({
    what: `${some(names.map(quoted), count)} in ${column} is no colour.`,
    why: 'Those rows keep the colour of the piece. Write #5d2a53, or an English name such as teal.',
  }),
  'column-missing': ({ columns, piece, listed }) => {
    const asked = columns.map((name) => `{${name}}`).join(', ');
    return {
      what: listed
        ? `The list has no column for ${asked} on ${quoted(piece)}.`
        : `${asked} on ${quoted(piece)} waits for a list.`,
      why: 'It would be printed as it is typed. In a PDF to fill in it is a field.',
    };
  },
  'does-not-fit': ({ copies: left, piece, width, height, stock }) => ({
    what: `${left} of ${quoted(piece)} (${size(width, height)}) find no place on ${stock}.`,
    why: 'The piece is larger than the room between margins and marks.',
  }),
  'doubled-cuts': ({ copies: close }) => ({
    what: `The edges of ${close} copies run so close to each other that the knife cuts twice in one place.`,
    why: 'The second cut tears the sliver between them, or goes through the backing.',
  }),
  'force-out-of-range': ({ cut, material, force, machine, least, most }) => ({
    what: `The ${CUTS[cut]} of ${material} wants a force of ${force} g; ${quoted(machine)} has ${least} to ${most} g.`,
    why: 'It would cut too lightly, or through the backing.',
  }),
  'gap-too-small': (values) => ({
    what: `${copies(values, 'lies', 'lie')} nearer to another than the gap of ${values.gap} mm.`,
    why: 'Less is left around each for a cut that is a little off.',
  }),
  hairline: ({ title, width }) => ({
    what: `A line of ${quoted(titleText(title))} is ${width} mm thin.`,
    why: 'Below 0.25 pt, or 0.09 mm, printers break a line up or leave it out.',
  }),
  'in-keep-clear': (values) => ({
    what: `${copies(values, 'stands', 'stand')} in a keep-clear zone around a mark.`,
    why: 'The sensor would take print for the mark, and the knife would cut beside the labels.',
  }),
  'in-overlap': ({ title, piece }) => ({
    what: `${quoted(titleText(title))} on ${quoted(piece)} stands in the overlap.`,
    why: 'The other end of the label lies over it, and hides it.',
  }),
  'larger-than-machine': ({ sheet, width, height, machine, mostWidth, mostLength }) => ({
    what: `Sheet ${sheet} of ${size(width, height)} does not go into ${quoted(machine)}.`,
    why: `It takes sheets up to ${size(mostWidth, mostLength)}.`,
  }),
  licence: ({ name, wants, maker = 'the maker' }) =>
    wants === 'private'
      ? {
          what: `${quoted(name)} is noted as for private use only.`,
          why: 'Labels that are sold or given away need another licence.',
        }
      : {
          what: `${quoted(name)} asks that its maker is named.`,
          why: `Name ${maker} on the label or where it is sold.`,
        },
  'loose-parts': ({ piece, parts }) => ({
    what: `${quoted(piece)} falls into ${parts} parts when it is cut.`,
    why: 'Each has to be put on by itself, and their distances are lost.',
  }),
  'low-contrast': ({ words, piece, ratio, wanted }) => ({
    what: `${quoted(words)} stands out by ${ratio.toFixed(1)} : 1 from what lies beneath${on(piece)}; ${wanted} : 1 is needed.`,
    why: 'In poor light or at arm’s length it cannot be read.',
  }),
  'low-resolution': ({ title, dpi, least }) => ({
    what: `The picture ${quoted(titleText(title))} prints at ${dpi} dpi.`,
    why: `Below ${least} dpi its edges look stepped or soft.`,
  }),
  'mark-too-small': ({ size: mark, machine, least }) => ({
    what: `Marks of ${length(mark)} are too small for the sensor of ${quoted(machine)}.`,
    why: `It finds marks from ${length(least)}; smaller ones have to be shown by hand.`,
  }),
  'missing-glyph': ({ words, letters }) => ({
    what: `The typeface of ${quoted(words)} has no ${letters.map(quoted).join(', ')}.`,
    why: `An empty box would be printed in its place.${letters.some(isSign) ? ' Many signs are among the ready-made pictures of the Drawer: put one of those beside the words.' : ''}`,
  }),
  'nothing-wanted': () => ({ what: 'No copies are wanted.', why: 'There is nothing to print.' }),
  'on-the-ground': ({ title, piece }) => ({
    what: `${quoted(titleText(title))} on ${quoted(piece)} is on the side on which the thing stands.`,
    why: 'Nobody sees it there, and small print rubs off.',
  }),
  'under-hole': ({ title, piece }) => ({
    what: `A hole takes a part of ${quoted(titleText(title))} on ${quoted(piece)}.`,
    why: 'What is punched out is gone, and a code without a part of it may not be read.',
  }),
  'one-off-empty': ({ piece }) => ({
    what: `One copy of ${quoted(piece)} has words of its own that say nothing.`,
    why: 'It would be printed with a gap.',
  }),
  'outside-printable': (values) =>
    values.beyond === 'sheet'
      ? {
          what: `${copies(values, 'reaches', 'reach')} over the edge of the sheet.`,
          why: 'What lies beyond the sheet is not printed, and the knife would leave it.',
        }
      : {
          what: `${copies(values, 'reaches', 'reach')} into the margin that the printer cannot print.`,
          why: 'The part in the margin comes out white.',
        },
  overlap: ({ copies: over }) => ({
    what: `${over} copies lie over each other.`,
    why: 'Each would be cut into by the other’s edge.',
  }),
  'pale-without-white': ({ piece, of, names, count, material }) => ({
    what: `${of === 'ground' ? 'The ground' : 'Something'} of ${quoted(piece)} is pale (${some(names, count)}), and ${material.toLowerCase()} shows through it.`,
    why: 'Printers print no white: pale colours vanish on clear, shiny and coloured stock. Take deeper colours, or white stock.',
  }),
  'pattern-too-fine': ({ piece, title, asked, drawn }) => ({
    what: `${title === undefined ? `The ground of ${quoted(piece)}` : `${quoted(titleText(title))} on ${quoted(piece)}`} has its pattern at ${percent(asked)}; it is drawn at ${percent(drawn)}, the finest that so large a room can have.`,
    why: 'Finer ones melt into one colour and would take minutes to draw.',
  }),
  'picture-unfound': ({ names, count, column }) => ({
    what: `No picture is called ${some(names.map(quoted), count)}.`,
    why: `Rows that name one in ${column} show the picture of the piece. Put it into the Art drawer under that name, then choose the column for the picture again.`,
  }),
  'placeholder-unread': ({ typed, meant, piece }) => ({
    what: `${typed} on ${quoted(piece)} is printed as it is typed${meant === undefined ? '' : `; ${meant} may be meant`}.`,
    why: 'Numbers are {#001}, days {today}, {today+90d} or {today:dd.MM.yyyy}, columns of a list {name}.',
  }),
  'quantity-unread': ({ names, count, typed, column }) => ({
    what: `${quoted(typed)} is no number of copies for ${some(names.map(rowText), count)}.`,
    why: `Rows whose ${column} is not read as a whole number up to 1,000 print nothing.`,
  }),
  'scissors-gap': ({ gap, least }) => ({
    what: `With a gap of ${gap} mm scissors cut into the neighbours.`,
    why: `Between two labels a hand needs ${least} mm to turn.`,
  }),
  'scissors-shape': ({ piece }) => ({
    what: `${quoted(piece)} has inner corners that scissors cannot follow.`,
    why: 'They tear there, or a bit of paper stays.',
  }),
  'spot-shape-differs': ({ piece, width, height, stock, labelWidth, labelHeight }) => ({
    what: `${quoted(piece)} is ${size(width, height)}; the labels of ${stock} are ${size(labelWidth, labelHeight)}.`,
    why: 'The print would end short of the label or be cut off by its edge.',
  }),
  'sticker-outside': (values) => ({
    what: `${stickers(values, 'comes', 'come')} nearer than ${values.least} mm to its outline, or beyond it.`,
    why: 'The cut through the sheet would run into the kiss cut.',
  }),
  'stickers-touch': (values) => ({
    what: `${stickers(values, 'lies', 'lie')} nearer than ${values.least} mm to another.`,
    why: 'The strip between two kiss cuts tears, and both stickers come off together.',
  }),
  'thin-rim': ({ hole, piece, rim, least }) => ({
    what:
      rim < 0
        ? `Hole ${hole} of ${quoted(piece)} breaks through the edge.`
        : `Hole ${hole} of ${quoted(piece)} leaves ${rim.toFixed(1)} mm to the edge.`,
    why: `With less than ${least} mm a string or a stake tears it.`,
  }),
  'tight-curve': ({ piece, places, turn, within }) => ({
    what: `The edge of ${quoted(piece)} turns too tightly for a knife in ${places === 1 ? 'one place' : `${places} places`}.`,
    why: `Where it turns by more than ${turn}° within ${within} mm, the knife drags the material along.`,
  }),
  'too-many-copies': ({ copies: asked, most }) => ({
    what: `The list asks for ${asked} copies; a job makes ${most} of a piece at most.`,
    why: 'Those of its last rows would be missing. Switch rows off and print them in a second run.',
  }),
  'value-missing': ({ names, count, column }) => ({
    what:
      count === 1
        ? `${names.map(rowText).join('')} has no ${column}.`
        : `${count} rows have no ${column}: ${some(names.map(rowText), count)}.`,
    why: 'Their labels would have a gap there.',
  }),
  'words-do-not-fit': ({ words, piece, size: at }) => ({
    what: `${quoted(words)} is too long for its room at ${points(at)}${on(piece)}.`,
    why: 'The letters run out over what stands beside them.',
  }),
  'words-near-edge': ({ words, piece, distance, safe }) => ({
    what:
      distance < 0
        ? `${quoted(words)} is cut off by the edge${on(piece)}.`
        : `${quoted(words)} stands ${distance.toFixed(1)} mm from the edge${on(piece)}; ${safe} mm is safe.`,
    why: 'A cut that is a little off makes it look lopsided or takes letters with it.',
  }),
  'words-run-into': ({ words, piece, title }) => ({
    what: `${quoted(words)} runs into ${quoted(titleText(title))}${on(piece)}.`,
    why: 'Letters that cross something else are hard to read.',
  }),
  'words-too-small': ({ words, piece, size: at, least }) => ({
    what: `${quoted(words)} prints at ${points(at)}${on(piece)}.`,
    why: `Below ${least} pt letters fill in on a home printer.`,
  }),
};

/** A finding in a sentence, and why it matters. */
export const findingText = (finding: FindingName): FindingSentences => wordsFor(FINDINGS, finding);

/** What several pieces have in common, for those findings that sheets of many pieces have. */
const IN_MANY: Readonly<Partial<Record<FindingCode, string>>> = {
  'across-fold': 'have something that lies across a fold',
  'art-missing': 'use something that is missing or damaged',
  'bleed-missing': 'do not reach over their bleed',
  'bleeds-meet': 'have neighbours so near that their bleeds meet',
  'code-bent': 'have a code that goes too far around their wall',
  'code-crowded': 'have a code without room around it',
  'code-pale': 'have a code that is not dark enough',
  'code-too-small': 'have a code that is too small to be read',
  hairline: 'have lines too thin to be printed',
  'loose-parts': 'fall into several parts when they are cut',
  'low-contrast': 'have words that hardly stand out',
  'low-resolution': 'show pictures of too few pixels',
  'missing-glyph': 'have letters that their typeface lacks',
  'on-the-ground': 'have small print where the thing stands',
  'under-hole': 'have something where a hole is punched',
  'pale-without-white': 'are pale where the material shows through',
  'scissors-shape': 'have inner corners that scissors cannot follow',
  'spot-shape-differs': 'are not the size of the labels of the sheet',
  'thin-rim': 'have a hole too near to their edge',
  'tight-curve': 'turn too tightly for a knife',
  'words-do-not-fit': 'have words too long for their room',
  'words-near-edge': 'have words too near to their edge',
  'words-run-into': 'have words that run into something else',
  'words-too-small': 'have words too small to be printed',
};

/** What is found in so many pieces, in a sentence. */
export const manyText = (finding: FindingName, pieces: number): string => {
  const shared = IN_MANY[finding.code];
  return shared
    ? `${pieces} pieces ${shared}.`
    : `In ${pieces} pieces, as this one: ${findingText(finding).what}`;
};

import type { Say } from '../base/index.ts';
import { apply, boxOf, compose, corners, boxAbout } from '../geometry/index.ts';
import type { CompiledJob, Job } from '../job/index.ts';
import {
  countsUp,
  elementMaps,
  fieldsOf,
  fieldsOfRow,
  filledText,
  type Piece,
  type PieceElement,
  type Words,
} from '../piece/index.ts';
import { findCopy, type CompiledSheet, type SheetCopy } from '../sheet/index.ts';
import { MM_PER_PT } from '../units/index.ts';
import type { FormField } from './pdf/index.ts';

/** How fields are made of the placeholders of a job. */
export interface FormChoices {
  /** Placeholders that are typed once for all labels; each label has its own of the others. */
  readonly shared: readonly string[];
  /** Whether fields begin with what the list says, or empty. */
  readonly filled: boolean;
}

/** Whether words can be a field: straight ones with a placeholder that a row would fill. */
const isField = (element: PieceElement): element is Words =>
  element.kind === 'words' &&
  !element.hidden &&
  element.path.kind === 'straight' &&
  !element.repeat &&
  !element.text.includes('\n') &&
  !countsUp(element.text) &&
  fieldsOf(element.text).length > 0;

/** The placeholders of a job that can be typed into a form, in the order in which they are met. */
export const formPlaceholders = ({ pieces }: Pick<Job, 'pieces'>): string[] => [
  ...new Set(
    pieces.flatMap(({ elements }) =>
      elements.filter(isField).flatMap(({ text }) => fieldsOf(text)),
    ),
  ),
];

/** The job without the words that become fields: these are not printed. */
export function withoutFields(job: Job): Job {
  return {
    ...job,
    pieces: job.pieces.map((piece) => ({
      ...piece,
      elements: piece.elements.map((one) => (isField(one) ? { ...one, hidden: true } : one)),
    })),
  };
}

/** Higher than its letters by that much: viewers set them as high as a field allows. */
const AIR = 1.08;

/** How fields are filled, and the words for what they are called. */
interface FormWords {
  readonly choices: FormChoices;
  readonly say: Say;
}

/** The fields of a sheet in the order in which they are read: by rows, from the left. */
export function sheetFields(
  { job }: Pick<CompiledJob, 'job'>,
  sheet: CompiledSheet,
  form: FormWords,
): FormField[] {
  const fields = sheet.copies.flatMap((copy) => {
    const piece = job.pieces.find(({ id }) => id === copy.placement.piece);
    return piece ? fieldsOfCopy(job, piece, copy, form) : [];
  });
  const row = ({ box }: FormField): number => Math.round((box.top + box.bottom) / 4);
  return fields.sort((one, other) => row(one) - row(other) || one.box.left - other.box.left);
}

function fieldsOfCopy(
  job: Job,
  piece: Piece,
  copy: SheetCopy,
  { choices, say }: FormWords,
): FormField[] {
  const { placement } = copy;
  const found = findCopy(job, placement.copy);
  const { map: onSheet } = copy;
  return piece.elements.filter(isField).flatMap((element): FormField[] => {
    const angle = quarter(placement.angle + element.angle);
    const [map] = elementMaps(element);
    if (angle === undefined || !map) return [];
    const high = Math.min(element.height, element.size * MM_PER_PT * AIR);
    const lines = element.fit === 'wrap' || element.fit === 'wrap-shrink';
    const room = boxAbout({ x: 0, y: 0 }, element.width, lines ? element.height : high);
    const box = boxOf(corners(room).map((corner) => apply(compose(onSheet, map), corner)));
    if (!box) return [];
    const names = fieldsOf(element.text);
    const name = names.join(' ');
    const isShared = names.every((one) => choices.shared.includes(one));
    const row =
      choices.filled && job.list && found?.row
        ? fieldsOfRow(job.list, found.row)
        : Object.fromEntries(names.map((one) => [one, '']));
    const value = filledText(element.text, {
      today: job.today,
      number: found?.number ?? 1,
      row,
    }).trim();
    return [
      {
        name: isShared ? name : `${name} ${placement.copy}`,
        label: isShared
          ? say('field-of-all-labels', { field: name })
          : say('field-of-label', { field: name, number: found?.number ?? 1 }),
        value,
        box,
        angle,
        typeface: element.typeface,
        size: element.size,
        color: typeof element.color === 'string' ? element.color : '#000000',
        align: element.align,
        lines,
      },
    ];
  });
}

/** An angle as quarters; undefined where it is none. */
function quarter(angle: number): FormField['angle'] | undefined {
  const turn = ((angle % 360) + 360) % 360;
  const near = (Math.round(turn / 90) * 90) % 360;
  const off = Math.abs(turn - Math.round(turn / 90) * 90);
  return off < 0.01 ? (near as FormField['angle']) : undefined;
}

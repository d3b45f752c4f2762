import { onceFor } from '../base/index.ts';
import type { Art } from '../art/index.ts';
import {
  DESIGN_COLORS,
  DESIGN_FACES,
  designsFor,
  labelRooms,
  makeDesign,
  type DesignName,
  type LabelGiven,
} from '../designs/index.ts';
import { createJob, type Job } from '../job/index.ts';
import { createCompiler, type LabelSays, type PieceCompiler } from '../piece/index.ts';
import { loadShipped, type Typeface } from '../type/index.ts';
import type { MeasuredThing } from '../things/index.ts';
import { nodePlatform } from './node-platform.ts';
import { runAll } from './example-job.ts';

/** What is printed before fields. */
export const NAMES: LabelGiven['names'] = {
  ingredients: 'Ingredients',
  use: 'Use',
  warnings: 'Take care',
  'best-before': 'Best before',
  batch: 'Batch',
};

/** A job with a label for a thing, of which one is wanted. */
export const measuredJob = (thing: MeasuredThing): Job =>
  runAll(
    createJob('lid', { id: 'j', today: '2026-04-18' }),
    { name: 'measure-thing', args: { thing } },
    { name: 'want', args: { piece: 'piece-1', count: 1 } },
  );

/** The label of a job in a design, in the colours and typefaces that the design is offered in. */
export function designedJob(
  measured: Job,
  design: DesignName,
  says: LabelSays,
  { art = [], ...changes }: Partial<LabelGiven> & { readonly art?: readonly Art[] } = {},
): Job {
  const [piece] = measured.pieces;
  const rooms = roomsOf(measured);
  const at = designsFor().indexOf(design);
  const colors = DESIGN_COLORS[at % DESIGN_COLORS.length];
  const faces = DESIGN_FACES[(at * 5) % DESIGN_FACES.length];
  if (!piece || !rooms || !colors || !faces) throw new Error('nothing to design');
  const made = makeDesign(design, { says, names: NAMES, colors, faces, ...changes }, rooms);
  return runAll(measured, { name: 'set-artwork', args: { piece: piece.id, ...made, art } });
}

/** The rooms of a label, which are the same for each design. */
const roomsOf = onceFor(({ thing, pieces: [piece] }: Job) =>
  piece && thing.kind !== 'label-sheet' ? labelRooms(thing, piece.edge, piece.safe) : undefined,
);

/** The typefaces of all designs and those of Arabic words in them, for compiling. */
export async function designFaces(): Promise<{
  compiler: PieceCompiler;
  typeface: (id: string) => Typeface | undefined;
}> {
  const faces = new Map<string, Typeface>();
  const ids = DESIGN_FACES.flatMap(({ display, text }) => [display, text]);
  for (const id of [...ids, 'noto-sans-arabic-bold', 'noto-sans-arabic-regular'])
    faces.set(id, await loadShipped(nodePlatform, id));
  const typeface = (id: string): Typeface | undefined => faces.get(id);
  return { compiler: createCompiler({ typeface, vector: () => undefined }), typeface };
}

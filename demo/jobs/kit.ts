import { expectOk, isProblem, type Platform } from '../../core/base/index.ts';
import { readArt, type Art } from '../../core/art/index.ts';
import {
  createJob,
  runCommand,
  type Beginning,
  type CommandCall,
  type Job,
  type JobWithArt,
} from '../../core/job/index.ts';
import type { Piece, PieceElement } from '../../core/piece/index.ts';

/** The day on which the demo workshop stands. */
export const DEMO_DAY = '2026-04-18';

type Fields<K extends PieceElement['kind']> = Partial<
  Omit<Extract<PieceElement, { kind: K }>, 'kind'>
>;
const place = { x: 0, y: 0, angle: 0, locked: false };

/** Straight words in a box that they shrink into. */
export function words(text: string, fields: Fields<'words'>): PieceElement {
  return {
    ...place,
    id: '',
    kind: 'words',
    text,
    typeface: 'fraunces-semibold',
    size: 12,
    tracking: 0,
    leading: 1.2,
    align: 'centre',
    fit: 'shrink',
    least: 6,
    path: { kind: 'straight' },
    color: '#2a1b2e',
    width: 30,
    height: 8,
    ...fields,
  };
}

/** Words around the middle of the piece. */
export function bent(
  text: string,
  radius: number,
  side: 'outside' | 'inside',
  fields: Fields<'words'>,
): PieceElement {
  const path = {
    kind: 'circle',
    radius,
    side,
    angle: side === 'outside' ? 0 : 180,
    reach: 170,
  } as const;
  return words(text, { path, ...fields });
}

/** A picture that stands whole in its frame. */
export function art(
  id: string,
  width: number,
  height: number,
  fields: Fields<'picture'> = {},
): PieceElement {
  return { ...place, id: '', kind: 'picture', art: id, width, height, fit: 'contain', ...fields };
}

type Plate = Extract<PieceElement, { kind: 'plate' }>;

/** A line in the outline of a shape. */
export function ring(
  shape: Plate['shape'],
  color: string,
  width: number,
  style: NonNullable<Plate['line']>['style'] = 'solid',
): PieceElement {
  return { ...place, id: '', kind: 'plate', shape, fill: null, line: { color, width, style } };
}

/** A filled plate in a shape. */
export function plate(
  shape: Plate['shape'],
  color: string,
  line: Plate['line'] = null,
  y = 0,
): PieceElement {
  return { ...place, id: '', kind: 'plate', shape, fill: { color, opacity: 1 }, line, y };
}

/** An ornament of the application’s own. */
export function ornament(
  name: Extract<PieceElement, { kind: 'ornament' }>['ornament'],
  fields: Omit<Fields<'ornament'>, 'inks'> & { inks: [string, string] },
): PieceElement {
  return {
    ...place,
    id: '',
    kind: 'ornament',
    ornament: name,
    width: 10,
    height: 10,
    count: 1,
    weight: 0.3,
    ...fields,
  };
}

/** A job made by the commands that a person would give. */
export function demoFromCommands(
  beginning: Beginning,
  { id, name }: { id: string; name: string },
  calls: readonly CommandCall[],
): Job {
  return calls.reduce(
    (job, call) => {
      const done = runCommand(job, call);
      if (isProblem(done)) throw new Error(`${name}, ${call.name}: ${done.code}`);
      return done;
    },
    { ...createJob(beginning, { id, today: DEMO_DAY }), name },
  );
}

/** Gives elements ids of their kind and number. */
export function numbered(elements: readonly PieceElement[]): PieceElement[] {
  const counts = new Map<string, number>();
  return elements.map((element) => {
    const count = (counts.get(element.kind) ?? 0) + 1;
    counts.set(element.kind, count);
    return { ...element, id: `${element.kind}-${count}` };
  });
}

/** Drawings of the workshop, taken in as any picture is. */
export async function drawings(
  platform: Platform,
  svgs: Readonly<Record<string, string>>,
): Promise<ReadonlyMap<string, { art: Art; bytes: Uint8Array }>> {
  const made = new Map<string, { art: Art; bytes: Uint8Array }>();
  for (const [name, svg] of Object.entries(svgs)) {
    const { art: known, bytes } = expectOk(
      await readArt(platform, new TextEncoder().encode(svg), `${name}.svg`),
    );
    made.set(name, { art: { ...known, tags: ['demo'] }, bytes });
  }
  return made;
}

/** A job from pieces, on the stock of its beginning. */
export function demoJob(
  beginning: Beginning,
  given: {
    id: string;
    name: string;
    pieces: readonly Piece[];
    wanted: number;
    change: (job: Job) => Job;
  },
  art: ReadonlyMap<string, { art: Art; bytes: Uint8Array }>,
): JobWithArt {
  const { id, name, pieces, wanted, change } = given;
  const job = createJob(beginning, { id, today: DEMO_DAY });
  const known = [...art.values()];
  return {
    job: change({
      ...job,
      name,
      pieces: [...pieces],
      plan: { ...job.plan, wanted: Object.fromEntries(pieces.map((piece) => [piece.id, wanted])) },
      art: Object.fromEntries(known.map((one) => [one.art.id, one.art])),
    }),
    art: new Map(known.map((one) => [one.art.id, one.bytes])),
  };
}

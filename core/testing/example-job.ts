import { encode } from 'fast-png';
import { expectOk, isProblem } from '../base/index.ts';
import { readArt, type Art } from '../art/index.ts';
import {
  compileJob,
  createJob,
  loadResources,
  runCommand,
  type CommandCall,
  type CompiledJob,
  type Job,
  type JobResources,
} from '../job/index.ts';
import { createCompiler, type PieceElement } from '../piece/index.ts';
import { nodePlatform } from './node-platform.ts';

/** Runs commands one after the other; throws when one is refused. */
export function runAll(job: Job, ...calls: CommandCall[]): Job {
  return calls.reduce((now, call) => {
    const done = runCommand(now, call);
    if (isProblem(done)) throw new Error(`${call.name}: ${JSON.stringify(done)}`);
    return done;
  }, job);
}

/** Words in a box, with changes. */
export function exampleWords(
  changes: Partial<Extract<PieceElement, { kind: 'words' }>> = {},
): PieceElement {
  return {
    id: '',
    kind: 'words',
    x: 0,
    y: 10,
    angle: 0,
    locked: false,
    text: 'Sea Holly',
    typeface: 'fraunces-semibold',
    size: 14,
    tracking: 0,
    leading: 1.2,
    align: 'centre',
    fit: 'shrink',
    least: 6,
    path: { kind: 'straight' },
    color: '#2a1b2e',
    width: 34,
    height: 8,
    ...changes,
  };
}

/** Art as a picture, 20 mm square, with changes. */
export function examplePicture(
  art: string,
  changes: Partial<Extract<PieceElement, { kind: 'picture' }>> = {},
): PieceElement {
  return {
    id: '',
    kind: 'picture',
    x: 0,
    y: 0,
    angle: 0,
    locked: false,
    art,
    width: 20,
    height: 20,
    fit: 'contain',
    ...changes,
  };
}

/** A PNG of one colour, `side` pixels square. */
export function plainPng(side: number, [r, g, b]: readonly [number, number, number]): Uint8Array {
  const data = new Uint8Array(side * side * 3);
  data.set([r, g, b]);
  // What is there is laid down again behind itself until all is full.
  for (let done = 3; done < data.length; done *= 2) data.copyWithin(done, 0, done);
  return encode({ width: side, height: side, channels: 3, data });
}

/** A round seal of 58 mm with a picture, straight and curved words and a ring, 6 wanted on A4. */
export async function exampleJob(): Promise<{
  job: Job;
  art: Map<string, Uint8Array>;
  picture: Art;
}> {
  const { art, bytes } = expectOk(
    await readArt(nodePlatform, plainPng(240, [122, 47, 110]), 'thistle.png'),
  );
  const place = { x: 0, y: 0, angle: 0, locked: false };
  const job = runAll(
    createJob('lid', { id: 'example', today: '2026-04-18' }),
    { name: 'rename-job', args: { name: 'Pot-lid seals' } },
    { name: 'change-piece', args: { piece: 'piece-1', changes: { ground: '#f4e9d4' } } },
    {
      name: 'add-element',
      args: {
        piece: 'piece-1',
        element: {
          ...place,
          id: '',
          kind: 'plate',
          shape: { kind: 'circle', diameter: 50 },
          fill: null,
          line: { color: '#44203d', width: 0.4, style: 'solid' },
        },
      },
    },
    {
      name: 'add-element',
      args: {
        piece: 'piece-1',
        element: {
          ...place,
          y: -4,
          id: '',
          kind: 'picture',
          art: art.id,
          width: 16,
          height: 16,
          fit: 'contain',
        },
        art,
      },
    },
    { name: 'add-element', args: { piece: 'piece-1', element: exampleWords() } },
    {
      name: 'add-element',
      args: {
        piece: 'piece-1',
        element: exampleWords({
          text: 'THISTLE & FEN',
          y: 0,
          size: 11,
          tracking: 12,
          path: { kind: 'circle', radius: 18.5, side: 'outside', angle: 0, reach: 200 },
        }),
      },
    },
    { name: 'want', args: { piece: 'piece-1', count: 6 } },
  );
  return { job, art: new Map([[art.id, bytes]]), picture: art };
}

/** Loads what a job names and compiles it. */
export async function compiled(
  job: Job,
  art: ReadonlyMap<string, Uint8Array>,
): Promise<{ compiled: CompiledJob; resources: JobResources }> {
  const resources = await loadResources(nodePlatform, job, (id) => Promise.resolve(art.get(id)));
  return { compiled: compileJob(job, createCompiler(resources)), resources };
}

import { findFault, isProblem, type Problem } from '../base/index.ts';
import { MOST_DRAWN } from '../piece/index.ts';
import type { Plan } from '../sheet/index.ts';
import {
  checkSpots,
  materialSchema,
  stockSchema,
  type Material,
  type Stock,
} from '../stock/index.ts';
import { thingSchema, trySize, type Thing } from '../things/index.ts';
import { edgeFor } from './create.ts';
import { refused, invalidBySchema, invalidJob } from './command-problems.ts';
import { jobSchema, MOST_PIECES, type Job } from './schema.ts';
import { ACCEPT_COMMANDS } from './accept-commands.ts';
import { ART_COMMANDS } from './art-commands.ts';
import { ARTWORK_COMMANDS } from './artwork-commands.ts';
import { COMBINE_COMMANDS } from './combine-commands.ts';
import type { Command } from './command.ts';
import { withEdge } from './edges.ts';
import { settled } from './settled.ts';
import { eachThing } from './set.ts';
import { SET_COMMANDS } from './set-commands.ts';
import { tooMuchIn } from './too-much.ts';
import { FIELD_COMMANDS } from './field-commands.ts';
import { GUEST_COMMANDS, withGuestsKept } from './guest-commands.ts';
import { LIST_COMMANDS } from './list-commands.ts';
import { ONE_OFF_COMMANDS } from './one-off-commands.ts';
import { PIECE_COMMANDS } from './piece-commands.ts';
import { SHEET_COMMANDS } from './sheet-commands.ts';
import { TOGETHER_COMMANDS } from './together-commands.ts';
import { backOf } from './backs.ts';

/** Every change that can be made to a job. */
export const COMMANDS = {
  ...ACCEPT_COMMANDS,
  ...ART_COMMANDS,
  ...ARTWORK_COMMANDS,
  ...COMBINE_COMMANDS,
  ...FIELD_COMMANDS,
  ...GUEST_COMMANDS,
  ...LIST_COMMANDS,
  ...ONE_OFF_COMMANDS,
  ...PIECE_COMMANDS,
  ...SET_COMMANDS,
  ...SHEET_COMMANDS,
  ...TOGETHER_COMMANDS,

  'rename-job': {
    run: (job, { name }) => {
      const trimmed = name.trim().slice(0, 120);
      if (trimmed === '') return refused('name-empty');
      return trimmed === job.name ? job : { ...job, name: trimmed };
    },
  } satisfies Command<{ name: string }>,

  /** New measurements: every piece takes the new edge, and its artwork is scaled with it. */
  'measure-thing': {
    run: (job, { thing: given }) => {
      const read = thingSchema.safeParse(given);
      if (!read.success) return invalidBySchema(read.error, given);
      const thing = read.data;
      if (thing.kind !== 'label-sheet') {
        const size = trySize(thing);
        if (!size.ok) return size.problem;
      }
      const edge = edgeFor(thing, job.stock);
      const pieces = job.pieces.map((piece) => (piece.variant ? piece : withEdge(piece, edge)));
      const measured: Job = { ...job, thing, pieces };
      const [front] = pieces;
      if (thing.kind !== 'tag' || thing.sides !== '2' || !front || backOf(job, front.id))
        return measured;
      return PIECE_COMMANDS['add-back'].run(measured, { piece: front.id });
    },
  } satisfies Command<{ thing: Thing }>,

  /** Another sheet, with its material and the labels of it that are gone when these are known. */
  'choose-stock': {
    run: (job, { stock, material = job.material, used = [] }) => {
      const read = stockSchema.safeParse(stock);
      if (!read.success) return invalidBySchema(read.error, stock);
      const closes = checkSpots(stock);
      if (!closes.ok) return closes.problem;
      const spots = stock.spots !== null;
      // Other sheets and their order belong to the stock that was.
      const { stocks, order, ...kept } = job.plan;
      void [stocks, order];
      const plan: Plan = {
        ...kept,
        arrangement: spots ? 'spots' : 'step',
        marks: { ...job.plan.marks, on: spots ? false : job.plan.marks.on },
        usedLabels: [...used],
        handPlaces: {},
      };
      const edge = edgeFor(job.thing, stock);
      const follows = job.thing.kind === 'label-sheet' && spots;
      return {
        ...job,
        stock,
        material,
        plan,
        pieces: follows ? job.pieces.map((piece) => withEdge(piece, edge)) : job.pieces,
      };
    },
  } satisfies Command<{ stock: Stock; material?: Material; used?: readonly number[] }>,

  'choose-material': {
    run: (job, { material }) => {
      const read = materialSchema.safeParse(material);
      return read.success ? { ...job, material: read.data } : invalidBySchema(read.error, material);
    },
  } satisfies Command<{ material: Material }>,
};

export type CommandName = keyof typeof COMMANDS;
export type CommandArgs<N extends CommandName> = Parameters<(typeof COMMANDS)[N]['run']>[1];

/** A command by name with its arguments, as a fix or a test carries it. */
export type CommandCall = {
  [N in CommandName]: { readonly name: N; readonly args: CommandArgs<N> };
}[CommandName];

/**
 * Runs a command; a failed one leaves the job as it was. What it makes is a job that can be kept and
 * read again, or it is refused.
 */
export function runCommand(job: Job, call: CommandCall): Job | Problem {
  const command = COMMANDS[call.name] as unknown as Command<unknown>;
  const changed = command.run(job, call.args);
  if (isProblem(changed)) return changed;
  const made = withGuestsKept(job, settled(changed), call);
  return isProblem(made) ? made : (tryJob(made) ?? made);
}

/** Why a job could not be read again if it were kept; undefined where it can be. */
export function tryJob(job: Job): Problem | undefined {
  const fault = findFault(jobSchema, job);
  if (fault) return invalidJob(job, fault);
  const things = eachThing(job);
  const count = Math.max(...things.map((one) => one.job.pieces.length));
  if (count > MOST_PIECES) return refused('too-many-pieces', { count, most: MOST_PIECES });
  return things.every((one) => tooMuchIn(one.job).size === 0)
    ? undefined
    : refused('itself-or-too-much', { most: MOST_DRAWN });
}

/** The job as a command would leave it, to be looked at only; undefined when it would fail. */
export function tryCommand(job: Job, call: CommandCall): Job | undefined {
  const made = runCommand(job, call);
  return isProblem(made) ? undefined : made;
}

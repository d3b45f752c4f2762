import { isProblem, type Problem } from '../base/index.ts';
import type { LabelField } from '../piece/index.ts';
import { runCommand, type CommandCall } from './commands.ts';
import { FIELD_COMMANDS } from './field-commands.ts';
import { LIST_COMMANDS } from './list-commands.ts';
import { withOwnFaces } from './look.ts';
import { mapOwnPieces } from './map-pieces.ts';
import type { Job } from './schema.ts';
import { withLook } from './look-commands.ts';
import { SET_COMMANDS } from './set-commands.ts';
import { asThing, lookOfThing, thingsOf, withMarkReplaced, withThing } from './set.ts';

/** Whether a change is of a job as a whole, not of one of its things. */
export const isOfTheSet = ({ name }: CommandCall): boolean => name in SET_COMMANDS;

/** Changes that every thing of a set takes, as what they change is shared. */
const OF_ALL_THINGS = new Set<string>([
  ...Object.keys(FIELD_COMMANDS),
  ...Object.keys(LIST_COMMANDS),
  'replace-art',
]);

/**
 * Changes one thing of a job, as if it was a job of its own. What all things share is changed in all of
 * them; so is what the label says in fields that it shared with the others.
 * @param run does it on the thing seen alone; a command unless given
 */
export function changeThing(
  job: Job,
  id: string,
  call: CommandCall,
  run: (thing: Job) => Job | Problem = (thing) => runCommand(thing, call),
): Job | Problem {
  if (!job.set) return run(job);
  if (isOfTheSet(call)) return runCommand(job, call);
  const before = asThing(job, id);
  const made = run(before);
  if (isProblem(made)) return made;
  const look = lookOfThing(job, id);
  const own =
    look && made !== before ? mapOwnPieces(made, (piece) => withOwnFaces(piece, look)) : made;
  const changed = withThing(job, id, own);
  const others = OF_ALL_THINGS.has(call.name) ? inOthers(job, changed, id, call) : changed;
  const marked =
    call.name === 'replace-art'
      ? withMarkReplaced(others, call.args.from, call.args.to.id)
      : others;
  return saidInAll(marked, { id, before, after: own });
}

/** The same change on the other things of a set, each as it was before; where one cannot take it, it stays. */
function inOthers(before: Job, after: Job, id: string, call: CommandCall): Job {
  return thingsOf(before).reduce((now, one) => {
    if (one.id === id) return now;
    const made = runCommand(asThing(before, one.id), call);
    if (isProblem(made)) return now;
    const { list, fields } = now;
    return withThing(now, one.id, {
      ...made,
      ...(list ? { list } : {}),
      ...(fields ? { fields } : {}),
    });
  }, after);
}

/** What was changed in a field of one label, said by all that share it. */
function saidInAll(
  job: Job,
  { id, before, after }: { readonly id: string; readonly before: Job; readonly after: Job },
): Job {
  const { set } = job;
  if (!set || before.pieces === after.pieces) return job;
  const own = thingsOf(job).find((one) => one.id === id)?.own?.says ?? [];
  const was = new Map(
    before.pieces.flatMap((piece) =>
      piece.elements.map((one) => [`${piece.id} ${one.id}`, one] as const),
    ),
  );
  const says: Partial<Record<LabelField, string>> = {};
  for (const piece of after.pieces) {
    if (piece.variant) continue;
    for (const one of piece.elements) {
      const old = was.get(`${piece.id} ${one.id}`);
      if (!old || old === one || !('text' in one) || !('text' in old) || !one.field) continue;
      const shared = set.look.says[one.field];
      if (own.includes(one.field) || old.text !== shared || one.text === shared) continue;
      says[one.field] = one.text;
    }
  }
  if (Object.keys(says).length === 0) return job;
  return withLook(job, { ...set.look, says: { ...set.look.says, ...says } });
}

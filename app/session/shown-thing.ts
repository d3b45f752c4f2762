import { isProblem, type Problem } from '../../core/base/index.ts';
import { commandText } from '../../messages/index.ts';
import { computed, ref } from 'vue';
import {
  asThing,
  changeThing,
  hostOf,
  isOfTheSet,
  runCommand,
  thingsOf,
  type CommandCall,
  type Job,
} from '../../core/job/index.ts';
import type { Done } from './shown-copy.ts';

/** Which thing of each job was worked on last, for this visit. */
const last = new Map<string, string>();

/** Which thing of a set is worked on: it is seen as a job of its own. */
export function useShownThing(job: () => Job | undefined) {
  const wanted = ref<string>();
  const all = computed(() => {
    const value = job();
    return value ? thingsOf(value) : [];
  });
  /** One that is there: the first where the one that was shown was taken away. */
  const current = computed(() => all.value.find((one) => one.id === wanted.value) ?? all.value[0]);
  const id = computed(() => current.value?.id ?? '');

  const host = computed(() => {
    const value = job();
    return value ? hostOf(value, id.value) : id.value;
  });

  const seen = (value: Job | undefined): Job | undefined => value && asThing(value, id.value);

  function show(next: string): void {
    wanted.value = next;
    const value = job();
    if (value) last.set(value.id, next);
  }

  const remembered = (jobId: string): void => void (wanted.value = last.get(jobId));

  return { all, current, id, host, seen, show, remembered };
}

/** A job after a change of one of its things, or of all of it. */
export function doneInThing(
  now: Job,
  id: string,
  call: CommandCall,
  run: (thing: Job) => Done | Problem,
): Done | Problem {
  if (isOfTheSet(call)) {
    const job = runCommand(now, call);
    return isProblem(job) ? job : { job, label: commandText(call, now) };
  }
  let label = '';
  const job = changeThing(now, id, call, (thing) => {
    const done = run(thing);
    if (isProblem(done)) return done;
    label = done.label;
    return done.job;
  });
  return isProblem(job) ? job : { job, label };
}

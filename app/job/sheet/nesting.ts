import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import {
  isBetterNest,
  waitsForNest,
  withoutNested,
  type NestedJob,
  type Turns,
} from '../../../core/sheet/index.ts';
import { nestCalls, proofCalls, type Ongoing } from '../../calls/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { useJobStore } from '../../session/job-store.ts';

/** What had been found when. */
export interface Heard {
  readonly seconds: number;
  readonly used: number;
  readonly copies: number;
}

type NestStep = Extract<CommandCall, { name: 'nest-sheets' }>;

const ROUNDS = 2500; // for each sheet
/** How many times as long as it takes to show an answer the page waits for the next one. */
const SHOWN_SELDOM = 3;

/** While the first answer is searched all the machine is for that: what can wait waits. */
export const searchesFirst = ref(false);

/**
 * Nests the copies of the open job in workers, each with a luck of its own. What is found is shown at
 * once; when all have ended, or it is stopped, the best becomes one step.
 */
export function useNesting(store: ReturnType<typeof useJobStore>) {
  const messages = useMessages();
  const heard = shallowRef<readonly Heard[]>([]);
  const ongoing = shallowRef<readonly Ongoing<'nest'>[]>([]);
  let best: NestedJob | undefined;
  let made = stepOf();
  let seed = 1;
  let waiting: ReturnType<typeof setTimeout> | undefined;
  let pause = 0;
  /** Whether an answer is on the page already. */
  const isShown = ref(false);

  const running = computed(() => ongoing.value.length > 0);

  function stepOf(turns?: Turns, fill = false): (found: NestedJob) => NestStep {
    return ({ sheets, counts }) => ({
      name: 'nest-sheets',
      args: {
        sheets,
        turns,
        ...(fill ? { wanted: { ...store.committed?.plan.wanted, ...counts } } : {}),
      },
    });
  }

  /** Shows the best that was found; what takes long to show is shown more seldom, so that the page answers. */
  function show(): void {
    waiting = undefined;
    if (!best || !running.value) return;
    const began = performance.now();
    store.preview(made(best));
    requestAnimationFrame(() => {
      pause = SHOWN_SELDOM * (performance.now() - began);
      isShown.value = true;
    });
  }

  async function start({
    turns,
    fill = false,
  }: { turns?: Turns; fill?: boolean } = {}): Promise<void> {
    stop();
    const { committed } = store;
    if (!committed) return;
    const plan = { ...committed.plan, ...(turns ? { turns } : {}) };
    // Copies that may no longer be turned as they lie are nested from the beginning.
    const job = { ...committed, plan: turns ? withoutNested(plan) : plan };
    const begun = performance.now();
    best = undefined;
    heard.value = [];
    isShown.value = false;
    made = stepOf(turns, fill);
    const hear = (part: unknown): void => {
      const found = part as NestedJob;
      if (best && !isBetterNest(found, best)) return;
      best = found;
      const { used, copies } = found;
      heard.value = [...heard.value, { seconds: (performance.now() - begun) / 1000, used, copies }];
      waiting ??= setTimeout(show, pause);
    };
    const started = nestCalls.map((host, at) =>
      host.call('nest', { job, rounds: ROUNDS, seed: seed + at, fill }, undefined, hear),
    );
    seed += started.length;
    ongoing.value = started;
    const answers = await Promise.allSettled(started.map(({ answer }) => answer));
    if (ongoing.value !== started) return;
    // What is shown is kept, unless one of the answers is better than all that were heard.
    for (const answer of answers) {
      if (answer.status === 'rejected') {
        if (!(answer.reason instanceof Cancelled)) messages.sayError(answer.reason);
      } else if (!best || isBetterNest(answer.value, best)) best = answer.value;
    }
    keep();
  }

  /** Ends it; the best that was found so far becomes a step. */
  function stop(): void {
    if (!running.value) return;
    for (const call of ongoing.value) call.cancel();
    keep();
  }

  function keep(): void {
    clearTimeout(waiting);
    waiting = undefined;
    ongoing.value = [];
    if (!best) return store.cancel();
    const call = made(best);
    const { plan } = store.committed ?? {};
    const same =
      plan?.arrangement === 'nest' &&
      (call.args.turns ?? plan.turns) === plan.turns &&
      JSON.stringify(plan.nested) === JSON.stringify(best.sheets);
    if (!same) return void store.act(call);
    store.cancel();
    messages.say(texts.sheet.nestNone);
  }

  // Another step goes before what is being searched for the job as it was.
  watch(
    () => store.committed,
    () => {
      for (const call of ongoing.value) call.cancel();
      ongoing.value = [];
    },
  );
  watch(
    () => running.value && !isShown.value,
    (on) => {
      searchesFirst.value = on;
      proofCalls.hold(on);
    },
    { flush: 'sync' },
  );
  // What is to be nested and is not yet begins by itself.
  const { plan } = store.committed ?? {};
  if (
    plan &&
    waitsForNest(plan) &&
    store.keepState !== 'reading' &&
    Object.values(plan.wanted).some((count) => count > 0)
  )
    void start();
  onBeforeUnmount(stop);

  return { heard, running, start, stop };
}

export type Nesting = ReturnType<typeof useNesting>;

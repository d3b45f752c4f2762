import { withAcceptedValues } from '../../core/proof/index.ts';
import { commandText, findingText, leftOutTexts } from '../../messages/index.ts';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { isProblem, type Problem } from '../../core/base/index.ts';
import {
  afterStep,
  asThing,
  groupsOf,
  ownPieces,
  redo,
  startHistory,
  undo,
  withThing,
  withTypefaces,
  type CommandCall,
  type History,
  type Job,
} from '../../core/job/index.ts';
import type { CompiledPiece } from '../../core/piece/index.ts';
import {
  askToKeep,
  askToWrite,
  findJob,
  hearKept,
  isFull,
  keepJob,
  keepVersion,
  tellKept,
  type WriterLock,
} from '../storage/index.ts';
import { calls } from '../calls/index.ts';
import { useChosenCutter } from './chosen-devices.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';
import { autosave } from './autosave.ts';
import { loadFor } from './page-resources.ts';
import { doneAlone, useShownCopy, type Done } from './shown-copy.ts';
import { doneInThing, useShownThing } from './shown-thing.ts';
import { useLayouts } from './layouts.ts';
import { useFindings } from './findings.ts';
import { useOwnTypefaces } from './own-typefaces.ts';

/** Typed letters become a step of the history when none has come for that long, ms. */
const TYPING_QUIET = 250;
/** How long a job is worked on before it is kept as another version, ms. */
const VERSION_EVERY = 5 * 60_000;

export type KeepState = 'kept' | 'keeping' | 'failed' | 'reading';

/** The open job: its value, its history, and what follows from it. Replaced whole at every change. */
export const useJobStore = defineStore('job', () => {
  const messages = useMessages();
  const ownTypefaces = useOwnTypefaces();
  const history = shallowRef<History>();
  /** The value during a gesture, before it becomes one step. */
  const gesture = shallowRef<Job>();
  const state = ref<'loading' | 'open' | 'missing'>('loading');
  const keepState = ref<KeepState>('kept');
  let lock: WriterLock | undefined;
  let stopHearing: () => void = () => undefined;
  let noted = 0;
  /** A step that is shown already while it may still grow. */
  let staged: { call: CommandCall; key: string; timer: ReturnType<typeof setTimeout> } | undefined;

  /** Which thing of the set is worked on. */
  const things = useShownThing(() => gesture.value ?? history.value?.now);
  const shown = useShownCopy(() => things.seen(gesture.value ?? history.value?.now));
  /** The job as it is looked at: where changes go to one copy alone, as that has it. */
  let gestureIsSaved = false;
  const job = computed(() => shown.seen(things.seen(gesture.value ?? history.value?.now)));
  /** The job without what a gesture is just doing. */
  const committed = computed(() => shown.seen(things.seen(history.value?.now)));
  /** The whole of it: all things of a set with what they share. */
  const whole = computed(() => history.value?.now);
  const pieces = computed(() => {
    const { value } = job;
    return new Map<string, CompiledPiece>(
      value?.pieces.map((piece) => [piece.id, shown.compiled(value, piece)]),
    );
  });
  /** The thing on whose sheets the one that is worked on lies: mostly itself. */
  const onSheets = computed(() => {
    const { value: host } = things.host;
    const value = gesture.value ?? history.value?.now;
    return value && host !== things.id.value ? asThing(value, host) : job.value;
  });
  const { layout, committedLayout } = useLayouts(
    () => onSheets.value,
    () => gesture.value !== undefined,
  );
  /** The pieces that are its own: no guests on its sheets. */
  const own = computed(() => (committed.value ? ownPieces(committed.value) : []));
  /** The typefaces that can be set in here beside those that ship: the workshop's, and what the job brought. */
  const typefaces = computed(() => {
    const ids = ownTypefaces.list.map(({ id }) => id);
    const brought = Object.values(committed.value?.typefaces ?? {});
    return [...ownTypefaces.list, ...brought.filter(({ id }) => !ids.includes(id))];
  });
  const machine = useChosenCutter();
  const findings = useFindings({
    job: () => things.seen(history.value?.now),
    machine: () => machine.value,
    thing: () => things.id.value,
    others: () => {
      const { value } = whole;
      return value?.set ? groupsOf(value).filter(({ id }) => id !== things.host.value) : [];
    },
  });
  // What an earlier version accepted by its sentence is known by its values from now on: no step.
  watch(findings.found, (found) => {
    const now = history.value;
    if (!now || gesture.value || keepState.value === 'reading') return;
    const seen = things.seen(now.now);
    const job = seen && withAcceptedValues(seen, found, (finding) => findingText(finding).what);
    if (job && job !== seen) accept({ ...now, now: withThing(now.now, things.id.value, job) });
  });
  const undoLabel = computed(() => history.value?.past[history.value.past.length - 1]?.label);
  const redoLabel = computed(() => history.value?.future[0]?.label);

  const saving = autosave<Job>(
    async (value) => {
      await keepJob(value, Date.now());
      tellKept(value.id);
    },
    (state, error) => {
      if (state === 'failed' && keepState.value !== 'failed') {
        if (isFull(error)) messages.sayTrouble(texts.full);
        else messages.sayError(error);
      }
      keepState.value = state;
    },
  );

  async function open(id: string): Promise<void> {
    close();
    state.value = 'loading';
    const found = await findJob(id).catch((error: unknown) => {
      messages.sayError(error);
      return undefined;
    });
    if (!found?.ok) {
      if (found) messages.sayProblem(found.problem);
      state.value = 'missing';
      return;
    }
    void ownTypefaces.load();
    show(found.value.job);
    state.value = 'open';
    things.remembered(found.value.job.id);
    const { job: opened, leftOut = [] } = found.value;
    if (leftOut.length) messages.say(texts.shelf.mended(opened.name, leftOutTexts(leftOut)));
    noteVersion(opened);
    write(id, false);
    stopHearing = hearKept((kept) => {
      if (kept === id && keepState.value === 'reading') void refresh(id);
    });
  }

  function show(value: Job): void {
    gesture.value = undefined;
    shown.show({});
    history.value = startHistory(value);
    void loadFor(value).catch(messages.sayError);
  }

  async function refresh(id: string): Promise<void> {
    const found = await findJob(id);
    if (found?.ok) show(found.value.job);
  }

  function write(id: string, take: boolean): void {
    lock?.release();
    lock = askToWrite(
      id,
      {
        onWriter() {
          const wasReading = keepState.value === 'reading';
          keepState.value = 'kept';
          if (wasReading) void refresh(id);
        },
        onReader: () => (keepState.value = 'reading'),
      },
      take,
    );
  }

  function close(): void {
    commit();
    // Nobody else writes it before what waits here is kept.
    const held = lock;
    void saving.flush().finally(() => held?.release());
    lock = undefined;
    stopHearing();
    history.value = undefined;
    gesture.value = undefined;
    keepState.value = 'kept';
  }

  /** Keeps the job as it is now among its versions; without room for it the job itself says so. */
  function noteVersion(value: Job): void {
    noted = Date.now();
    void keepVersion(value, noted).catch(() => undefined);
  }

  /** Shows copies as a row of the list fills them, for changes of all. */
  function showRow(key: string): void {
    commit();
    shown.show({ row: key });
  }

  /** Has changes go to one copy alone, or to all again. */
  function showCopy(copy: string | undefined): void {
    commit();
    cancel();
    shown.show({ copy, row: copy === undefined ? shown.row.value?.key : undefined });
  }

  /** Turns to another thing of the set; what was chosen of copies is left. */
  function showThing(id: string): void {
    commit();
    cancel();
    shown.show({});
    things.show(id);
  }

  /** Whether this tab may change the job; says so when it may not. */
  function mayWrite(): boolean {
    if (keepState.value !== 'reading') return true;
    messages.say(texts.lock.reader, { label: texts.lock.take, run: takeOver });
    return false;
  }

  function takeOver(): void {
    if (job.value) write(job.value.id, true);
  }

  function accept(next: History): void {
    const now = withTypefaces(next.now, ownTypefaces.list);
    if (next === history.value && now === next.now) return;
    history.value = { ...next, now };
    gesture.value = undefined;
    saving.changed(now);
    if (Date.now() - noted > VERSION_EVERY) noteVersion(now);
    void loadFor(now).catch(messages.sayError);
    // Where it cannot even be noted that this was asked, keeping the job itself says so.
    void askToKeep().catch(() => undefined);
  }

  // What is noted of the workshop's typefaces goes for the job that is open, too.
  watch(
    () => ownTypefaces.list,
    () => {
      if (history.value && keepState.value !== 'reading') accept(history.value);
    },
  );

  /** The job after a change of what is worked on. */
  const changed = (
    now: Job,
    call: CommandCall,
    run: (thing: Job) => Done | Problem = (thing) => shown.run(thing, call),
  ): Done | Problem => doneInThing(now, things.id.value, call, run);

  /** Does one step. Steps of the same key follow each other as one. Says why when it is refused. */
  function act(call: CommandCall, key?: string): boolean {
    return step((now) => changed(now, call), key);
  }

  /**
   * Does one step of the whole job that takes long, worked out in a worker. False where it is refused, or
   * something else was done meanwhile.
   */
  async function actInWorker(call: CommandCall, key?: string): Promise<boolean> {
    commit();
    const before = history.value;
    if (!before || !mayWrite()) return false;
    const thing = things.seen(before.now) ?? before.now;
    const made = await calls.call('runCommand', { job: thing, call }).answer;
    if (history.value !== before) return false;
    const run = (): Done | Problem =>
      isProblem(made) ? made : { job: made, label: commandText(call, thing) };
    return step((now) => changed(now, call, run), key);
  }

  /** Does one step for one copy alone. */
  function changeAlone(copy: string, call: CommandCall, key?: string): boolean {
    return step((now) => changed(now, call, (thing) => doneAlone(thing, copy, call)), key);
  }

  function step(run: (now: Job) => Done | Problem, key?: string): boolean {
    commit();
    const now = history.value;
    if (!now || !mayWrite()) return false;
    const done = run(now.now);
    if (isProblem(done)) {
      messages.sayProblem(done);
      return false;
    }
    accept(afterStep(now, done.job, done.label, key));
    return true;
  }

  /**
   * Shows a step that may still grow, as words do letter by letter. It is done when nothing came for a
   * while, or when something else is done.
   */
  function stage(call: CommandCall, key: string): void {
    if (staged && staged.key !== key) commit();
    if (!mayWrite()) return;
    clearTimeout(staged?.timer);
    staged = { call, key, timer: setTimeout(commit, TYPING_QUIET) };
    showChange(call);
  }

  /** Does the step that was growing. */
  function commit(): void {
    if (!staged) return;
    const { call, key, timer } = staged;
    clearTimeout(timer);
    staged = undefined;
    act(call, key);
  }

  /** Shows a change while a gesture lasts. */
  function preview(call: CommandCall): void {
    commit();
    showChange(call);
  }

  /** Shows what a step would do while it is pointed at: nothing of it is kept. */
  function previewOnHover(call: CommandCall): void {
    commit();
    showChange(call, false);
  }

  /** What a hand or typing does is kept at once, so that a reload in its middle loses nothing. */
  function showChange(call: CommandCall, keeping = true): void {
    const now = history.value?.now;
    if (!now || keepState.value === 'reading') return;
    const done = changed(now, call);
    if (isProblem(done)) return;
    gesture.value = done.job;
    gestureIsSaved = keeping;
    if (keeping) saving.changed(done.job);
  }

  /** Ends a gesture without a step. */
  function cancel(): void {
    commit();
    if (!gesture.value) return;
    gesture.value = undefined;
    if (history.value && gestureIsSaved) saving.changed(history.value.now);
  }

  /** So many steps back (negative) or forward in the history. */
  function walkBy(steps: number): void {
    walk((from) => {
      let at = from;
      for (let done = 0; done < Math.abs(steps); done++) at = steps < 0 ? undo(at) : redo(at);
      return at;
    });
  }

  /** The job as an earlier version was; one step that can be undone. */
  function returnTo(value: Job, label: string): void {
    commit();
    const now = history.value;
    if (now && mayWrite()) accept(afterStep(now, value, label));
  }

  function walk(step: (history: History) => History): void {
    commit();
    if (history.value && mayWrite()) accept(step(history.value));
  }

  return {
    job,
    committed,
    whole,
    /** The things of the set, and which of them is worked on. */
    things: things.all,
    thing: things.id,
    shownThing: things.current,
    host: things.host,
    onSheets,
    own,
    showThing,
    row: shown.row,
    showRow,
    /** The copy that changes go to alone. */
    alone: shown.alone,
    showCopy,
    compiled: shown.compiled,
    asRow: shown.asRow,
    state,
    keepState,
    pieces,
    layout,
    committedLayout,
    typefaces,
    findings,
    undoLabel,
    redoLabel,
    open,
    close,
    act,
    actInWorker,
    changeAlone,
    stage,
    commit,
    preview,
    previewOnHover,
    cancel,
    takeOver,
    flush: () => saving.flush(),
    past: computed(() => history.value?.past.map(({ label }) => label) ?? []),
    future: computed(() => history.value?.future.map(({ label }) => label) ?? []),
    walkBy,
    returnTo,
    undo: () => walk(undo),
    redo: () => walk(redo),
  };
});

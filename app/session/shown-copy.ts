import { isProblem, type Problem } from '../../core/base/index.ts';
import { commandText, onOneCopyText } from '../../messages/index.ts';
import { computed, ref } from 'vue';
import {
  compileAsRow,
  copyOf,
  runCommand,
  editOneCopy,
  isOfTheJob,
  asSeenByCopy,
  type CommandCall,
  type Job,
} from '../../core/job/index.ts';
import type { CompiledPiece, ListRow, Piece } from '../../core/piece/index.ts';
import { copyParts, rowInTurn } from '../../core/sheet/index.ts';
import { pageCompiler } from './page-resources.ts';

/** A job after a change, and what that is called behind “Undo”. */
export interface Done {
  readonly job: Job;
  readonly label: string;
}

function done(value: Job, call: CommandCall): Done | Problem {
  const job = runCommand(value, call);
  return isProblem(job) ? job : { job, label: commandText(call, value) };
}

/** A change that one copy alone takes. */
export function doneAlone(value: Job, copy: string, call: CommandCall): Done | Problem {
  const job = editOneCopy(value, copy, call);
  if (isProblem(job)) return job;
  const label = commandText(call, asSeenByCopy(value, copy));
  return { job, label: isOfTheJob(call) ? label : onOneCopyText(label) };
}

/**
 * Which row of the list the desk shows copies of, and whether changes go to one copy alone: then the job
 * is seen as that copy has it.
 */
export function useShownCopy(job: () => Job | undefined) {
  /** The key of the row that is shown; the first one unless chosen. */
  const wantedRow = ref<string>();
  /** The copy that changes go to alone. */
  const wantedCopy = ref<string>();

  const alone = computed(() => {
    const [value, copy] = [job(), wantedCopy.value];
    return value && copy ? copyOf(value, copy) && copy : undefined;
  });
  const row = computed(() => {
    const value = job();
    if (!value) return undefined;
    const own = alone.value ? copyOf(value, alone.value)?.row : undefined;
    const rows = value.list?.rows ?? [];
    return own ?? rows.find(({ key }) => key === wantedRow.value) ?? rowInTurn(value.list, 1);
  });

  const known = new WeakMap<Job, { copy: string; seen: Job }>();

  /** The job as the copy that is changed alone sees it; the same value for the same job. */
  function seen(value: Job | undefined): Job | undefined {
    const copy = alone.value;
    if (!value || !copy) return value;
    const before = known.get(value);
    if (before?.copy === copy) return before.seen;
    const made = asSeenByCopy(value, copy);
    known.set(value, { copy, seen: made });
    return made;
  }

  /** A piece of a job as it is seen, compiled as what is shown of it. */
  function compiled(value: Job, piece: Piece): CompiledPiece {
    const copy = alone.value;
    const found = copy && copyParts(copy).piece === piece.id ? copyOf(value, copy) : undefined;
    // What is seen has the colours and pictures of its row already.
    return found
      ? pageCompiler.compile(piece, value, found)
      : compileAsRow(value, pageCompiler, { piece, row: row.value });
  }

  /** A piece of a job as a row fills it, whichever is shown. */
  const asRow = (value: Job, piece: Piece, filling: ListRow): CompiledPiece =>
    compileAsRow(value, pageCompiler, { piece, row: filling });

  const run = (value: Job, call: CommandCall): Done | Problem =>
    alone.value ? doneAlone(value, alone.value, call) : done(value, call);

  function show(next: { row?: string | undefined; copy?: string | undefined }): void {
    wantedRow.value = next.row ?? wantedRow.value;
    wantedCopy.value = next.copy;
  }

  return { alone, row, seen, compiled, asRow, run, show };
}

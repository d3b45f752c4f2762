import type { PrinterTold, PrintOrder } from '../../protocol/index.ts';
import type { PrintNote } from '../../../core/run/index.ts';
import {
  doing,
  err,
  ok,
  ProblemError,
  type Doing,
  type Result,
  type Task,
} from '../../../core/base/index.ts';
import {
  encodeIpp,
  firstValue,
  GROUP,
  ipp,
  parseIpp,
  textsOf,
  valuesOf,
  type IppAttribute,
  type IppMessage,
} from './ipp-message.ts';
import { OPERATION, STATUS } from './ipp-codes.ts';
import { IppLine, type Access } from './ipp-line.ts';
import { mediaName } from './media.ts';
import { readReasons } from './printer-reasons.ts';
import { readSupplies } from './printer-supplies.ts';

/** How a file is to be printed. */
export type PrintSettings = Omit<PrintOrder, 'address' | 'name'>;

/** A file on its way to a printer. */
export interface WirePrint {
  readonly pdf: Uint8Array;
  readonly name: string;
  readonly settings: PrintSettings;
  /** How long the printer may wait for paper and the like before the job is taken back, ms. */
  readonly patience?: number;
}

/** What became of a print. */
export interface PrintDone {
  readonly job: number;
  /** What is worth telling though it was printed. */
  readonly notes: readonly PrintNote[];
}

const PATIENCE = 15_000; // ms that a printer may wait for something unless more is given
const POLL = 300; // ms between looks at a job
const MISSED = 2; // looks in a row that a printer may leave unanswered: it has the job all the same
const MOST_ICONS = 4;
const MOST_COPIES = 999;
const USER = 'little-peel';
const UNREACHABLE = 'printer/unreachable';

const QUALITY = { draft: 3, normal: 4, high: 5 } as const;
const JOB_STATE = { stopped: 6, canceled: 7, aborted: 8, completed: 9 } as const;
const PRINTER_STATES: Readonly<Record<number, string>> = { 3: 'idle', 4: 'printing', 5: 'stopped' };
const STOPPED = 5; // of a printer

/** Speaks to a printer, and hangs up. */
async function speaking<T>(
  address: string,
  access: Access | undefined,
  run: (line: IppLine) => Promise<T>,
): Promise<T> {
  const line = new IppLine(address, access);
  try {
    return await run(line);
  } finally {
    line.close();
  }
}

/** Asks a printer what it is and what it can. */
export const askPrinter = (address: string, access?: Access): Promise<Result<PrinterTold>> =>
  speaking(address, access, askedOn);

async function askedOn(line: IppLine): Promise<Result<PrinterTold>> {
  const answer = await exchange(line, OPERATION.getPrinterAttributes, {
    'requested-attributes': ipp.keyword('all', 'media-col-database'),
  });
  if (!answer.ok) return answer;
  const told = (name: string): string[] => textsOf(answer.value, GROUP.printer, name);
  const first = (name: string): unknown => firstValue(answer.value, GROUP.printer, name);
  if (answer.value.code >= STATUS.badRequest) return refusal(answer.value);
  const margins = marginsOf(answer.value);
  return ok({
    name: String(first('printer-info') || first('printer-name') || line.address),
    state: PRINTER_STATES[Number(first('printer-state'))] ?? 'unknown',
    reasons: readReasons(told('printer-state-reasons')),
    media: told('media-supported'),
    trays: told('media-source-supported'),
    types: told('media-type-supported'),
    takesPdf: told('document-format-supported').includes('application/pdf'),
    duplex: told('sides-supported').some((one) => one.startsWith('two-sided')),
    color: first('color-supported') === true,
    supplies: readSupplies(answer.value),
    copies: mostCopies(answer.value),
    unscaled: told('print-scaling-supported').includes('none'),
    ...(margins ? { margins } : {}),
  });
}

/** Where a printer shows pictures of itself, the smallest first. */
export const printerIcons = (address: string, access?: Access): Promise<Result<string[]>> =>
  speaking(address, access, async (line) => {
    const answer = await exchange(line, OPERATION.getPrinterAttributes, {
      'requested-attributes': ipp.keyword('printer-icons'),
    });
    if (!answer.ok) return answer;
    return ok(textsOf(answer.value, GROUP.printer, 'printer-icons').slice(0, MOST_ICONS));
  });

/** How many copies a printer makes by itself of a job. */
function mostCopies(answer: IppMessage): number {
  const range = firstValue(answer, GROUP.printer, 'copies-supported');
  const most = Array.isArray(range) ? Number(range[1]) : Number(range ?? 1);
  return Number.isFinite(most) && most > 1 ? Math.min(most, MOST_COPIES) : 1;
}

/** The least margins of those that a printer supports (PWG 5100.7: hundredths of a millimetre). */
function marginsOf(answer: IppMessage): [number, number, number, number] | undefined {
  const [top, right, bottom, left] = ['top', 'right', 'bottom', 'left'].map((side) => {
    const all = valuesOf(answer, GROUP.printer, `media-${side}-margin-supported`);
    const least = Math.min(...all.filter((value) => typeof value === 'number'));
    return Number.isFinite(least) && least >= 0 ? least / 100 : undefined;
  });
  if (top === undefined || right === undefined || bottom === undefined || left === undefined)
    return undefined;
  return [top, right, bottom, left];
}

/** The attributes that a job is asked for: never scaled, on paper of the sheet's size. */
function jobAttributes(settings: PrintSettings): Record<string, IppAttribute> {
  const { width, height, copies = 1, sides = 'one-sided', quality, color, tray, type } = settings;
  const hundredths = (mm: number): number => Math.round(mm * 100);
  const media: Record<string, IppAttribute> =
    tray || type
      ? {
          'media-col': ipp.collection({
            'media-size': ipp.collection({
              'x-dimension': ipp.integer(hundredths(width)),
              'y-dimension': ipp.integer(hundredths(height)),
            }),
            ...(tray ? { 'media-source': ipp.keyword(tray) } : {}),
            ...(type ? { 'media-type': ipp.keyword(type) } : {}),
          }),
        }
      : { media: ipp.keyword(mediaName(width, height)) };
  return {
    copies: ipp.integer(copies),
    // The same sheet again and again, before the next one.
    ...(copies > 1
      ? { 'multiple-document-handling': ipp.keyword('separate-documents-uncollated-copies') }
      : {}),
    sides: ipp.keyword(sides),
    'print-scaling': ipp.keyword('none'),
    ...(quality ? { 'print-quality': ipp.enum(QUALITY[quality]) } : {}),
    ...(color ? { 'print-color-mode': ipp.keyword(color) } : {}),
    ...media,
  };
}

/**
 * Prints a PDF over the Internet Printing Protocol (RFC 8011): validated first, then sent, then
 * followed to its end. What keeps the printer from it is told on the way; a cancel cancels the job.
 */
export const printOverIpp = (
  address: string,
  print: WirePrint,
  task: Task,
  access?: Access,
): Promise<Result<PrintDone>> => speaking(address, access, (line) => printedOn(line, print, task));

async function printedOn(
  line: IppLine,
  { pdf, name, settings, patience = PATIENCE }: WirePrint,
  task: Task,
): Promise<Result<PrintDone>> {
  const operation = {
    'job-name': ipp.name(name.slice(0, 80)),
    'document-format': ipp.mime('application/pdf'),
  };
  const job = jobAttributes(settings);
  task.progress(0, doing('asking-printer', {}));
  const checked = await exchange(line, OPERATION.validateJob, operation, { job });
  if (!checked.ok) return checked;
  const unmet = unmetOf(checked.value);
  if (unmet.includes('media') || unmet.includes('media-col'))
    return err('printer/media', { width: settings.width, height: settings.height });
  if (checked.value.code >= STATUS.badRequest) return refusal(checked.value);
  await task.yieldNow();
  task.progress(0.1, doing('sending-sheets', {}));
  const sent = await exchange(line, OPERATION.printJob, operation, { job, document: pdf });
  if (!sent.ok) return sent;
  const id = firstValue(sent.value, GROUP.job, 'job-id');
  if (sent.value.code >= STATUS.badRequest || typeof id !== 'number') return refusal(sent.value);
  const notes = unmet.includes('print-scaling') ? (['may-scale'] as const) : [];
  const count = sheetCounter(settings);
  try {
    return await followed(line, { id, notes, patience, count }, task);
  } catch (error) {
    await exchange(line, OPERATION.cancelJob, { 'job-id': ipp.integer(id) });
    // What came out before it heard of that counts, too.
    const last = await exchange(line, OPERATION.getJobAttributes, { 'job-id': ipp.integer(id) });
    if (last.ok) task.progress(1, count(last.value));
    throw error;
  }
}

/** Tells which sheet a printer is at, by the sheets or the sides that it counts; without a count, none. */
function sheetCounter({ sheets, sides = 'one-sided' }: PrintSettings) {
  return (job: IppMessage): Doing => {
    const whole = firstValue(job, GROUP.job, 'job-media-sheets-completed');
    const printed = firstValue(job, GROUP.job, 'job-impressions-completed');
    const turned = sides === 'one-sided' ? 1 : 2;
    const done =
      typeof whole === 'number'
        ? whole
        : typeof printed === 'number'
          ? Math.floor(printed / turned)
          : undefined;
    if (sheets === undefined || done === undefined) return doing('printing', {});
    return doing('printing-sheet', {
      sheet: Math.max(0, Math.min(done, sheets - 1)) + 1,
      of: sheets,
    });
  };
}

/** How much of the work is done when a printer is at a sheet. */
const shareOf = (at: Doing): number =>
  at.code === 'printing-sheet' ? 0.2 + (0.8 * (at.values.sheet - 1)) / at.values.of : 0.5;

/** Follows a job to its end. */
async function followed(
  line: IppLine,
  {
    id,
    notes,
    patience,
    count,
  }: {
    id: number;
    notes: readonly PrintNote[];
    patience: number;
    count(job: IppMessage): Doing;
  },
  task: Task,
): Promise<Result<PrintDone>> {
  const pause = async (): Promise<void> => {
    await new Promise((go) => setTimeout(go, POLL));
    await task.yieldNow();
  };
  let waiting = 0;
  let missed = 0;
  for (;;) {
    const asked = await exchange(line, OPERATION.getJobAttributes, {
      'job-id': ipp.integer(id),
    });
    if (!asked.ok) {
      if (asked.problem.code !== UNREACHABLE || ++missed > MISSED) return asked;
      await pause();
      continue;
    }
    missed = 0;
    const state = Number(firstValue(asked.value, GROUP.job, 'job-state') ?? 0);
    const at = count(asked.value);
    const tell = (): void => task.progress(shareOf(at), at);
    if (state >= JOB_STATE.canceled) tell();
    const reasons = readReasons(textsOf(asked.value, GROUP.job, 'job-state-reasons'));
    if (state === JOB_STATE.completed) return ok({ job: id, notes });
    if (state === JOB_STATE.canceled || state === JOB_STATE.aborted)
      return err('printer/stopped', reasons[0] ? { reason: reasons[0] } : {});
    const printer = await exchange(line, OPERATION.getPrinterAttributes, {
      'requested-attributes': ipp.keyword('printer-state', 'printer-state-reasons'),
    });
    const waits = printer.ok
      ? readReasons(textsOf(printer.value, GROUP.printer, 'printer-state-reasons'))
      : [];
    const stopped =
      state === JOB_STATE.stopped ||
      (printer.ok && firstValue(printer.value, GROUP.printer, 'printer-state') === STOPPED);
    // A printer that prints on may say that ink runs low: that is nothing to wait for.
    const waitsFor = stopped ? (waits[0] ?? reasons[0]) : undefined;
    waiting = waitsFor ? waiting + POLL : 0;
    if (waitsFor && waiting > patience) {
      await exchange(line, OPERATION.cancelJob, { 'job-id': ipp.integer(id) });
      tell();
      return err('printer/waits', { reason: waitsFor });
    }
    if (waitsFor) task.progress(shareOf(at), doing('waiting-for-printer', { reason: waitsFor }));
    else tell();
    await pause();
  }
}

/** The names of the attributes that a printer does not obey. */
const unmetOf = ({ groups }: IppMessage): string[] =>
  groups
    .filter(({ tag }) => tag === GROUP.unsupported)
    .flatMap(({ attributes }) => [...attributes.keys()]);

function refusal(answer: IppMessage): Result<never> {
  if (answer.code === STATUS.busy || answer.code === STATUS.notAccepting)
    return err('printer/busy', {});
  const says = firstValue(answer, GROUP.operation, 'status-message');
  return typeof says === 'string' && says
    ? err('printer/refused', { says: says.slice(0, 200).replace(/[.\s]+$/, '') })
    : err('printer/refused', { status: `0x${answer.code.toString(16).padStart(4, '0')}` });
}

let requests = 0;

/** Sends a request and gives the answer; what keeps it from that is told. */
async function exchange(
  line: IppLine,
  code: number,
  operation: Readonly<Record<string, IppAttribute>>,
  { job, document }: { job?: Readonly<Record<string, IppAttribute>>; document?: Uint8Array } = {},
): Promise<Result<IppMessage>> {
  const head = encodeIpp({
    version: [1, 1],
    code,
    request: (requests = (requests % 1e9) + 1),
    groups: [
      {
        tag: GROUP.operation,
        attributes: new Map(
          Object.entries({
            'attributes-charset': ipp.charset('utf-8'),
            'attributes-natural-language': ipp.language('en'),
            'printer-uri': ipp.uri(line.address),
            // The target of an operation comes first.
            ...('job-id' in operation ? { 'job-id': operation['job-id'] as IppAttribute } : {}),
            'requesting-user-name': ipp.name(USER),
            ...operation,
          }),
        ),
      },
      ...(job ? [{ tag: GROUP.job, attributes: new Map(Object.entries(job)) }] : []),
    ],
  });
  try {
    const answered = parseIpp(await line.post(document ? [head, document] : [head]));
    return answered.ok ? ok(answered.value.message) : answered;
  } catch (error) {
    if (error instanceof ProblemError) return { ok: false, problem: error.problem };
    return err(UNREACHABLE, { address: line.address });
  }
}

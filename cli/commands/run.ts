import { expectOk, ok, type Problem } from '../../core/base/index.ts';
import type { Calls } from '../../core/calls.ts';
import type { Point } from '../../core/geometry/index.ts';
import { blockedBy, type Devices, type RunReport, type SheetRun } from '../../core/run/index.ts';
import { parseCutProfile, type CutProfile } from '../../core/stock/index.ts';
import { simulatedDevices } from '../../devices/simulated/index.ts';
import {
  AccessFile,
  ippPrinter,
  nodePlatform,
  parseAddress,
  realCutter,
} from '../../devices/wire/index.ts';
import { programText, thingStem } from '../../core/output/index.ts';
import { printNoteText, problemLine, problemText } from '../../messages/index.ts';
import { needed, readOptions, refuse, whole, type Given } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { readBytes, readJob, writeInto } from '../files.ts';
import { wantedGroups, type Group } from '../groups.ts';
import { runPicture } from '../png-file.ts';
import { callsFor, withKnownAcceptances } from '../ready.ts';
import { terminalTask } from '../terminal-task.ts';

const rounded = (value: number): number => Math.round(value * 1e4) / 1e4;

export const run: CliCommand = {
  does: 'Prints and cuts a job; on simulated devices it is a rehearsal.',
  example: 'peel run seals.peel --out rehearsal --seed 7',
  usage:
    'peel run JOB.peel --out DIR [--printer sim|ipp://…|ipps://…] [--cutter sim|tcp://…|serial:PORT] [--profile FILE.json] [--group NAME] [--align x,y;x,y;x,y] [--accept CODE] [--seed N] [--json]',
  async run(argv) {
    const given = readOptions(argv, [
      'out',
      'printer',
      'cutter',
      'profile',
      'align',
      'accept',
      'group',
      'seed',
      'today',
    ]);
    const out = needed(given, 'out');
    const printer = addressOf('printer', given);
    const cutter = addressOf('cutter', given);
    const profile = profileOf(given);
    const job = await withKnownAcceptances(readJob(given.rest[0], given.options.today));
    const accept = String(given.options.accept ?? '')
      .split(',')
      .filter(Boolean);
    const align = placesOf(given);
    const made = (seed: number): Devices => chosenDevices(seed, { printer, cutter });
    const calls = callsFor(job, made);
    const groups = wantedGroups(job.job, given);
    const order = { seed: whole(given, 'seed', 1), accept, profile, ...(align ? { align } : {}) };
    // Nothing of a set is sent while one of its things may not be.
    const blocked = groups.length > 1 ? await firstBlocked(groups, accept, calls) : undefined;
    if (blocked) return refusedBy(blocked);
    const stems = new Set<string>();
    const reports: GroupReport[] = [];
    for (const { job: seen, group } of groups) {
      const done = await calls.run({ job: seen, ...order }, terminalTask());
      if (!done.ok && done.problem.code === 'run/blocked') return refusedBy(done.problem);
      reports.push({
        group,
        report: expectOk(done),
        stem: thingStem(job.job.name, group, stems),
      });
    }
    for (const one of reports) await writeReport(out, one, profile?.language ?? 'hpgl');
    const sheets = reports.flatMap(({ report, group }) =>
      report.sheets.map((sheet) => ({
        ...(group === undefined ? {} : { group }),
        ...sheetDocument(sheet),
      })),
    );
    const worst = Math.max(
      0,
      ...sheets.flatMap(({ copies }) => copies.map(({ deviation }) => deviation)),
    );
    const notes = [...new Set(reports.flatMap(({ report }) => report.notes.map(printNoteText)))];
    const told = cutter ? 'sent to the cutter' : `cuts off by ${worst.toFixed(2)} mm at most`;
    const stopped = sheets.flatMap((sheet) => sheet.stopped ?? []);
    return {
      exit: stopped.length ? 1 : 0,
      document: { sheets, ...(notes.length ? { notes } : {}) },
      text: [`${sheets.length} sheet(s), ${told}`, ...notes, ...stopped].join('\n'),
    };
  },
};

/** What came of one thing of a job. */
interface GroupReport {
  readonly group: string | undefined;
  readonly report: RunReport;
  /** The beginning of the names of its files. */
  readonly stem: string;
}

const refusedBy = (blocked: Problem) => ({
  exit: 1 as const,
  document: { blocked: { ...blocked, ...problemText(blocked) } },
  text: `Not run. ${problemLine(blocked)}`,
});

async function firstBlocked(
  groups: readonly Group[],
  accept: readonly string[],
  calls: Calls,
): Promise<Problem | undefined> {
  for (const { job } of groups) {
    const blockers = await calls.blockers({ job }, terminalTask());
    const blocked = blockedBy(blockers, accept);
    if (blocked) return blocked;
  }
  return undefined;
}

async function writeReport(
  out: string,
  { report, stem }: GroupReport,
  language: CutProfile['language'],
): Promise<void> {
  writeInto(out, `${stem}.pdf`, report.pdf);
  const pictures = report.sheets.flatMap((sheet, index) => {
    const name = `${stem}-${index + 1}`;
    const program = report.programs[index];
    if (program) writeInto(out, `${name}.${language}`, programText(program));
    return (['printed', 'cut', 'peeled'] as const).map(async (kind) => {
      const image = sheet[kind];
      if (image) writeInto(out, `${name}-${kind}.png`, await runPicture(image));
    });
  });
  await Promise.all(pictures);
}

const sheetDocument = ({ registration, copies, stopped }: SheetRun) => ({
  ...(registration
    ? {
        registration: {
          residual: rounded(registration.residual),
          confidence: rounded(registration.confidence),
          found: registration.found.filter(Boolean).length,
        },
      }
    : {}),
  copies: copies.map(({ copy, deviation, bleedLeft, clean }) => ({
    copy,
    deviation: rounded(deviation),
    bleedLeft: rounded(bleedLeft),
    ...(clean ? {} : { torn: true }),
  })),
  ...(stopped ? { stopped: problemLine(stopped) } : {}),
});

/** The address of a device in the house; undefined for a simulated one. */
function addressOf(kind: 'printer' | 'cutter', given: Given): string | undefined {
  const value = String(given.options[kind] ?? 'sim');
  if (value === 'sim') return undefined;
  const address = parseAddress(kind, value);
  if (address.ok) return address.value;
  const { what, remedy } = problemText(address.problem);
  return refuse(`--${kind}: ${what}`, `${remedy} Or: sim.`, `--${kind}`);
}

/** How the cutter is spoken to, by the file that is named; undefined where none is. */
function profileOf({ options: { profile } }: Given): CutProfile | undefined {
  if (profile === undefined) return undefined;
  const path = String(profile);
  return expectOk(parseCutProfile(new TextDecoder().decode(readBytes(path)), path));
}

/** Devices at addresses, and simulated ones where none is given. */
function chosenDevices(
  seed: number,
  { printer, cutter }: { printer: string | undefined; cutter: string | undefined },
): Devices {
  const simulated = simulatedDevices(nodePlatform, seed);
  const real =
    printer === undefined ? undefined : ippPrinter(printer, new AccessFile().of(printer));
  return {
    printer: real
      ? {
          // What came out cannot be seen from here: it is shown as a simulated printer prints it.
          async print(order, task) {
            const done = await real.print(order, task);
            const shown = await simulated.printer.print(order, task);
            return done.ok && shown.ok ? ok({ ...shown.value, notes: done.value.notes }) : done;
          },
        }
      : simulated.printer,
    cutter: cutter === undefined ? simulated.cutter : realCutter(cutter),
  };
}

/** The places of the first marks that were told; undefined where none were. */
function placesOf({ options: { align } }: Given): Point[] | undefined {
  if (align === undefined) return undefined;
  const told = String(align)
    .split(';')
    .map((one) => one.split(',').map((part) => Number(part.trim() || NaN)));
  if (told.some((place) => place.length !== 2 || !place.every(Number.isFinite)))
    refuse(
      `--align: “${String(align).slice(0, 80)}” tells no places.`,
      'Accepted: the places of two or more marks in mm, such as 11.2,10.8;199.1,11;199,286.',
      '--align',
    );
  return told.map(([x = 0, y = 0]) => ({ x, y }));
}

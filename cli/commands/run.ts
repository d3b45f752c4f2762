import { expectGood } from '../../core/base/index.ts';
import { fileStem } from '../../core/output/index.ts';
import { encodePngImage } from '../../core/raster/index.ts';
import { needed, readOptions, refuse, whole } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { readJob, writeInto } from '../files.ts';
import { callsFor } from '../ready.ts';
import { terminalTask } from '../terminal-task.ts';

const rounded = (value: number): number => Math.round(value * 1e4) / 1e4;

export const run: CliCommand = {
  usage:
    'peel run JOB.peel --out DIR [--printer sim] [--cutter sim] [--accept CODE] [--seed N] [--json]',
  async run(argv) {
    const given = readOptions(argv, ['out', 'printer', 'cutter', 'accept', 'seed', 'today']);
    const out = needed(given, 'out');
    for (const device of ['printer', 'cutter']) {
      const value = given.options[device] ?? 'sim';
      if (value !== 'sim')
        refuse(`--${device}: “${value}” cannot be reached.`, 'Accepted: sim.', `--${device}`);
    }
    const job = readJob(given.rest[0], given.options.today);
    const accept = String(given.options.accept ?? '')
      .split(',')
      .filter(Boolean);
    const done = await callsFor(job).run(
      { job: job.job, seed: whole(given, 'seed', 1), accept },
      terminalTask(),
    );
    if (!done.ok && done.problem.code === 'run/blocked') {
      return {
        exit: 1,
        document: { blocked: done.problem },
        text: `Not run. ${done.problem.what} ${done.problem.remedy}`,
      };
    }
    const report = expectGood(done);
    const stem = fileStem(job.job.name);
    writeInto(out, `${stem}.pdf`, report.pdf);
    report.sheets.forEach((sheet, index) => {
      const name = `${stem}-${index + 1}`;
      writeInto(out, `${name}.hpgl`, report.hpgl[index] ?? '');
      writeInto(out, `${name}-printed.png`, encodePngImage(sheet.printed));
      writeInto(out, `${name}-cut.png`, encodePngImage(sheet.cut));
      writeInto(out, `${name}-peeled.png`, encodePngImage(sheet.peeled));
    });
    const sheets = report.sheets.map(({ registration, copies, stopped }) => ({
      registration: {
        residual: rounded(registration.residual),
        confidence: rounded(registration.confidence),
        found: registration.found.filter(Boolean).length,
      },
      copies: copies.map(({ copy, deviation, bleedLeft }) => ({
        copy,
        deviation: rounded(deviation),
        bleedLeft: rounded(bleedLeft),
      })),
      ...(stopped ? { stopped } : {}),
    }));
    const worst = Math.max(
      0,
      ...sheets.flatMap(({ copies }) => copies.map(({ deviation }) => deviation)),
    );
    return {
      exit: 0,
      document: { sheets },
      text: `${sheets.length} sheet(s), cuts off by ${worst.toFixed(2)} mm at most`,
    };
  },
};

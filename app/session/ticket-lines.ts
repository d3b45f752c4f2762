import { ownPieces, sizesOf, type Job } from '../../core/job/index.ts';
import { gatherFindings, type Finding } from '../../core/proof/index.ts';
import {
  isByRow,
  leadPiece,
  copyCount,
  printedCopyIds,
  type Arrangeable,
  type Layout,
} from '../../core/sheet/index.ts';
import { shapeWords } from '../ui/shape-words.ts';
import { formatLength, formatNumber, type Unit } from '../../core/units/index.ts';
import { texts } from '../texts/index.ts';

export type LineState = 'done' | 'look' | 'stop' | 'open';
export type LineId = 'thing' | 'size' | 'stock' | 'artwork' | 'edge' | 'copies' | 'proof' | 'run';

/** One line of the job ticket. */
export interface TicketLine {
  readonly id: LineId;
  readonly name: string;
  readonly fact: string;
  readonly state: LineState;
  /** The desk that it opens. */
  readonly desk: string;
}

/** What the ticket is written from. */
export interface TicketFacts {
  readonly job: Job;
  /** The thing on whose sheets it lies: mostly itself. */
  readonly onSheets: Job;
  readonly layout: Layout;
  readonly findings: readonly Finding[];
  readonly looking: boolean;
  readonly unit: Unit;
  readonly lastRun: string | undefined;
  /** How far a run is that is under way. */
  readonly openRun: string | undefined;
}

/** The line of the ticket that a kind of finding belongs to; those that are not named here, to the artwork. */
const LINE_OF: Readonly<Record<string, LineId>> = {
  'spot-shape-differs': 'stock',
  'larger-than-machine': 'stock',
  'force-out-of-range': 'stock',
  'loose-parts': 'edge',
  'thin-rim': 'edge',
  'tight-curve': 'edge',
  'bleed-missing': 'edge',
  'scissors-shape': 'edge',
  'outside-printable': 'copies',
  'in-keep-clear': 'copies',
  overlap: 'copies',
  'does-not-fit': 'copies',
  'nothing-wanted': 'copies',
  'bleeds-meet': 'copies',
  'bleed-cut-off': 'copies',
  'doubled-cuts': 'copies',
  'gap-too-small': 'copies',
  'scissors-gap': 'copies',
  'mark-too-small': 'copies',
};

/** The lines of the job ticket from top to bottom, each with its fact and state. */
export function ticketLines(facts: TicketFacts): TicketLine[] {
  const { job, unit, findings, looking, lastRun } = facts;
  const line = (id: LineId, desk: string, fact: string, state: LineState): TicketLine => ({
    id,
    name: texts.ticket[id],
    desk,
    fact,
    state,
  });
  const own = ownPieces(job);
  const elements = own.reduce((sum, piece) => sum + piece.elements.length, 0);
  const stateAt = (id: LineId): LineState =>
    stateOf(findings.filter(({ code }) => (LINE_OF[code] ?? 'artwork') === id));
  return [
    line('thing', 'size', thingFact(job, unit), 'done'),
    line('size', 'size', sizeFact(job, unit) + moreSizes(job), 'done'),
    line(
      'stock',
      'stock',
      texts.ticket.stockOf(job.stock.name, job.material.name),
      stateAt('stock'),
    ),
    line(
      'artwork',
      'artwork',
      texts.ticket.pieces(own.length, elements),
      elements === 0 ? 'open' : stateAt('artwork'),
    ),
    line('edge', 'edge', edgeFact(job, unit), stateAt('edge')),
    line('copies', 'sheet', copiesFact(facts), stateAt('copies')),
    line(
      'proof',
      'proof',
      proofFact(findings, looking),
      looking && findings.length === 0 ? 'open' : stateOf(findings),
    ),
    facts.openRun
      ? line('run', 'run', facts.openRun, 'open')
      : line('run', 'run', lastRun ?? texts.ticket.notRun, lastRun ? 'done' : 'open'),
  ];
}

/** How what was found leaves a thing: notes are no trouble. */
export function stateOf(findings: readonly Finding[]): LineState {
  if (findings.some(({ severity }) => severity === 'blocker')) return 'stop';
  return findings.some(({ severity }) => severity === 'warning') ? 'look' : 'done';
}

function thingFact({ thing }: Job, unit: Unit): string {
  const say = (mm: number): string => formatLength(mm, unit);
  const number = (mm: number): string => formatNumber(mm, unit);
  const words = texts.ticket;
  switch (thing.kind) {
    case 'lid':
      return thing.measured === 'diameter'
        ? words.lid(say(thing.size))
        : words.lidAround(say(thing.size));
    case 'wrap':
      return words.wall(
        number(thing.measured === 'diameter' ? thing.size : thing.size / Math.PI),
        say(thing.height),
      );
    case 'taper':
      return words.taper(number(thing.top), number(thing.bottom), say(thing.size));
    case 'band':
      return words.sided(
        words.names.band,
        number(thing.width),
        number(thing.depth),
        say(thing.height),
      );
    case 'disc':
      return words.disc(say(thing.outer));
    case 'picture':
      return words.sided(words.names.picture, say(thing.size));
    case 'label-sheet':
      return words.labelSheet;
    default:
      return words.sided(words.names[thing.kind], number(thing.width), say(thing.height));
  }
}

/** How many other sizes the first piece has. */
function moreSizes(job: Job): string {
  const count = job.pieces[0] ? sizesOf(job, job.pieces[0].id).length : 0;
  return count === 0 ? '' : texts.ticket.moreSizes(count);
}

/** The finished size of a job's label as it is told. */
export function sizeFact(job: Arrangeable, unit: Unit): string {
  const edge = leadPiece(job)?.edge;
  return edge ? shapeWords(edge, unit) : '';
}

function copiesFact({ onSheets: job, layout }: TicketFacts): string {
  const numbers = job.pieces.map(({ id }) =>
    isByRow(job, id) ? copyCount(job, id) : (job.plan.wanted[id] ?? 0),
  );
  const wanted = numbers.reduce((sum, number) => sum + number, 0);
  if (job.plan.printOnly) {
    const now = job.pieces.reduce((sum, { id }) => sum + printedCopyIds(job, id).length, 0);
    return texts.ticket.printedNow(now, wanted);
  }
  const each =
    numbers.length > 1 && numbers.every((number) => number === numbers[0])
      ? texts.ticket.ofEach(numbers[0] ?? 0)
      : '';
  return texts.ticket.wanted(wanted) + (each || texts.ticket.onSheets(layout.sheets.length));
}

function proofFact(findings: readonly Finding[], looking: boolean): string {
  if (findings.length === 0) return looking ? texts.ticket.looking : texts.ticket.clean;
  const gathered = gatherFindings(findings);
  const number = (severity: Finding['severity']): number =>
    gathered.filter((one) => one.findings[0].severity === severity).length;
  const parts = [
    [number('blocker'), 'blocker'],
    [number('warning'), 'warning'],
    [number('note'), 'note'],
  ] as const;
  return parts
    .filter(([many]) => many > 0)
    .map(([many, name]) => texts.ticket.findings(many, name))
    .join(' · ');
}

function edgeFact({ pieces: [piece] }: Job, unit: Unit): string {
  const bleed = formatLength(piece?.bleed ?? 0, unit);
  return piece?.build
    ? texts.ticket.builtEdge(formatLength(piece.build.offset, unit), bleed)
    : texts.ticket.edgeFact(bleed);
}

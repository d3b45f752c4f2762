import type { CompiledJob } from '../../../core/job/index.ts';
import type { Material } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';

/** How the devices of a run are reached. */
export interface Ways {
  /** `dialog` opens the PDF to be printed by the browser, `file` saves it. */
  readonly printer: 'network' | 'dialog' | 'file';
  readonly cutter: 'network' | 'file';
  /** Whether the printer turns sheets over by itself. */
  readonly duplex: boolean;
  /** What a printer on the network is asked for, in a sentence. */
  readonly asks: string;
}

export type StepPicture = 'load' | 'print' | 'turn' | 'wait' | 'lay' | 'cut' | 'peel' | 'count';

/** One step of a run: what to do with the hands, and what its button does. */
export interface RunStep {
  /** Told apart and remembered by this. */
  readonly key: string;
  readonly kind: 'print' | 'print-back' | 'wait' | 'hand' | 'cut' | 'count';
  readonly picture: StepPicture;
  readonly title: string;
  readonly text: string;
  readonly button: string;
  /** Of a cut, from 0. */
  readonly sheet?: number;
  /** To wait, minutes. */
  readonly minutes?: number;
}

const say = texts.run.steps;

/** The steps of a run of a job as it is printed, in their order. */
export function runSteps({ sheets, backs, job }: CompiledJob, ways: Ways): RunStep[] {
  const { material, stock, plan } = job;
  const hasBacks = backs.some(Boolean);
  const byHand = hasBacks && !ways.duplex;
  const buttons = say.printBy[ways.printer];
  const cuts = stock.spots ? [] : sheets.filter(({ cuts: lines }) => lines.length > 0);
  const steps: RunStep[] = [
    {
      key: 'print',
      kind: 'print',
      picture: 'print',
      title: byHand ? say.printFront : say.print,
      text: [
        say.load(sheets.length, stock.name),
        say.which[material.mirrored ? 'mirrored' : 'plain'],
        hasBacks && !byHand ? say.bothSides : '',
        ways.printer === 'network'
          ? ways.asks
          : say.dialog(material.print.paper, material.print.quality),
      ]
        .filter(Boolean)
        .join(' '),
      button: buttons,
    },
    ...(byHand
      ? [
          {
            key: 'print-back',
            kind: 'print-back' as const,
            picture: 'turn' as const,
            title: say.printBack,
            text: say.turnOver[plan.turnOver ?? 'long'],
            button: buttons,
          },
        ]
      : []),
    ...betweenSteps(material),
    ...(material.tool === 'knife'
      ? sheets.flatMap((sheet, at): RunStep[] =>
          stock.spots || sheet.cuts.length === 0
            ? []
            : [
                {
                  key: `cut-${at}`,
                  kind: 'cut',
                  picture: 'cut',
                  sheet: at,
                  title: say.cutSheet(at + 1, sheets.length),
                  text: [
                    say.carrier[material.tack],
                    sheet.marks.length ? say.layMarks : say.layBare,
                    say.through(sheet.cuts.some(({ kind }) => kind === 'through')),
                  ].join(' '),
                  button: say.cutBy[ways.cutter],
                },
              ],
        )
      : cuts.length
        ? [
            {
              key: 'by-hand',
              kind: 'hand' as const,
              picture: 'cut' as const,
              title: say.byHand[material.tool],
              text: say.byHandHint[material.tool],
              button: say.done,
            },
          ]
        : []),
    {
      key: 'apply',
      kind: 'hand',
      picture: 'peel',
      title: say.apply,
      text: [stock.spots || plan.cut === 'kiss' ? say.lift : '', material.applying]
        .filter(Boolean)
        .join(' '),
      button: say.done,
    },
    {
      key: 'count',
      kind: 'count',
      picture: 'count',
      title: say.count,
      text: say.countHint,
      button: say.finish,
    },
  ];
  return steps;
}

function betweenSteps({ drying, finish = 'none' }: Material): RunStep[] {
  return [
    ...(drying > 0
      ? [
          {
            key: 'dry',
            kind: 'wait' as const,
            picture: 'wait' as const,
            title: say.dry,
            text: say.dryHint(drying),
            button: say.isDry,
            minutes: drying,
          },
        ]
      : []),
    ...(finish === 'none'
      ? []
      : [
          {
            key: 'finish',
            kind: 'hand' as const,
            picture: 'lay' as const,
            title: say.finishing[finish],
            text: say.finishingHint[finish],
            button: say.done,
          },
        ]),
  ];
}

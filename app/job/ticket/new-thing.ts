import {
  designsFor,
  labelRooms,
  type DesignName,
  type HouseStyle,
} from '../../../core/designs/index.ts';
import { mixed } from '../../../core/color/index.ts';
import { edgeFor, lookOfJob, type CommandCall, type Job } from '../../../core/job/index.ts';
import { firstStock } from '../../../core/stock/index.ts';
import { usualThing, type MeasuredThing } from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';
import { designedLabel } from '../artwork/start/designed-label.ts';

const PAPER = '#ffffff';
const INK = '#2a1b2e';
const FAINT = 0.12; // of the ink in what lies behind it
const SAFE = 2; // mm, as a new piece has it
/** For a label that was not started from a design: one that shows its picture, or goes without. */
const USUAL_DESIGN = { pictured: 'crest', plain: 'quiet' } as const;

/** The starting design that a job began with, or a plain one. */
function designOf({ pieces }: Job, isPictured: boolean): DesignName {
  const name = pieces.find(({ startedFrom }) => startedFrom)?.startedFrom;
  return (
    designsFor().find((one) => one === name) ?? USUAL_DESIGN[isPictured ? 'pictured' : 'plain']
  );
}

/**
 * Another thing for a job, with a label that has the look of those there are: designed like the first, in
 * its colours and typefaces, with what it says.
 */
export function callForThing(
  job: Job,
  kind: MeasuredThing['kind'],
  house: HouseStyle,
): CommandCall {
  const thing = usualThing(kind);
  const { colors, faces, says, mark } = lookOfJob(job);
  const edge = edgeFor(thing, job.stock.spots ? firstStock(false) : job.stock);
  const ground = colors.ground ?? PAPER;
  const ink = colors.main ?? INK;
  const art = mark === undefined ? undefined : job.art[mark];
  const title = faces.title ?? 'fraunces-semibold';
  const design = designOf(job, art !== undefined);
  const look = {
    colors: {
      name: '',
      ground,
      ink,
      accent: colors.accent ?? ink,
      soft: colors.second ?? mixed(ground, ink, FAINT),
    },
    faces: { name: '', display: title, text: faces.text ?? title },
  };
  const made = designedLabel(design, labelRooms(thing, edge, SAFE), {
    ...{ job, house, look, art },
    says: { name: job.name, ...says },
  });
  return {
    name: 'add-thing',
    args: {
      name: texts.set.names[kind],
      first: texts.set.names[job.thing.kind],
      thing,
      ...made,
      design,
    },
  };
}

import { ok, problem, seededRandom, type Problem, type Random } from '../../core/base/index.ts';
import {
  apply,
  compose,
  IDENTITY,
  invert,
  nested,
  placed,
  scaling,
  translation,
  type Affine,
} from '../../core/geometry/index.ts';
import {
  findMarks,
  TRUSTED,
  type MarkPlace,
  type Registration,
  type SheetPicture,
} from '../../core/register/index.ts';
import { cutterAxes, programText } from '../../core/output/index.ts';
import { warpImage } from '../../core/raster/index.ts';
import {
  grainOf,
  sampleLoadError,
  CUTTER_SPREAD,
  NO_FAULTS,
  type CutOrder,
  type CutPath,
  type Cutter,
  type SimulatedFaults,
} from '../../core/run/index.ts';
import { USUAL_PROFILE, type CutProfile } from '../../core/stock/index.ts';
import { readCuts } from './read-cuts.ts';

const BED = [232, 229, 224, 255] as const;
const GRAINS = 65_521; // a prime, so that rows of no picture repeat
const TORN = 4; // of how many lines a dull blade tears one

const UNAIDED: Registration = {
  map: IDENTITY,
  found: [],
  residual: 0,
  confidence: 1,
  turned: false,
  wayKnown: true,
};

/** A cutter that sees its sheet, finds the marks by itself and follows the HPGL it is given. */
export function simulatedCutter(seed: number, faults: SimulatedFaults = NO_FAULTS): Cutter {
  return {
    cut({ number, program, profile = USUAL_PROFILE, marks, sheet, printed, sheetToBed }) {
      // The same sheet is always laid in alike, also when it is cut once more.
      const random = seededRandom(seed + 7919 + 15_485_863 * number);
      const { sensor, actualTransform } = layIn(printed ?? emptyBed(sheet), random, faults);
      const registration = registered(sensor, marks, { sheetToBed, missed: faults.missed ?? 0 });
      const { map, confidence } = registration;
      const trusted = map && confidence >= TRUSTED;
      // Lines that a hand has placed are placed already.
      const onto = sheetToBed ? IDENTITY : map;
      const whole = trusted && onto ? followed(programText(program), profile, { sheet, onto }) : [];
      const { cuts, wrong } = withFaults(whole, faults, random);
      return Promise.resolve(
        ok({
          seen: { registration, sensor, actualTransform, cuts },
          ...(wrong ? { problem: wrong } : {}),
        }),
      );
    },
  };
}

/** How the sheet lies, as the cutter makes it out. */
function registered(
  sensor: SheetPicture,
  marks: readonly MarkPlace[],
  { sheetToBed, missed }: { sheetToBed: Affine | undefined; missed: number },
): Registration {
  if (sheetToBed) return { ...UNAIDED, map: sheetToBed };
  // A die-cut sheet has no marks: its labels are cut already, and it lies at the stops.
  if (marks.length === 0) return UNAIDED;
  const blind = { ...sensor, image: { ...sensor.image, data: sensor.image.data.slice() } };
  for (const mark of marks.slice(marks.length - missed)) cover(blind, mark);
  return findMarks(missed ? blind : sensor, marks);
}

/** Hides what is near a mark. */
function cover({ image, dpi }: SheetPicture, { x, y, size }: MarkPlace): void {
  const [reach, perMm] = [size + 12, dpi / 25.4];
  const within = (at: number, most: number): number => Math.round(Math.max(0, Math.min(most, at)));
  const [left, right] = [x - reach, x + reach].map((at) => within(at * perMm, image.width));
  const [top, bottom] = [y - reach, y + reach].map((at) => within(at * perMm, image.height));
  for (let row = top ?? 0; row < (bottom ?? 0); row++)
    image.data.fill(
      250,
      (row * image.width + (left ?? 0)) * 4,
      (row * image.width + (right ?? 0)) * 4,
    );
}

function emptyBed({ width, height }: CutOrder['sheet']): SheetPicture {
  const size = { width: Math.round(width * 4), height: Math.round(height * 4) };
  const data = new Uint8ClampedArray(size.width * size.height * 4).fill(250);
  return { image: { ...size, data }, dpi: 101.6 };
}

/** Lays a printed sheet in, as a hand does: a little off. */
function layIn(
  { image, dpi }: SheetPicture,
  random: Random,
  faults: SimulatedFaults,
): { sensor: SheetPicture; actualTransform: Affine } {
  const [width, height] = [(image.width * 25.4) / dpi, (image.height * 25.4) / dpi];
  const about = (turn: number): Affine =>
    compose(placed(width / 2, height / 2, turn), translation(-width / 2, -height / 2));
  const actualTransform = nested(
    sampleLoadError(random),
    translation(faults.load ?? 0, (faults.load ?? 0) / 2),
    about(faults.turned ? 180 : 0),
  );
  const back = nested(scaling(dpi / 25.4), invert(actualTransform), scaling(25.4 / dpi));
  const sensor = warpImage(image, back, image, BED);
  // Drawn once and laid over the picture again and again: marks see no more than a few rows of it.
  const grains = Float32Array.from({ length: GRAINS }, () => grainOf(random, CUTTER_SPREAD.noise));
  const { data } = sensor;
  for (let at = 0, from = 0; at < data.length; at += 4) {
    const grain = grains[from] as number;
    from = from + 1 < GRAINS ? from + 1 : 0;
    data[at] = (data[at] as number) + grain;
    data[at + 1] = (data[at + 1] as number) + grain;
    data[at + 2] = (data[at + 2] as number) + grain;
  }
  return { sensor: { image: sensor, dpi }, actualTransform };
}

/** The lines of a program on the paper: it is read as the profile says that it is written. */
function followed(
  text: string,
  profile: CutProfile,
  { sheet, onto }: { sheet: CutOrder['sheet']; onto: Affine },
): CutPath[] {
  const toBed = compose(onto, invert(cutterAxes(profile, sheet)));
  return readCuts(text, profile).map(({ pen, line }): CutPath => {
    const ring = line.map((point) => apply(toBed, point));
    const [first, last] = [line[0], line[line.length - 1]];
    const closed = first?.x === last?.x && first?.y === last?.y;
    return { pen, ring: closed ? ring.slice(0, -1) : ring, open: !closed, clean: true };
  });
}

/** What a bad blade, a wrong force or a lost connection make of the lines. */
function withFaults(
  whole: readonly CutPath[],
  { dull, weak, lost }: SimulatedFaults,
  random: Random,
): { cuts: CutPath[]; wrong?: Problem } {
  const kept = lost ? whole.slice(0, Math.floor(whole.length / 2)) : whole;
  const torn = (): boolean => weak === true || (dull === true && random.next() < 1 / TORN);
  const cuts = kept.map((cut) => ({ ...cut, clean: !torn() }));
  if (!lost || whole.length === 0) return { cuts };
  return {
    cuts,
    wrong: problem('cutter/lost', { lines: kept.length, of: whole.length }),
  };
}

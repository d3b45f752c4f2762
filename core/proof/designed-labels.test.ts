import { seededRandom } from '../base/index.ts';
import { apply, boxesMeet, boxOf, corners } from '../geometry/index.ts';
import { designsFor } from '../designs/index.ts';
import { compileJob, type JobResources } from '../job/index.ts';
import { elementMap, type LabelSays, type Piece } from '../piece/index.ts';
import { designedJob, designFaces, measuredJob } from '../testing/designed-label.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import {
  dividingZones,
  isReadable,
  THING_KINDS,
  usualThing,
  zoneAt,
  zonesOf,
  type MeasuredThing,
} from '../things/index.ts';
import type { CompiledJob } from '../job/index.ts';
import { FINDING_KINDS, measureContrasts, quickFindings } from './index.ts';

const SHORT: LabelSays = { name: 'Sage', line: '', maker: 'Thistle & Fen', amount: '40 g' };
const USUAL: LabelSays = {
  name: 'Marigold balm',
  line: 'for gardeners’ hands',
  maker: 'Thistle & Fen',
  amount: '60 ml',
  ingredients: 'Sunflower oil, beeswax, marigold flowers',
  use: 'Rub in after work. Keep it cool and closed.',
  batch: '1204',
};
const LONG: LabelSays = {
  name: 'Northern double-flowered marigold and meadowsweet balm for hands, sold in a tin',
  line: 'made in small batches in the potting shed, from flowers of our own beds',
  maker: 'The nursery Thistle & Fen, Lower Marsh Lane',
  ingredients: 'Sunflower oil, beeswax, marigold flowers, meadowsweet. '.repeat(6),
  warnings: 'Not to be eaten. Keep it away from small children and from your eyes.',
  'best-before': 'the end of May 2027',
};
/** Every kind of thing in two proportions. */
const THINGS: readonly MeasuredThing[] = [
  usualThing('lid'),
  usualThing('lid', { size: 38 }),
  usualThing('wrap', { size: 72, height: 80, overlap: 10 }),
  usualThing('wrap', { size: 30, height: 40, overlap: 6 }),
  usualThing('taper', { top: 110, bottom: 80 }),
  usualThing('taper', { top: 60, bottom: 75, size: 50 }),
  usualThing('band', { around: 'h' }),
  usualThing('band', { around: 'w', width: 120, depth: 35, height: 80, strip: 54 }),
  usualThing('face', { width: 90, height: 50 }),
  usualThing('face', { width: 60, height: 110 }),
  usualThing('tag', { sides: 'fold' }),
  usualThing('tag', { width: 40, height: 90, sides: '1' }),
  usualThing('disc'),
  usualThing('disc', { outer: 50, inner: 30 }),
  usualThing('case'),
  usualThing('case', { for: 'slim', width: 126, height: 124, spine: 5 }),
  usualThing('envelope'),
  usualThing('envelope', { width: 110, height: 110 }),
  usualThing('picture'),
  usualThing('picture', { size: 40, ratio: 0.6 }),
  usualThing('own', { shape: 'ellipse', width: 80, height: 50 }),
  usualThing('own', { shape: 'rectangle', width: 60, height: 60, allowance: 5 }),
];
const MUST_NOT_BE = [
  ...['across-fold', 'in-overlap', 'words-run-into', 'words-do-not-fit', 'words-near-edge'],
  ...['hairline', 'pattern-too-fine'],
];
const KINDS = FINDING_KINDS.filter(({ code }) => MUST_NOT_BE.includes(code));
const { compiler, typeface } = await designFaces();

const wrongIn = (compiled: CompiledJob): string[] =>
  KINDS.flatMap((kind) => kind.check({ compiled, contrasts: new Map() })).map(({ code }) => code);
const sizeOf = (compiled: CompiledJob, field: string): number =>
  [...compiled.pieces.values()]
    .flatMap(({ elements }) => elements)
    .filter(({ element }) => element.field === field)
    .reduce((most, { compiled: made }) => Math.max(most, made.words?.size ?? 0), 0);

/** Straight words whose ink lies over that of others, as far as they fit at all. */
function overlapping(compiled: CompiledJob): string[] {
  const inked = [...compiled.pieces.values()].flatMap(({ elements }) =>
    elements.flatMap(({ element, compiled: made }) =>
      element.kind === 'words' &&
      element.path.kind === 'straight' &&
      made.words?.ink &&
      !made.words.overflows
        ? [
            {
              text: element.text.slice(0, 20),
              ring: corners(made.words.ink).map((point) => apply(elementMap(element), point)),
            },
          ]
        : [],
    ),
  );
  return inked.flatMap(({ text, ring }, at) =>
    inked
      .slice(at + 1)
      .filter((other) => {
        const [one, two] = [boxOf(ring), boxOf(other.ring)];
        return one && two && boxesMeet(one, two, TOUCH);
      })
      .map((other) => `${text} over ${other.text}`),
  );
}
const TOUCH = 0.15; // mm, from descenders to what is below them

test('every kind of thing is tried', () => {
  expect(new Set(THINGS.map(({ kind }) => kind))).toEqual(new Set(THING_KINDS));
  expect(KINDS).toHaveLength(MUST_NOT_BE.length);
});

const titled = THINGS.map((thing) => [`${thing.kind} ${JSON.stringify(thing)}`, thing] as const);
test.each(titled)('on a %s every design can be printed, whatever it says', (_, thing) => {
  const measured = measuredJob(thing);
  const { edge } = measured.pieces[0] as Piece;
  const zones = zonesOf(thing, edge);
  const isDivided = dividingZones(zones).some(({ name }) => name === 'back');
  for (const name of designsFor())
    for (const [length, says] of Object.entries({ SHORT, USUAL, LONG })) {
      const compiled = compileJob(designedJob(measured, name, says), compiler);
      expect([name, length, wrongIn(compiled)]).toEqual([name, length, []]);
      expect([name, length, overlapping(compiled)]).toEqual([name, length, []]);
      // What it is is larger than what is read closely.
      const small = Math.max(sizeOf(compiled, 'ingredients'), sizeOf(compiled, 'warnings'));
      if (says !== LONG) expect([name, sizeOf(compiled, 'name') > small]).toEqual([name, true]);
      if (!isDivided) continue;
      // The front has the name, the back what is read closely, and nothing stands where nobody looks.
      const placed = new Map<string, string | undefined>();
      for (const { element } of [...compiled.pieces.values()].flatMap((piece) => piece.elements))
        if (element.field)
          placed.set(element.field, zoneAt(zones.filter(isReadable), element)?.name);
      expect([name, [...placed.values()].includes(undefined)]).toEqual([name, false]);
      if (says === USUAL) expect([name, placed.get('ingredients')]).toEqual([name, 'back']);
    }
});

/** What no label was made for. */
const EXTREMES: Readonly<Record<string, LabelSays>> = {
  nothing: {},
  'four thousand letters': {
    name: 'Balm',
    ingredients: 'marigold, sage, oil; '.repeat(190) + 'the rest is water.',
    small: 'x'.repeat(60),
  },
  'eighty letters of name': { name: 'Wintergreenandmeadowsweetbalm'.repeat(3).slice(0, 80) },
  'from right to left': {
    name: 'بلسم الأقحوان',
    line: 'لأيدي البستانيين',
    ingredients: 'زيت عباد الشمس، شمع العسل، أزهار الأقحوان',
  },
};
const NARROW: readonly MeasuredThing[] = [
  usualThing('face', { width: 80, height: 14 }),
  usualThing('band', { around: 'h', strip: 6 }),
  usualThing('lid', { size: 20 }),
  usualThing('case', { spine: 6 }),
];
test.each(Object.entries(EXTREMES))('%s: fitted, or said, and nothing over anything', (_, says) => {
  for (const thing of NARROW)
    for (const name of designsFor().slice(0, 14)) {
      const compiled = compileJob(designedJob(measuredJob(thing), name, says), compiler);
      expect([name, thing.kind, overlapping(compiled)]).toEqual([name, thing.kind, []]);
      const found = quickFindings(compiled).map(({ code }) => code);
      for (const { element, compiled: made } of [...compiled.pieces.values()].flatMap(
        (piece) => piece.elements,
      )) {
        if (element.kind !== 'words' || !made.words) continue;
        if (made.words.overflows) expect(found).toContain('words-do-not-fit');
        if (made.words.size < 5.9 && element.text.trim())
          expect(found).toContain('words-too-small');
        expect([name, element.text, made.words.missing]).toEqual([name, element.text, []]);
      }
    }
});

test('fifty of them, drawn as the proof draws them, can be read on what lies beneath', async () => {
  const { next: random } = seededRandom(20260418);
  const names = designsFor();
  const resources: JobResources = { typeface, vector: () => undefined, bytes: () => undefined };
  for (let at = 0; at < 50; at++) {
    const name = names[Math.floor(random() * names.length)] ?? 'quiet';
    const thing = THINGS[Math.floor(random() * THINGS.length)] ?? usualThing('lid');
    const compiled = compileJob(designedJob(measuredJob(thing), name, USUAL), compiler);
    const contrasts = await measureContrasts(compiled, { platform: nodePlatform, resources });
    expect(contrasts.size).toBeGreaterThan(0);
    for (const [key, { ratio, wanted }] of contrasts)
      expect([name, thing.kind, key, ratio < wanted - 0.05 ? ratio : 'read']).toEqual([
        ...[name, thing.kind, key],
        'read',
      ]);
  }
});

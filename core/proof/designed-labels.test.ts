import {
  DESIGN_COLORS,
  DESIGN_FACES,
  designsFor,
  labelRooms,
  makeDesign,
  type DesignWords,
} from '../designs/index.ts';
import { compiled } from '../testing/example-job.ts';
import { PIECE, plain } from '../testing/proof-jobs.ts';
import { isReadable, usualThing, zoneAt, zonesOf, type MeasuredThing } from '../things/index.ts';
import { quickFindings } from './index.ts';

const USUAL: DesignWords = {
  name: 'Marigold balm',
  line: 'for gardeners’ hands',
  maker: 'Thistle & Fen',
  small: 'Sunflower oil, beeswax, marigold flowers. Rub in after work. Keep it cool and closed.',
};
const LONG: DesignWords = {
  name: 'Northern double-flowered marigold and meadowsweet balm for hands, in a tin',
  line: 'made in small batches in the potting shed, from flowers of our own beds',
  maker: 'The nursery Thistle & Fen, Lower Marsh Lane',
  small: 'Sunflower oil, beeswax, marigold flowers, meadowsweet. '.repeat(16),
};
/** Labels that are divided, each in two proportions. */
const DIVIDED: readonly MeasuredThing[] = [
  usualThing('wrap', { size: 72, height: 80, overlap: 10 }),
  usualThing('wrap', { size: 30, height: 40, overlap: 6 }),
  usualThing('taper', { top: 110, bottom: 80 }),
  usualThing('taper', { top: 60, bottom: 75, size: 50 }),
  usualThing('band', { around: 'h' }),
  usualThing('band', { around: 'w', width: 120, depth: 35, height: 80, strip: 54 }),
  usualThing('band', { around: 'd', width: 100, depth: 60, height: 40, strip: null }),
  usualThing('tag', { sides: 'fold' }),
  usualThing('case'),
  usualThing('case', { for: 'slim', width: 126, height: 124, spine: 5 }),
];
const [colors] = DESIGN_COLORS;
const [faces] = DESIGN_FACES;
if (!colors || !faces) throw new Error('no palettes');

const titled = DIVIDED.map((thing) => [`${thing.kind} ${JSON.stringify(thing)}`, thing] as const);
test.each(titled)('on a %s every design keeps to what is seen from one side', async (_, thing) => {
  const [piece] = plain({ name: 'measure-thing', args: { thing } }).pieces;
  if (!piece) throw new Error('no piece');
  const zones = zonesOf(thing, piece.edge);
  const rooms = labelRooms(thing, piece.edge, piece.safe);
  const names = designsFor(rooms.front.room);
  expect(names.length).toBeGreaterThanOrEqual(20);
  for (const [at, name] of names.entries()) {
    const words = at % 2 ? USUAL : LONG;
    const made = makeDesign(name, { words, colors, faces }, rooms);
    const job = plain(
      { name: 'measure-thing', args: { thing } },
      { name: 'set-artwork', args: { piece: PIECE, ...made } },
    );
    const codes = quickFindings((await compiled(job, new Map())).compiled)
      .map(({ code }) => code)
      .filter((code) => code === 'across-fold' || code === 'in-overlap');
    expect([name, codes]).toEqual([name, []]);
    // The front has the name, the back what is read closely.
    const placed = new Set<string | undefined>();
    for (const element of made.elements)
      if (element.kind === 'words') placed.add(zoneAt(zones.filter(isReadable), element)?.name);
    expect([name, placed.has(undefined)]).toEqual([name, false]);
    expect(placed.size).toBeGreaterThan(1);
  }
});

import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decode } from 'fast-png';
import { firstStock } from '../stock/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import {
  largerThing,
  THING_KINDS,
  trySize,
  usualThing,
  type MeasuredThing,
} from '../things/index.ts';
import { say } from '../../messages/index.ts';
import { fitTestPdf, stepSize } from './index.ts';

const width = (thing: MeasuredThing): number => {
  const size = trySize(thing);
  return size.ok ? size.value.width : NaN;
};

test.each(THING_KINDS.filter((kind) => kind !== 'taper'))(
  'a %s one step larger takes a label that much wider',
  (kind) => {
    const thing = usualThing(kind);
    for (const by of [-1, 0.5, 2])
      expect(width(largerThing(thing, by)) - width(thing)).toBeCloseTo(by, 4);
  },
);

test('a pot one step larger has that much more around both rims', () => {
  const thing = usualThing('taper');
  const larger = largerThing(thing, 1);
  if (larger.kind !== 'taper') throw new Error('another kind');
  expect((larger.top - thing.top) * Math.PI).toBeCloseTo(1, 4);
  expect((larger.bottom - thing.bottom) * Math.PI).toBeCloseTo(1, 4);
});

test('lengths measured around a lid step by what their diameter does', () => {
  const around = usualThing('lid', { measured: 'circumference', size: 210.487, clearance: 0 });
  expect(width(largerThing(around, 1)) - width(around)).toBeCloseTo(1, 4);
});

test('steps are told with their sign', () => {
  expect([-1, 0, 0.5].map((by) => say('fit-test-step', stepSize(by, 'mm')))).toEqual([
    '−1 mm',
    'as measured',
    '+0.5 mm',
  ]);
});

const pdfOf = (thing: MeasuredThing, steps = [-1, 0, 1]): Promise<Uint8Array> =>
  fitTestPdf(
    nodePlatform,
    {
      thing,
      steps,
      paper: firstStock(false),
      name: 'Honey lids',
      unit: 'mm',
    },
    say,
  );

const folder = mkdtempSync(join(tmpdir(), 'peel-fit-'));
const kept = (name: string, bytes: Uint8Array): string => {
  const file = join(folder, name);
  writeFileSync(file, bytes);
  return file;
};

test('on paper the three outlines have their sizes, and the ruler is 100 mm long', async () => {
  const file = kept('lid.pdf', await pdfOf(usualThing('lid')));
  expect(execFileSync('pdfinfo', [file], { encoding: 'utf8' })).toMatch(
    /Page size:\s+595\.2\d* x 841\.8/,
  );
  const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
  for (const said of [
    'Fit test: Honey lids',
    '−1 mm',
    'as measured',
    '+1 mm',
    '57 mm × 57 mm',
    '58 mm × 58 mm',
    '59 mm × 59 mm',
    'has to be 100 mm long',
  ])
    expect(text.replace(/\s+/g, ' ')).toContain(said);
  execFileSync('pdftoppm', [
    '-png',
    '-gray',
    '-r',
    '254',
    '-singlefile',
    file,
    join(folder, 'lid'),
  ]);
  const image = decode(readFileSync(join(folder, 'lid.png')));
  const { ceil, floor } = Math;
  const dark = (x: number, y: number): boolean =>
    (image.data[(y * image.width + x) * image.channels] ?? 255) < 160;
  // Ten pixels to the mm: the longest dark run of a row near the foot is the ruler.
  let longest = 0;
  for (let y = floor(image.height * 0.9); y < image.height; y++) {
    let run = 0;
    for (let x = 0; x < image.width; x++) {
      run = dark(x, y) ? run + 1 : 0;
      longest = Math.max(longest, run);
    }
  }
  expect(longest / 10).toBeGreaterThan(99.8);
  expect(longest / 10).toBeLessThan(100.5);
  // The middle row of the first outline crosses it at its left and right: 57 mm apart.
  const row = ceil((5 + 14 + 57 / 2) * 10) + 60;
  const hits = Array.from({ length: 640 }, (_, x) => x).filter((x) => dark(x, row));
  const chord = ((hits[hits.length - 1] ?? 0) - (hits[0] ?? 0)) / 10;
  const off = row / 10 - (5 + 14 + 57 / 2);
  expect(chord).toBeCloseTo(2 * Math.sqrt(28.5 ** 2 - off ** 2) + 0.2, 0);
}, 30_000);

test('a wrap too long for the sheet’s width lies along it, one below the other', async () => {
  const file = kept('wrap.pdf', await pdfOf(usualThing('wrap', { height: 50 })));
  const info = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
  expect(info).toMatch(/Page size:\s+841\.8\d* x 595\.2/);
  expect(info).toMatch(/Pages:\s+1/);
});

test('what does not stand on one page goes on, and every page has the ruler', async () => {
  const file = kept('face.pdf', await pdfOf(usualThing('face'), [-2, -1, 0, 1, 2]));
  const info = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
  const pages = Number(/Pages:\s+(\d+)/.exec(info)?.[1]);
  expect(pages).toBeGreaterThan(1);
  const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
  expect(text.match(/Hold a ruler here/g)).toHaveLength(pages);
});

import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { chromium } from '@playwright/test';
import { decode } from 'fast-png';
import { artSize, readArt, svgDrawer, vectorNodes, type ReadArt } from '../core/art/index.ts';
import { expectOk, seededRandom } from '../core/base/index.ts';
import { createJob, writePeel } from '../core/job/index.ts';
import { drawShapes, writePdf } from '../core/output/index.ts';
import type { PieceElement } from '../core/piece/index.ts';
import { runAll } from '../core/testing/example-job.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { secondRendering, type Pixels } from '../core/testing/second-renderer.ts';
import { differing } from '../core/testing/squares.ts';
import { constructFile, SVG_CONSTRUCTS } from '../core/testing/svg-constructs.ts';
import { usualThing } from '../core/things/index.ts';
import { BROWSER } from '../tools/browser.ts';
import { inBrowser, openPeel, recorded, swing, URL } from './browser.ts';
import { median, percentile95, type Row } from './row.ts';

/** Debian's clip art and a second renderer, where they are installed: openclipart-svg, librsvg2-bin. */
const CLIP_ART = '/usr/share/openclipart/svg';
const RSVG = '/usr/bin/rsvg-convert';
const SEED = 20261130;
const SAMPLE = 100;
const SIDE = 1440; // px of the longer side that is compared
const MOST_BYTES = 3e6;

function sample(): string[] {
  const all = readdirSync(CLIP_ART, { recursive: true, encoding: 'utf8' })
    .map((file) => join(CLIP_ART, file))
    .filter((file) => file.endsWith('.svg') && existsSync(file) && statSync(file).size < MOST_BYTES)
    .sort();
  const random = seededRandom(SEED);
  const at = new Set<number>();
  while (at.size < Math.min(SAMPLE, all.length)) at.add(Math.floor(random.next() * all.length));
  return [...at].map((index) => all[index] as string);
}

const png = (bytes: Uint8Array): Pixels => {
  const { palette, ...image } = decode(bytes);
  if (!palette) return image;
  const data = [...image.data].flatMap((index) => palette[index] ?? []);
  return { ...image, data, channels: palette[0]?.length ?? 3 };
};

/** How many of the drawings that two other renderers agree on look as they do there. */
async function alikeRows(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'peel-svg-'));
  const browser = await chromium.launch(BROWSER);
  const page = await browser.newPage({ viewport: { width: SIDE, height: SIDE } });
  let [agreed, drawn, printed] = [0, 0, 0];
  for (const path of sample()) {
    const bytes = new Uint8Array(readFileSync(path));
    const read = await readArt(nodePlatform, bytes, path);
    if (!read.ok) continue;
    const size = artSize(read.value.art);
    const dpi = (25.4 * SIDE) / Math.max(size.width, size.height);
    const shapes = { ...size, nodes: vectorNodes(read.value.bytes) };
    const ours = { ...(await drawShapes(nodePlatform, shapes, dpi)), channels: 4 };
    const { width, height } = ours;
    const other = join(folder, 'other.png');
    try {
      const sides = ['-w', String(width), '-h', String(height)];
      execFileSync(RSVG, [...sides, path, '-o', other], { stdio: 'ignore', timeout: 30_000 });
      const address = `data:image/svg+xml;base64,${Buffer.from(bytes).toString('base64')}`;
      await page.setContent(
        `<body style="margin:0"><img src="${address}" style="display:block;width:${width}px;height:${height}px">`,
      );
      const clip = { x: 0, y: 0, width, height };
      const truths = [png(readFileSync(other)), png(await page.screenshot({ clip }))];
      if (differing(truths[0] as Pixels, truths[1] as Pixels) > 0.02) continue;
      agreed++;
      const alike = (one: Pixels): boolean => truths.some((truth) => differing(one, truth) <= 0.02);
      if (alike(ours)) drawn++;
      const none = (): undefined => undefined;
      const pdf = await writePdf(nodePlatform, [{ drawing: { ...shapes, symbols: {} } }], {
        typeface: none,
        art: none,
        bytes: none,
      });
      if (alike(secondRendering(pdf, 0, dpi))) printed++;
    } catch {
      continue; // one of the others does not draw it
    }
  }
  await browser.close();
  const share = (count: number): number => (100 * count) / agreed;
  return [
    {
      what: `clip art (${agreed} that two others agree on) alike, as pixels`,
      measured: share(drawn),
      unit: '%',
      wanted: 'at least 97',
    },
    { what: '… as a PDF', measured: share(printed), unit: '%', wanted: 'at least 97' },
  ];
}

async function timed(work: () => Promise<unknown>, times: number): Promise<number> {
  const took: number[] = [];
  for (let round = 0; round < times; round++) {
    const began = performance.now();
    await work();
    took.push(performance.now() - began);
  }
  return median(took);
}

/** Taking in and drawing against the library alone: of real drawings where there are some. */
async function speedRow(): Promise<Row> {
  const files = existsSync(CLIP_ART)
    ? sample().map((path) => readFileSync(path, 'utf8'))
    : Object.values(SVG_CONSTRUCTS).map(constructFile);
  const drawer = await svgDrawer(nodePlatform, []);
  const pairs: { ours: number; alone: number }[] = [];
  for (const text of files) {
    const bytes = new TextEncoder().encode(text);
    const read = await readArt(nodePlatform, bytes, 'drawing.svg');
    if (!read.ok) continue;
    const size = artSize(read.value.art);
    const scale = 480 / Math.max(size.width, size.height); // px per mm
    const ours = await timed(async () => {
      const again = expectOk(await readArt(nodePlatform, bytes, 'drawing.svg'));
      const nodes = vectorNodes(again.bytes);
      await drawShapes(nodePlatform, { ...size, nodes }, scale * 25.4);
    }, 3);
    try {
      const alone = await timed(() => Promise.resolve(drawer.pixels(text, (scale * 25.4) / 96)), 3);
      pairs.push({ ours, alone });
    } catch {
      continue; // what we repair before
    }
  }
  return {
    what: `a drawing taken in and drawn, median of ${pairs.length} (baseline: the library)`,
    measured: median(pairs.map(({ ours }) => ours)),
    baseline: median(pairs.map(({ alone }) => alone)),
    unit: 'ms',
    wanted: 'ratio at most 3',
  };
}

/** A drawing of 1 MB: 400 leaves of 50 points each. */
function largeDrawing(): Uint8Array {
  const random = seededRandom(7);
  const leaves = Array.from({ length: 400 }, () => {
    const [x, y] = [random.next() * 180 + 10, random.next() * 180 + 10];
    const steps = Array.from({ length: 50 }, (_, at) => {
      const [turn, reach] = [(at / 50) * 2 * Math.PI, 4 + 3 * random.next()];
      const point = (by: number): string =>
        `${(x + Math.cos(turn + by) * reach).toFixed(6)},${(y + Math.sin(turn + by) * reach).toFixed(6)}`;
      return at === 0 ? `M${point(0)}` : `C${point(-0.08)} ${point(-0.04)} ${point(0)}`;
    });
    const color = Math.floor(random.next() * 0xffffff)
      .toString(16)
      .padStart(6, '0');
    return `<path fill="#${color}" d="${steps.join(' ')}Z"/>`;
  });
  return new TextEncoder().encode(
    `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="200mm" viewBox="0 0 200 200">${leaves.join('')}</svg>`,
  );
}

/** A large drawing in the tray, and under the hand on the desk. */
async function largeRows(): Promise<Row[]> {
  const file = largeDrawing();
  const take = (): Promise<ReadArt> =>
    readArt(nodePlatform, file, 'leaves.svg').then((read) => expectOk(read));
  const took = await timed(take, 5);
  const { art, bytes } = await take();
  const picture: PieceElement = {
    id: '',
    angle: 0,
    locked: false,
    x: 0,
    y: 0,
    kind: 'picture',
    art: art.id,
    width: 60,
    height: 60,
    fit: 'contain',
  };
  const job = runAll(
    createJob('face', { id: 'leaves', today: '2026-04-18' }),
    { name: 'rename-job', args: { name: 'Leaves' } },
    { name: 'measure-thing', args: { thing: usualThing('face', { width: 120, height: 90 }) } },
    { name: 'add-element', args: { piece: 'piece-1', element: picture, art } },
  );
  const peel = Buffer.from(writePeel({ job, art: new Map([[art.id, bytes]]) }));
  const frames = await inBrowser(async (page) => {
    await openPeel(page, 'leaves.peel', peel);
    await page.waitForSelector('text=Leaves');
    await page.goto(`${URL}/job/leaves/artwork`);
    const place = page.locator('[data-element="picture-1"]');
    await place.waitFor();
    await page.waitForTimeout(5000); // the proof of the new job is asked for meanwhile
    const box = await place.boundingBox();
    if (!box) throw new Error('no picture');
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const idle = await recorded(page, () => swing(page, middle));
    await page.mouse.move(middle.x, middle.y);
    await page.mouse.down();
    const dragged = await recorded(page, () => swing(page, middle));
    await page.mouse.up();
    return { idle, dragged };
  });
  return [
    {
      what: `a drawing of ${(file.length / 1e6).toFixed(1)} MB and 20,000 points taken in`,
      measured: took,
      unit: 'ms',
      wanted: 'at most 1000',
    },
    {
      what: '… dragged: frame interval, 95 %',
      measured: percentile95(frames.dragged.intervals),
      unit: 'ms',
      baseline: percentile95(frames.idle.intervals),
      wanted: 'at most 33 (baseline: same moves, no drag)',
    },
  ];
}

/** A file of 2 kB that would unfold to 10,000,000,000 shapes. */
function bomb(): Uint8Array {
  const levels = Array.from(
    { length: 10 },
    (_, level) => `<g id="l${level + 1}">${`<use href="#l${level}"/>`.repeat(10)}</g>`,
  );
  return new TextEncoder().encode(
    `<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><defs><rect id="l0" width="1" height="1"/>${levels.join('')}</defs><use href="#l10"/></svg>`,
  );
}

/** SVG as it is drawn: how alike, how fast, and how soon a hostile file is refused. */
export async function benchSvg(): Promise<Row[]> {
  const there = existsSync(CLIP_ART) && existsSync(RSVG);
  if (!there) console.log('svg: without openclipart-svg and librsvg2-bin nothing is compared');
  return [
    ...(there ? await alikeRows() : []),
    await speedRow(),
    {
      what: 'a file that would unfold to 10^10 shapes is refused',
      measured: await timed(() => readArt(nodePlatform, bomb(), 'bomb.svg'), 5),
      unit: 'ms',
      wanted: 'at most 1000',
    },
    ...(await largeRows()),
  ];
}

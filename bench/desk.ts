import { encodePngImage } from '../core/raster/index.ts';
import { readArt } from '../core/art/index.ts';
import { expectOk } from '../core/base/index.ts';
import { compileJob, createJob, loadResources, writePeel, type Job } from '../core/job/index.ts';
import { createCompiler, resizedElement, type PieceElement } from '../core/piece/index.ts';
import { allFindings } from '../core/proof/index.ts';
import { exampleWords, runAll } from '../core/testing/example-job.ts';
import { usualThing } from '../core/things/index.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { frameRows, inBrowser, openPeel, recorded, swing, URL } from './browser.ts';
import { median, percentile95, type Row } from './row.ts';

const SIDES = { width: 3264, height: 2448 }; // 8 megapixels

/** A piece of 60 elements over a picture of 8 megapixels. */
async function busyJob(): Promise<{ job: Job; art: Map<string, Uint8Array> }> {
  const { width, height } = SIDES;
  const data = new Uint8ClampedArray(width * height * 4);
  for (let at = 0, pixel = 0; at < data.length; at += 4, pixel++) {
    const [x, y] = [pixel % width, Math.floor(pixel / width)];
    data[at] = 140 + 60 * Math.sin(x / 90);
    data[at + 1] = 150 + 50 * Math.sin(y / 70);
    data[at + 2] = 120 + 40 * Math.sin((x + y) / 110);
    data[at + 3] = 255;
  }
  const png = encodePngImage({ width, height, data }, 600);
  const { art, bytes } = expectOk(await readArt(nodePlatform, png, 'meadow.png'));
  const place = { id: '', angle: 0, locked: false };
  const elements = Array.from({ length: 59 }, (_, at): PieceElement => {
    const [x, y] = [((at % 8) - 3.5) * 14, (Math.floor(at / 8) - 3.5) * 10];
    if (at % 3 === 0)
      return {
        ...exampleWords({ text: `Bed ${at}`, size: 9 }),
        x,
        y,
        width: 12,
        height: 5,
      } as PieceElement;
    if (at % 3 === 1)
      return {
        ...place,
        x,
        y,
        kind: 'ornament',
        ornament: 'sprig',
        width: 5,
        height: 8,
        count: 4,
        weight: 0.2,
        inks: ['#2c4a2f', '#b5603a'],
      };
    return {
      ...place,
      x,
      y,
      kind: 'plate',
      shape: { kind: 'rectangle', width: 9, height: 7, radius: 2 },
      fill: { color: '#f4ead6', opacity: 0.8 },
      line: { color: '#2c4a2f', width: 0.3, style: 'solid' },
    };
  });
  const picture: PieceElement = {
    ...place,
    x: 0,
    y: 0,
    kind: 'picture',
    art: art.id,
    width: 120,
    height: 90,
    fit: 'cover',
  };
  const job = runAll(
    createJob('face', { id: 'busy', today: '2026-04-18' }),
    { name: 'rename-job', args: { name: 'Busy piece' } },
    { name: 'measure-thing', args: { thing: usualThing('face', { width: 120, height: 90 }) } },
    { name: 'add-element', args: { piece: 'piece-1', element: picture, art } },
    { name: 'add-elements', args: { piece: 'piece-1', elements } },
  );
  return { job, art: new Map([[art.id, bytes]]) };
}

/** Drag, resize and typing on a busy piece in the real browser; compiling one changed element. */
export async function benchDesk(): Promise<Row[]> {
  const { job, art } = await busyJob();
  return [
    ...(await compiling(job, art)),
    ...(await proving(job, art)),
    ...(await gestures(job, art)),
  ];
}

/** The proof of the piece: first, and again when the photograph has been made small. */
async function proving(job: Job, art: Map<string, Uint8Array>): Promise<Row[]> {
  const resources = await loadResources(nodePlatform, job, (id) => Promise.resolve(art.get(id)));
  const compiled = compileJob(job, createCompiler(resources));
  const times: number[] = [];
  for (let round = 0; round < 4; round++) {
    const start = performance.now();
    await allFindings(compiled, { platform: nodePlatform, resources });
    times.push(performance.now() - start);
  }
  return [
    {
      what: 'proof of 20 words over 8 MP, again',
      measured: median(times.slice(1)),
      unit: 'ms',
      baseline: times[0] ?? 0,
      wanted: 'measured (baseline: the first time)',
    },
  ];
}

/** Other words where there are some; everything else is another size. */
const changed = (element: PieceElement, round: number): PieceElement =>
  element.kind === 'words'
    ? { ...element, text: `Row ${round}` }
    : resizedElement(element, 6 + round / 10, 8 + round / 10);

async function compiling(job: Job, art: Map<string, Uint8Array>): Promise<Row[]> {
  const resources = await loadResources(nodePlatform, job, (id) => Promise.resolve(art.get(id)));
  const compiler = createCompiler(resources);
  const [piece] = job.pieces;
  if (!piece) return [];
  const whole: number[] = [];
  for (let round = 0; round < 9; round++) {
    const anew = createCompiler(resources);
    const start = performance.now();
    anew.compile(piece, job);
    whole.push(performance.now() - start);
  }
  compiler.compile(piece, job);
  const one: number[] = [];
  for (let round = 0; round < 400; round++) {
    const at = 1 + (round % 59);
    const elements = piece.elements.map((element, index) =>
      index === at ? changed(element, round) : element,
    );
    const start = performance.now();
    compiler.compile({ ...piece, elements }, job);
    one.push(performance.now() - start);
  }
  return [
    {
      what: 'compile of one changed element of 60, 95 %',
      measured: percentile95(one),
      unit: 'ms',
      baseline: median(whole),
      wanted: 'under 4 ms (baseline: all 60 anew)',
    },
  ];
}

async function gestures(job: Job, art: Map<string, Uint8Array>): Promise<Row[]> {
  return inBrowser(async (page) => {
    await openPeel(page, 'busy.peel', Buffer.from(writePeel({ job, art })));
    await page.waitForSelector('text=Busy piece');
    await page.goto(`${URL}/job/busy/artwork`);
    await page.waitForSelector('[data-element="words-20"] path');
    await page.waitForTimeout(5000); // the proof of the new job is asked for meanwhile
    const words = page.locator('[data-element="words-10"]');
    await words.locator('.hit').click();
    await page.waitForTimeout(4000); // how well the words can be read is measured meanwhile
    const box = await words.boundingBox();
    if (!box) throw new Error('no words');
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const idle = await recorded(page, () => swing(page, middle));
    await page.mouse.move(middle.x, middle.y);
    await page.mouse.down();
    const dragged = await recorded(page, () => swing(page, middle));
    await page.mouse.up();
    await page.waitForTimeout(4000); // the proof of what was moved is made meanwhile
    const grip = await page.locator('[data-corner="1,1"]').boundingBox();
    if (!grip) throw new Error('no grip');
    await page.mouse.move(grip.x + 5, grip.y + 5);
    await page.mouse.down();
    const resized = await recorded(page, () => swing(page, grip));
    await page.mouse.up();
    await page.waitForTimeout(4000);
    await page.locator('[data-element="words-10"] .hit').dblclick({ force: true });
    const typed = await recorded(page, () =>
      page.keyboard.type('the quick brown fox jumps over the lazy dog', { delay: 45 }),
    );
    return [
      ...frameRows('drag of one of 60 elements over 8 MP', dragged, idle),
      ...frameRows('resize of one', resized, idle),
      ...frameRows('typing in one', typed, idle),
    ];
  });
}

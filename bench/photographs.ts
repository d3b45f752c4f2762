import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { p3Profile } from '../core/testing/p3-profile.ts';
import { inBrowser } from './browser.ts';
import { photoJpeg } from './photo.ts';
import { median, type Row } from './row.ts';

const [WIDTH, HEIGHT] = [6000, 4000];

/** A JPEG with a profile in a segment of its own (ICC.1:2022, B.4). */
function withProfile(jpeg: Uint8Array, profile: Uint8Array): Uint8Array {
  const name = new TextEncoder().encode('ICC_PROFILE\0\x01\x01');
  const segment = new Uint8Array(4 + name.length + profile.length);
  new DataView(segment.buffer).setUint16(0, 0xffe2);
  new DataView(segment.buffer).setUint16(2, segment.length - 2);
  segment.set(name, 4);
  segment.set(profile, 4 + name.length);
  return Uint8Array.from([
    ...[jpeg.subarray(0, 2), segment, jpeg.subarray(2)].flatMap((part) => [...part]),
  ]);
}

/** The process that draws the page and runs its workers. */
async function rendererOf(page: Page): Promise<number> {
  const browser = page.context().browser();
  const session = await browser?.newBrowserCDPSession();
  const { processInfo = [] } = (await session?.send('SystemInfo.getProcessInfo')) ?? {};
  const renderers = processInfo.filter(({ type }) => type === 'renderer');
  return renderers[renderers.length - 1]?.id ?? 0;
}

const status = (pid: number, what: string): number =>
  Number(new RegExp(`${what}:\\s+(\\d+)`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) /
  1024;

/** From the choice of a file to its card in the drawer, ms, and what the page's process took beside, MB. */
async function takeIn(page: Page, name: string, bytes: Uint8Array): Promise<[number, number]> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take in pictures' }).click(),
  ]);
  const pid = await rendererOf(page);
  const before = status(pid, 'VmRSS');
  writeFileSync(`/proc/${pid}/clear_refs`, '5'); // the highest mark from now on
  const path = `.cache/${name}.jpg`;
  writeFileSync(path, bytes);
  const start = performance.now();
  await chooser.setFiles(path);
  await page.getByRole('button', { name, exact: true }).waitFor();
  return [performance.now() - start, status(pid, 'VmHWM') - before];
}

/** A photograph of a telephone, taken in. */
export async function benchPhotographs(): Promise<Row[]> {
  const jpeg = await photoJpeg(WIDTH, HEIGHT);
  /** The same with another density (JFIF 1.02), so that it is another file each time. */
  const marked = (base: Uint8Array, dpi: number): Uint8Array => {
    const made = base.slice();
    made.set([1, dpi >> 8, dpi & 255, dpi >> 8, dpi & 255], 13);
    return made;
  };

  return inBrowser(async (page) => {
    await page.getByRole('link', { name: 'Art drawer' }).click();
    await takeIn(page, 'first', await photoJpeg(300, 200));
    const plain = [];
    const converted = [];
    for (const seed of [1, 2, 3]) {
      plain.push(await takeIn(page, `plain ${seed}`, marked(jpeg, 300 + seed)));
      converted.push(
        await takeIn(page, `wide ${seed}`, withProfile(marked(jpeg, 300 + seed), p3Profile())),
      );
    }
    const pixels = (WIDTH * HEIGHT * 4) / 1024 / 1024;
    return [
      {
        what: '24 MP JPEG with a P3 profile, to its card in the drawer',
        measured: median(converted.map(([ms]) => ms)),
        unit: 'ms',
        baseline: median(plain.map(([ms]) => ms)),
        wanted: 'at most 3500 ms (baseline: without a profile)',
      },
      {
        what: 'the same: most memory of the page and its workers beside',
        measured: Math.max(...converted.map(([, megabytes]) => megabytes)) / pixels,
        unit: '×',
        baseline: Math.max(...plain.map(([, megabytes]) => megabytes)) / pixels,
        wanted: 'at most 4 times the RGBA bytes',
      },
    ];
  });
}

import { spawn } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';
import { BROWSER, visit } from '../tools/browser.ts';
import { median, percentile95, type Row } from './row.ts';

const PORT = 4388;
export const URL = `http://localhost:${PORT}`;

/** Runs with a page of the built application, its shelf open. */
export async function inBrowser<T>(run: (page: Page) => Promise<T>): Promise<T> {
  const server = spawn(process.execPath, ['dist/node/server.mjs'], {
    env: { ...process.env, PORT: String(PORT) },
    stdio: 'ignore',
  });
  const browser = await chromium.launch(BROWSER);
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await visit(page, URL);
    await page.waitForSelector('article');
    return await run(page);
  } finally {
    await browser.close();
    server.kill();
  }
}

/** Brings a `.peel` file in from the shelf. */
export async function openPeel(page: Page, name: string, buffer: Buffer): Promise<void> {
  await page.goto(URL);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open a file' }).click();
  await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer });
}

export interface Frames {
  /** From one frame's time to the next one's: a frame that is left out makes it twice as long. */
  readonly intervals: number[];
  /** From one call back to the next; frames that come in time may call back early or late in theirs. */
  readonly calls: number[];
  readonly work: number[];
  readonly paint: number[];
}

/** Records frames, the page's own work in each of them, and the time from input to the frame after it. */
export async function recorded(page: Page, move: () => Promise<void>): Promise<Frames> {
  await page.evaluate(() => {
    const empty = (): number[] => [];
    const frames = { intervals: empty(), calls: empty(), work: empty(), paint: empty() };
    Object.assign(window, { frames, recording: true });
    const real = window.requestAnimationFrame.bind(window);
    let own = 0;
    window.requestAnimationFrame = (run) =>
      real((time) => {
        const start = performance.now();
        run(time);
        // What the framework does follows in a microtask of its own.
        queueMicrotask(() => (own += performance.now() - start));
      });
    addEventListener(
      'pointermove',
      () => {
        const start = performance.now();
        real(() => setTimeout(() => frames.paint.push(performance.now() - start), 0));
      },
      true,
    );
    // What a field's own handler does, and the framework's drawing after it, lies between these two.
    let heard = 0;
    addEventListener('input', () => (heard = performance.now()), true);
    addEventListener('input', () => (own += performance.now() - heard));
    let last: { time: number; now: number } | undefined;
    const tick = (time: number): void => {
      const now = performance.now();
      if (last) {
        frames.intervals.push(time - last.time);
        frames.calls.push(now - last.now);
        frames.work.push(own);
      }
      own = 0;
      last = { time, now };
      if ((window as unknown as { recording: boolean }).recording) real(tick);
    };
    real(tick);
  });
  await move();
  return page.evaluate(() => {
    Object.assign(window, { recording: false });
    return (window as unknown as { frames: Frames }).frames;
  });
}

/** Swings the pointer about a place as a hand does: at a mouse's own pace, whatever the page is at. */
export async function swing(page: Page, { x, y }: { x: number; y: number }): Promise<void> {
  const moves: Promise<void>[] = [];
  for (let step = 1; step <= 400; step++) {
    moves.push(page.mouse.move(x + Math.sin(step / 12) * 80, y + Math.cos(step / 9) * 60));
    await page.waitForTimeout(8);
  }
  await Promise.all(moves);
}

/** What frames came to beside those of the same moves without anything to do. */
export function frameRows(what: string, frames: Frames, idle: Frames): Row[] {
  const { intervals, calls, work, paint } = frames;
  const unit = 'ms';
  return [
    {
      what: `${what}: frame interval, 95 %`,
      measured: percentile95(intervals),
      unit,
      baseline: percentile95(idle.intervals),
      wanted: 'at most 17.5 ms (baseline: same moves, no drag)',
    },
    {
      what: `${what}: longest frame`,
      measured: Math.max(...intervals),
      unit,
      baseline: Math.max(...idle.intervals),
      wanted: 'none over 50 ms',
    },
    {
      what: `${what}: call back to call back, 95 %`,
      measured: percentile95(calls),
      unit,
      baseline: percentile95(idle.calls),
      wanted: 'measured',
    },
    {
      what: `${what}: own work a frame, 95 %`,
      measured: percentile95(work),
      unit,
      wanted: 'at most 8 ms',
    },
    ...(paint.length
      ? [
          {
            what: `${what}: input to paint, median`,
            measured: median(paint),
            unit,
            wanted: 'measured',
          },
        ]
      : []),
  ];
}

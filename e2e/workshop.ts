import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  test as base,
  expect,
  type BrowserContext,
  type Locator,
  type Page,
} from '@playwright/test';
import { encode } from 'fast-png';
import { BROWSER } from '../tools/browser.ts';

/** A page of ours that loads nothing, and where the application keeps its things. */
const EMPTY = '/api/health';
const KEPT_IN = 'little-peel';

/** Nothing here is looked at for long enough that what takes its time at first would pay. */
const FOR_SHORT_VISITS = [
  // With it Chromium compiles every script anew, whatever it knows of it from the visit before.
  '--disable-features=BackgroundResourceFetch',
  // WebAssembly is compiled once, and memory is gone through more seldom.
  '--js-flags=--liftoff-only --min-semi-space-size=32 --max-semi-space-size=64',
];

/**
 * A page that fails its test on console errors and warnings, and on any request to elsewhere. Unless
 * `proofing` is on the proof never answers: half of what it takes to open a desk is its renderer. The
 * browser knows the application’s files from the test before, but nothing that was kept then.
 */
export const test = base.extend<{ proofing: boolean }, { visited: BrowserContext }>({
  proofing: [false, { option: true }],
  visited: [
    async ({ playwright }, use, { project }) => {
      const { baseURL, viewport, colorScheme } = project.use;
      const folder = mkdtempSync(join(tmpdir(), 'little-peel-browser-'));
      const context = await playwright.chromium.launchPersistentContext(folder, {
        ...BROWSER,
        args: [...BROWSER.args, ...FOR_SHORT_VISITS],
        ...(baseURL === undefined ? {} : { baseURL }),
        ...(viewport === undefined ? {} : { viewport }),
        ...(colorScheme === undefined ? {} : { colorScheme }),
      });
      await use(context);
      await context.close();
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  context: async ({ visited }, use) => {
    const [blank] = visited.pages();
    await use(visited);
    for (const open of visited.pages()) if (open !== blank) await open.close();
  },
  page: async ({ page, baseURL, proofing }, use) => {
    const troubles: string[] = [];
    page.on('console', (message) => {
      if (['error', 'warning'].includes(message.type()))
        troubles.push(`console ${message.type()}: ${message.text()}`);
    });
    page.on('pageerror', (error) => troubles.push(`page error: ${error.message}`));
    page.on('request', (request) => {
      const url = request.url();
      if (!/^(data|blob):/.test(url) && !url.startsWith(baseURL ?? ''))
        troubles.push(`request to ${url}`);
    });
    if (!proofing) await page.addInitScript(withoutProof);
    await page.goto(EMPTY);
    await page.evaluate(forget, KEPT_IN);
    await use(page);
    expect(troubles).toEqual([]);
  },
});

/** A test that asks the proof. */
export const proofed = test.extend({ proofing: true });

/** Runs in the page before all else: the worker of the proof is one that does nothing. */
function withoutProof(): void {
  const idle = { postMessage: () => undefined, terminate: () => undefined };
  window.Worker = new Proxy(Worker, {
    construct: (real, given: [URL, WorkerOptions]) =>
      given[1].name === 'proof' ? idle : (Reflect.construct(real, given) as Worker),
  });
}

/** Runs in the page: forgets what was kept in this browser, but for copies of it. */
async function forget(name: string): Promise<void> {
  localStorage.clear();
  await new Promise((done, failed) => {
    const request = indexedDB.deleteDatabase(name);
    request.onsuccess = done;
    request.onerror = failed;
  });
}

/** Runs in the page: copies what is kept under a name; says whether there is something. */
async function copyKept({ from, to }: { from: string; to: string }): Promise<boolean> {
  const done = <T>(request: IDBRequest<T>): Promise<T> =>
    new Promise((end, failed) => {
      request.onsuccess = () => end(request.result);
      request.onerror = () => failed(request.error ?? new Error(from));
    });
  if (!(await indexedDB.databases()).some(({ name }) => name === from)) return false;
  const source = await done(indexedDB.open(from));
  const stores = [...source.objectStoreNames];
  const kept = source.transaction(stores);
  const entries = await Promise.all(
    stores.map(async (name) => {
      const store = kept.objectStore(name);
      const [keys, values] = await Promise.all([done(store.getAllKeys()), done(store.getAll())]);
      return { name, keys, values: values as unknown[] };
    }),
  );
  // What a page has kept since may be of a later version.
  await done(indexedDB.deleteDatabase(to));
  const opening = indexedDB.open(to, source.version);
  opening.onupgradeneeded = () => {
    for (const { name, keys, values } of entries) {
      const store = opening.result.createObjectStore(name);
      keys.forEach((key, at) => store.put(values[at], key));
    }
  };
  (await done(opening)).close();
  source.close();
  return true;
}

export { expect };

/** How many sample jobs stand on the shelf at first. */
export const SAMPLES = 13;

/** Keeps in the browser what was made once under a name: from then on it is copied. */
async function beginWith(page: Page, name: string, make: () => Promise<void>): Promise<void> {
  const copy = `${KEPT_IN} with ${name}`;
  await page.goto(EMPTY);
  if (await page.evaluate(copyKept, { from: copy, to: KEPT_IN })) return;
  await make();
  await page.goto(EMPTY);
  await page.evaluate(copyKept, { from: KEPT_IN, to: copy });
}

/** The workshop with these samples alone: to bring in all of them takes its time. */
export async function bringSamples(page: Page, samples: readonly string[]): Promise<void> {
  await page.addInitScript(
    (list) => {
      const { fetch } = window;
      window.fetch = (what, how) =>
        what === '/demo/index.json' ? Promise.resolve(new Response(list)) : fetch(what, how);
    },
    JSON.stringify(samples.map((name) => `${name}.peel`)),
  );
  await beginWith(page, samples.join(), () => visitShelf(page, samples));
}

async function visitShelf(page: Page, samples: readonly string[]): Promise<void> {
  await page.goto('/');
  for (const name of samples)
    await expect(page.locator(`article a[href="/job/demo-${name}"]`).first()).toBeVisible();
}

/** The shelf with these samples alone. */
export async function openShelf(page: Page, ...samples: string[]): Promise<void> {
  await bringSamples(page, samples);
  await visitShelf(page, samples);
}

/** The shelf without the samples. */
export async function emptyWorkshop(page: Page): Promise<void> {
  await beginWith(page, 'nothing', async () => {
    await openShelf(page, 'peat-free-dots');
    await page.getByRole('button', { name: 'Remove the samples' }).click();
    await expect(page.getByText('Nothing on the shelf yet')).toBeVisible();
  });
  await page.goto('/');
  await expect(page.getByText('Nothing on the shelf yet')).toBeVisible();
}

/** A desk of a sample job that stands alone on the shelf. */
export async function openDesk(page: Page, job: string, desk: string): Promise<void> {
  await bringSamples(page, [job]);
  await page.goto(`/job/demo-${job}/${desk}`);
  await expect(page.locator('.ticket')).toBeVisible();
}

/** The same with the shelf already open. */
export async function fromShelf(page: Page, job: string, desk: string): Promise<void> {
  // A card that moves as others come may be missed by the first click.
  await expect(async () => {
    if (!page.url().includes('/job/'))
      await page.locator(`article a[href="/job/demo-${job}"]`).first().click();
    await expect(page.locator('.ticket')).toBeVisible({ timeout: 6000 });
  }).toPass({ timeout: 30_000 });
  if (desk === 'artwork') return;
  await page.locator(`.ticket a[href="/job/demo-${job}/${desk}"]`).first().click();
  await expect(page).toHaveURL(new RegExp(`/${desk}$`));
}

/** Counts from now on what a person does: presses, fields typed into, and Enter. */
export async function countActions(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const counted = window as unknown as { actions: number };
    counted.actions = 0;
    const add = (): void => void counted.actions++;
    let typing: EventTarget | null = null;
    addEventListener('pointerdown', add, true);
    addEventListener('keydown', ({ key }) => key === 'Enter' && add(), true);
    addEventListener('focusout', () => (typing = null), true);
    addEventListener(
      'input',
      ({ target }) => {
        if (target !== typing) add();
        typing = target;
      },
      true,
    );
  });
  return () => page.evaluate(() => (window as unknown as { actions: number }).actions);
}

/** Presses on the middle of something and moves; lets go unless it is to be held. */
export async function dragBy(
  page: Page,
  what: Locator,
  [dx, dy]: readonly [number, number],
  hold = false,
): Promise<void> {
  const box = await what.boundingBox();
  if (!box) throw new Error('nothing to drag');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 8 });
  if (!hold) await page.mouse.up();
}

/** Types a value into a field of a card and takes it over. */
export async function enter(page: Page, field: string, value: string): Promise<void> {
  await enterIn(page.getByLabel(field, { exact: true }), value);
}

/** The same into a field that was found. */
export async function enterIn(field: Locator, value: string): Promise<void> {
  await field.fill(value);
  await field.press('Enter');
}

/** What a field of a card says, as a number. */
export async function valueOf(page: Page, field: string): Promise<number> {
  return parseFloat(await page.getByLabel(field, { exact: true }).inputValue());
}

/** A PNG with its resolution left out: a disc of one colour on clear ground. */
export function discPng(side = 600): Buffer {
  const data = new Uint8Array(side * side * 4);
  for (let y = 0; y < side; y++) {
    for (let x = 0; x < side; x++) {
      const inside = Math.hypot(x - side / 2, y - side / 2) < side / 2 - 1;
      data.set([122, 47, 110, inside ? 255 : 0], (y * side + x) * 4);
    }
  }
  return Buffer.from(encode({ width: side, height: side, channels: 4, data }));
}

/** Drops files onto a place of the page. */
export async function dropFile(
  page: Page,
  selector: string,
  file: { name: string; type: string; bytes: Buffer },
): Promise<void> {
  const transfer = await page.evaluateHandle(
    ({ name, type, base64 }) => {
      const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      const made = new DataTransfer();
      made.items.add(new File([bytes], name, { type }));
      return made;
    },
    { name: file.name, type: file.type, base64: file.bytes.toString('base64') },
  );
  await page.dispatchEvent(selector, 'drop', { dataTransfer: transfer });
}

/** Waits until the proof has looked at the last change. */
export async function proofIs(page: Page, text: string | RegExp): Promise<void> {
  await expect(page.locator('[data-line="proof"]')).toContainText(text, { timeout: 40_000 });
}

/** Walks a run for real to the step in which the labels are counted. */
export async function toCounting(page: Page): Promise<void> {
  const step = page.locator('[data-step]');
  await expect(step).toBeVisible();
  for (let steps = 0; steps < 40; steps++) {
    const title = await step.getByRole('heading').innerText();
    if (title === 'Count the good ones') return;
    await page.locator('[data-do]').click();
    await expect(step.getByRole('heading')).not.toHaveText(title, { timeout: 60_000 });
  }
}

/** Walks a run for real to its end. */
export async function finishRun(page: Page): Promise<void> {
  await toCounting(page);
  await page.locator('[data-do]').click();
  await expect(page.getByText('The run is in the ledger')).toBeVisible();
}

/** From any desk: walks the run for real by files, without any device, to its end. */
export async function runForReal(page: Page): Promise<void> {
  await page.locator('[data-line="run"]').click();
  await page.getByRole('radio', { name: 'For real' }).click();
  await finishRun(page);
}

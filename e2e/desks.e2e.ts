import { readFileSync } from 'node:fs';
import {
  discPng,
  dropFile,
  emptyWorkshop,
  expect,
  openDesk,
  openShelf,
  proofed,
  proofIs,
  test,
} from './workshop.ts';

test('bad pictures are each refused in a sentence and leave the piece as it was', async ({
  page,
}) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await expect(page.locator('[data-element]')).toHaveCount(6);
  const huge = discPng(8);
  huge.writeUInt32BE(20_000, 16);
  huge.writeUInt32BE(20_000, 20);
  for (const [name, bytes, said] of [
    ['empty.png', Buffer.alloc(0), '“empty.png” is empty'],
    ['letter.png', Buffer.from('Dear all, here are the seeds'), '“letter.png” is not a picture'],
    ['huge.png', huge, '20,000 x 20,000 pixels'],
    ['cut-off.png', discPng(64).subarray(0, 80), '“cut-off.png” is damaged'],
  ] as const) {
    await dropFile(page, '.whole', { name, type: 'image/png', bytes });
    await expect(page.locator('[data-kind="problem"]')).toContainText(said);
  }
  await expect(page.locator('[data-element]')).toHaveCount(6);
});

test('a broken job file is refused and the shelf stays', async ({ page }) => {
  await emptyWorkshop(page);
  await dropFile(page, '.shelf', {
    name: 'broken.peel',
    type: 'application/zip',
    bytes: Buffer.from('PK\u0003\u0004 not really'),
  });
  await expect(page.locator('[data-kind="problem"]')).toContainText('“broken.peel” is damaged');
  await expect(page.getByText('Nothing on the shelf yet')).toBeVisible();
});

test('a picture is dropped onto another and keeps its place', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const picture = page.locator('[data-element="picture-1"]');
  await expect(picture.locator('path').first()).toBeAttached();
  const before = await picture.getAttribute('data-place');
  await dropFile(page, '[data-element="picture-1"]', {
    name: 'disc.png',
    type: 'image/png',
    bytes: discPng(300),
  });
  await expect(picture.locator('image')).toBeAttached();
  expect(await picture.getAttribute('data-place')).toBe(before);
  await expect(page.locator('[data-element]')).toHaveCount(6);
});

test('corners resize in proportion, the handle turns, and Escape gives up', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.locator('[data-element="picture-1"] .hit').click();
  const value = async (name: string): Promise<number> =>
    parseFloat(await page.getByLabel(name, { exact: true }).inputValue());
  const [width, height] = [await value('Width'), await value('Height')];
  const dragBy = async (
    selector: string,
    dx: number,
    dy: number,
    giveUp = false,
  ): Promise<void> => {
    const box = await page.locator(selector).boundingBox();
    if (!box) throw new Error('no grip');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + dx, box.y + dy, { steps: 6 });
    if (giveUp) await page.keyboard.press('Escape');
    await page.mouse.up();
  };
  await dragBy('[data-corner="1,1"]', 40, 40);
  await expect.poll(() => value('Width')).toBeGreaterThan(width + 2);
  expect((await value('Width')) / (await value('Height'))).toBeCloseTo(width / height, 1);
  const wide = await value('Width');
  await dragBy('[data-corner="1,1"]', 60, 60, true);
  expect(await value('Width')).toBe(wide);
  await dragBy('[data-turn]', 120, 60);
  await expect.poll(() => value('Turn in degrees')).not.toBe(0);
  await page.getByRole('button', { name: /^Undo turn/ }).click();
  expect(await value('Turn in degrees')).toBe(0);
});

proofed('a finding is shown where it is and its fix removes it', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.locator('[data-element="words-3"] .hit').click();
  await page.getByLabel('Size in points', { exact: true }).fill('4');
  await page.keyboard.press('Enter');
  await proofIs(page, 'warning');
  await page.locator('[data-line="proof"]').click();
  const finding = page.locator('[data-finding="words-too-small"]');
  await expect(finding).toContainText('prints at 4.0 pt');
  await finding.getByRole('button', { name: 'Show me' }).click();
  await expect(page.getByLabel('The words', { exact: true })).toHaveValue('Sea Holly');
  await page
    .locator('[data-finding="words-too-small"]')
    .getByRole('button', { name: 'Set to 6 pt' })
    .click();
  await proofIs(page, 'Nothing to mend');
});

proofed(
  'a press on a fix counts, though what is measured comes while the button is down',
  async ({ page }) => {
    await openDesk(page, 'pot-lid-seals', 'artwork');
    await page.locator('[data-element="words-3"] .hit').click();
    await page.getByLabel('Size in points', { exact: true }).fill('4');
    await page.keyboard.press('Enter');
    await proofIs(page, 'warning');
    // Another selection, and back: how well the words are read is measured anew.
    await page.keyboard.press('Escape');
    await page.locator('[data-element="words-3"] .hit').click();
    const fix = page
      .locator('[data-finding="words-too-small"]')
      .getByRole('button', { name: 'Set to 6 pt' });
    await fix.hover();
    const before = await fix.boundingBox();
    await page.mouse.down();
    await expect(page.locator('.cards .bar[role="img"]')).toBeVisible();
    expect(await fix.boundingBox()).toEqual(before);
    await page.mouse.up();
    await proofIs(page, 'Nothing to mend');
  },
);

proofed('a copy dragged into a mark stops the run until it is put back', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'sheet');
  const copy = page.locator('[data-copy="sea-holly#1"]');
  await expect(copy).toBeVisible();
  const box = await copy.boundingBox();
  if (!box) throw new Error('no copy');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 20, box.y + box.height / 2 - 35, { steps: 6 });
  await expect(page.locator('.dragged')).toBeVisible();
  // With Alt it stays where it was let go.
  await page.keyboard.down('Alt');
  await page.mouse.up();
  await page.keyboard.up('Alt');
  await proofIs(page, 'blocker');
  await page.locator('[data-line="run"]').click();
  await expect(page.getByRole('button', { name: 'Rehearse it' })).toBeDisabled();
  await page
    .locator('[data-finding="in-keep-clear"]')
    .getByRole('button', { name: 'Put it back' })
    .click();
  await proofIs(page, 'Nothing to mend');
  await expect(page.getByRole('button', { name: 'Rehearse it' })).toBeEnabled();
});

test('a bought label sheet is chosen and filled, spot by spot', async ({ page }) => {
  await emptyWorkshop(page);
  await page.getByRole('button', { name: /Label sheet/ }).click();
  await expect(page.getByRole('radio', { name: /24 round labels of 40 mm/ })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  await page.locator('.cards').getByRole('link', { name: 'Design the label' }).click();
  await page.getByRole('button', { name: 'Ring' }).click();
  await expect(page.locator('[data-line="size"]')).toContainText('Ø 40 mm');
  await page.locator('[data-line="copies"]').click();
  await expect(page.locator('[data-copy]')).toHaveCount(24);
});

test('copies are nested by their outlines, the rest of the sheet is filled, and both are one step each', async ({
  page,
}) => {
  await openDesk(page, 'woodland-stickers', 'sheet');
  const copies = page.locator('[data-copy]');
  const places = () =>
    copies.evaluateAll((all) => all.map((one) => one.getAttribute('transform')).join());
  await expect(copies).toHaveCount(36);
  for (const name of ['Fly agaric', 'Wood blewit', 'Lime leaf', 'Male fern'])
    await page.getByLabel(`Wanted of ${name}`).fill('3');
  await page.getByLabel('Wanted of Male fern').press('Tab');
  await expect(copies).toHaveCount(12);
  const before = await places();
  await page.getByRole('radio', { name: 'Freely' }).click();
  await expect(page.getByText(/^12 copies, \d+ % used$/)).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Freely' })).toBeChecked();
  expect(await places()).not.toBe(before);
  await page.getByRole('button', { name: 'Fill what is left' }).click();
  await expect.poll(() => copies.count(), { timeout: 15_000 }).toBeGreaterThan(24);
  await page.getByRole('button', { name: 'Stop and keep this' }).click();
  await expect(page.getByRole('button', { name: 'Fill what is left' })).toBeVisible();
  const kept = await page.locator('[data-line="copies"]').innerText();
  await expect(copies).toHaveCount(Number(/(\d+) wanted/.exec(kept)?.[1]));
  const undo = page.locator('.bench').getByRole('button', { name: /^Undo/ }).first();
  await undo.click();
  await expect(copies).toHaveCount(12);
  await undo.click();
  await expect.poll(places).toBe(before);
});

test('a long run is cancelled and the desk is free again', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'run');
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await page.waitForTimeout(700);
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Rehearse it' })).toBeEnabled({
    timeout: 5000,
  });
});

test('dark, by keyboard, and in inches', async ({ page }) => {
  await openDesk(page, 'pot-lid-seals', 'artwork');
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('radio', { name: 'Dark' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.getByRole('radio', { name: 'in', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-line="size"]')).toContainText('2.283 in');
  await page.locator('[data-line="artwork"]').focus();
  await page.keyboard.press(']');
  await expect(page.locator('.selection')).toHaveCount(1);
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});

test('by touch on a tablet the view needs no page scroll and elements move under a finger', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    baseURL: baseURL ?? '',
    viewport: { width: 1024, height: 768 },
    hasTouch: true,
  });
  const page = await context.newPage();
  await openDesk(page, 'pot-lid-seals', 'artwork');
  const words = page.locator('[data-element="words-3"]');
  await expect(words.locator('path').first()).toBeAttached();
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(768);
  const before = await words.getAttribute('data-place');
  const box = await words.boundingBox();
  if (!box) throw new Error('no words');
  const devtools = await context.newCDPSession(page);
  const at = (x: number, y: number) => [
    { x: box.x + box.width / 2 + x, y: box.y + box.height / 2 + y },
  ];
  await devtools.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0, 0) });
  for (const step of [10, 20, 30, 40])
    await devtools.send('Input.dispatchTouchEvent', {
      type: 'touchMove',
      touchPoints: at(step, -step),
    });
  await devtools.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect.poll(() => words.getAttribute('data-place')).not.toBe(before);
  await context.close();
});

test('no view has a serious fault of accessibility', async ({ page }) => {
  await openShelf(page, 'pot-lid-seals', 'woodland-stickers');
  const axe = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');
  for (const path of [
    '/',
    '/job/demo-pot-lid-seals',
    '/job/demo-pot-lid-seals/size',
    '/job/demo-pot-lid-seals/sheet',
    '/job/demo-pot-lid-seals/proof',
    '/job/demo-pot-lid-seals/run',
    '/art',
    '/',
    '/job/demo-woodland-stickers',
    '/job/demo-woodland-stickers/edge',
  ]) {
    await page.locator(`a[href="${path}"]`).first().click();
    await expect(page.locator('article, .ticket, .drawer').first()).toBeVisible();
    await page.waitForTimeout(500);
    // The checker is put in by the test's own channel; the page's policy would not let it load one.
    const devtools = await page.context().newCDPSession(page);
    await devtools.send('Runtime.evaluate', { expression: axe });
    const found = await devtools.send('Runtime.evaluate', {
      expression:
        'axe.run(document, { resultTypes: ["violations"] }).then((r) => JSON.stringify(r.violations.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) => v.id + ": " + v.nodes.slice(0, 2).map((n) => n.html.slice(0, 120)).join(" | "))))',
      awaitPromise: true,
      returnByValue: true,
    });
    expect([path, ...(JSON.parse(String(found.result.value)) as string[])]).toEqual([path]);
  }
});

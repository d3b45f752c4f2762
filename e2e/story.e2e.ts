import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { discPng, emptyWorkshop, expect, finishRun, proofed, proofIs, test } from './workshop.ts';

const tool = (name: string, ...args: string[]): string =>
  execFileSync(name, args, { encoding: 'utf8' });

proofed('from an empty workshop to peeled labels, and found again tomorrow', async ({ page }) => {
  await emptyWorkshop(page);

  await test.step('measure a lid', async () => {
    await page.getByRole('button', { name: /Lid or tin/ }).click();
    const measure = page.getByLabel('Measure: across the flat top');
    await measure.fill('2 3/8 in');
    await measure.press('Enter');
    await expect(page.locator('[data-line="thing"]')).toContainText('60.3 mm');
    await measure.fill('wide');
    await measure.press('Enter');
    await expect(page.getByRole('alert')).toContainText('“wide” is not a length');
    await measure.fill('59');
    await measure.press('Enter');
    await expect(page.locator('[data-line="size"]')).toContainText('Round, Ø 50 mm');
  });

  await test.step('pick a picture and type a name', async () => {
    await page.locator('.cards').getByRole('link', { name: 'Design the label' }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Picture' }).click();
    await (await chooser).setFiles({ name: 'dot.png', mimeType: 'image/png', buffer: discPng() });
    await expect(page.locator('[data-element="picture-1"]')).toBeVisible();
    const wide = page.getByLabel('Width', { exact: true });
    await wide.fill('14');
    await wide.press('Enter');
    const picture = page.locator('[data-element="picture-1"]');
    const box = await picture.boundingBox();
    if (!box) throw new Error('no picture');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 3, box.y + box.height / 2 - 40, { steps: 6 });
    await expect(page.locator('.distance text').first()).toContainText('mm');
    await page.mouse.up();
    // Snapped back to the middle across: the move of 3 px is within reach of the centre line.
    const middle = Number(
      (await page.getByRole('textbox', { name: 'From left' }).inputValue()).replace(' mm', ''),
    );
    expect(middle).toBeCloseTo(25, 0);
    await page.getByRole('button', { name: 'Words' }).click();
    await page.getByLabel('The words', { exact: true }).fill('Sea Holly');
    await page.keyboard.press('Escape');
    await page.keyboard.press('ArrowDown');
    await page.getByRole('button', { name: 'Around' }).click();
    await page.getByLabel('The words', { exact: true }).fill('THISTLE & FEN');
    await expect(
      page.locator('[data-element="words-2"] [aria-label="THISTLE & FEN"]'),
    ).toBeAttached();
  });

  await test.step('undo and redo', async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await expect(page.locator('[data-element="words-2"] [aria-label="YOUR NAME"]')).toBeAttached();
    await page.keyboard.press('Control+Shift+z');
    await expect(
      page.locator('[data-element="words-2"] [aria-label="THISTLE & FEN"]'),
    ).toBeAttached();
  });

  await test.step('fill a sheet', async () => {
    await page.locator('[data-line="copies"]').click();
    await page.getByLabel('Wanted of Label').fill('8');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Gap' }).fill('5');
    await page.keyboard.press('Enter');
    await expect(page.locator('[data-copy]')).toHaveCount(8);
    await expect(page.locator('[data-line="copies"]')).toContainText('8 wanted · 1 sheet');
  });

  await test.step('check it and save the files', async () => {
    await page.locator('[data-line="proof"]').click();
    await proofIs(page, 'Nothing to mend');
    await expect(page.locator('.page canvas')).toBeVisible();
    const save = async (format: string): Promise<string> => {
      const download = page.waitForEvent('download');
      await page.locator(`[data-format="${format}"]`).click();
      return (await download).path();
    };
    const pdf = await save('pdf');
    expect(tool('pdfinfo', pdf)).toMatch(/Page size:\s+595\.2\d* x 841\.8\d*/);
    expect(tool('pdftotext', pdf, '-').match(/Sea Holly/g)).toHaveLength(8);
    const words = tool('pdftotext', '-bbox', pdf, '-');
    const seas = [
      ...words.matchAll(
        /xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">Sea Holly|xMin="([\d.]+)" yMin="([\d.]+)"[^>]*>Sea</g,
      ),
    ];
    const svg = readFileSync(await save('svg'), 'utf8');
    expect(svg).toContain('width="210mm" height="297mm"');
    const circles = [...svg.matchAll(/data-copy="[^"]+" d="M([\d. -]+)L([^"]+)"/g)].map((found) => {
      const numbers = `${found[1]} ${found[2]}`.match(/-?[\d.]+/g)?.map(Number) ?? [];
      const xs = numbers.filter((_, index) => index % 2 === 0);
      const ys = numbers.filter((_, index) => index % 2 === 1);
      return {
        left: Math.min(...xs),
        right: Math.max(...xs),
        top: Math.min(...ys),
        bottom: Math.max(...ys),
      };
    });
    expect(circles).toHaveLength(8);
    for (const circle of circles) {
      expect(circle.right - circle.left).toBeCloseTo(50, 1);
      expect(circle.left).toBeGreaterThan(5);
      expect(circle.right).toBeLessThan(205);
    }
    // Each name stands inside one cut circle: print and cut agree.
    const mm = 25.4 / 72;
    expect(seas.length).toBe(8);
    for (const found of seas) {
      const [x, y] = [Number(found[1] ?? found[5]) * mm, Number(found[2] ?? found[6]) * mm];
      const holders = circles.filter(
        (circle) => x > circle.left && x < circle.right && y > circle.top && y < circle.bottom,
      );
      expect(holders).toHaveLength(1);
    }
  });

  await test.step('print and cut', async () => {
    await page.locator('[data-line="run"]').click();
    await page.getByRole('button', { name: 'Rehearse it' }).click();
    const report = page.locator('[data-report]');
    await expect(report).toContainText('All labels are good', { timeout: 90_000 });
    expect(parseFloat(await report.locator('[data-worst]').innerText())).toBeLessThan(0.15);
    expect(parseFloat(await report.locator('[data-least]').innerText())).toBeGreaterThan(1.7);
    await page.getByRole('radio', { name: 'Cut', exact: true }).click();
    await expect(page.getByRole('img', { name: 'Sheet 1, cut' })).toBeVisible();
    await page.getByRole('radio', { name: 'For real' }).click();
    await finishRun(page);
  });

  await test.step('find it again tomorrow', async () => {
    await page.getByLabel('Name of the job').fill('Honey lids');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('banner')).toContainText('Kept just now');
    await page.waitForTimeout(1000);
    await page.goto('/');
    const card = page.locator('article', { hasText: 'Honey lids' });
    await expect(card).toContainText('Ø 50 mm');
    await expect(card).toContainText('run');
    await card.getByRole('link', { name: 'Honey lids' }).click();
    await expect(page.locator('[data-element="words-1"] [aria-label="Sea Holly"]')).toBeAttached();
  });
});

// Makes contact sheets of all starting designs on seven shapes of label: npm run designs
import { mkdir } from 'node:fs/promises';
import { chromium } from '@playwright/test';
import { artSize, readArt } from '../core/art/index.ts';
import { expectOk } from '../core/base/index.ts';
import { designsFor } from '../core/designs/index.ts';
import { compileJob, loadResources } from '../core/job/index.ts';
import { artworkSvg } from '../core/output/artwork-svg.ts';
import { createCompiler, type LabelSays } from '../core/piece/index.ts';
import { designedJob, measuredJob } from '../core/testing/designed-label.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { usualThing, type MeasuredThing } from '../core/things/index.ts';
import { starFlowers } from '../demo/art/borage.ts';
import { FIELD_LANGUAGES } from '../messages/field-names.ts';
import { BROWSER } from './browser.ts';

/** A thing, how wide its column is in pixels, and whether its whole label is shown. */
const SHAPES: readonly { thing: MeasuredThing; width: number }[] = [
  { thing: usualThing('lid', { size: 64 }), width: 170 },
  { thing: usualThing('face', { width: 90, height: 60 }), width: 220 },
  { thing: usualThing('tag', { width: 45, height: 90, sides: '1' }), width: 110 },
  { thing: usualThing('band', { around: 'h' }), width: 560 },
  { thing: usualThing('taper', { top: 110, bottom: 80 }), width: 420 },
  { thing: usualThing('disc'), width: 190 },
  { thing: usualThing('case'), width: 270 },
];
const FULL: LabelSays = {
  name: 'Marigold balm',
  line: 'for gardeners’ hands',
  maker: 'Thistle & Fen',
  amount: '60 ml',
  ingredients: 'Sunflower oil, beeswax, marigold flowers, almond oil, lavender',
  use: 'Rub in after work. Keep it cool and closed.',
  'best-before': 'May 2027',
  batch: '1204',
};
const SHORT: LabelSays = { name: 'Borage', line: 'sow in spring', maker: 'Thistle & Fen' };
const ON_A_SHEET = 7;
const OUT = 'dist/designs';

const flower = starFlowers({
  ...{ petal: '#5a68c8', shade: '#333f94', eye: '#2a2350', leaf: '#4f7f4a', light: '#b9d4a8' },
});
const { art, bytes } = expectOk(
  await readArt(nodePlatform, new TextEncoder().encode(flower), 'borage.svg'),
);
const size = artSize(art);
const names = designsFor();

async function pictureOf(at: number, thing: MeasuredThing): Promise<string> {
  const name = names[at];
  if (!name) throw new Error('no such design');
  const says = (at + SHAPES.findIndex((one) => one.thing === thing)) % 3 ? FULL : SHORT;
  const job = designedJob(measuredJob(thing), name, says, {
    ...{ names: FIELD_LANGUAGES.en.names, emphasis: ['almond oil'], art: [art] },
    picture: { art: art.id, ratio: size.width / size.height },
  });
  const resources = await loadResources(nodePlatform, job, () => Promise.resolve(bytes));
  const compiled = compileJob(job, createCompiler(resources)).pieces.values().next().value;
  if (!compiled) throw new Error('not compiled');
  return artworkSvg(compiled, job, resources).replaceAll(
    /\b(id="|url\(#|href="#)/g,
    `$1d${at}${thing.kind}-`,
  );
}

await mkdir(OUT, { recursive: true });
const browser = await chromium.launch(BROWSER);
const page = await browser.newPage({ viewport: { width: 2060, height: 1300 } });
for (let from = 0; from < names.length; from += ON_A_SHEET) {
  const rows: string[] = [];
  for (let at = from; at < Math.min(names.length, from + ON_A_SHEET); at++) {
    const cells: string[] = [];
    for (const { thing, width } of SHAPES)
      cells.push(`<td style="width:${width}px">${await pictureOf(at, thing)}</td>`);
    rows.push(`<tr><th>${names[at]}</th>${cells.join('')}</tr>`);
  }
  await page.setContent(
    `<style>body{margin:0;background:#cfc6c4;font:15px sans-serif}td{padding:5px}th{width:70px}` +
      `svg{width:100%;height:190px;filter:drop-shadow(0 1px 2px #0006)}</style><table>${rows.join('')}</table>`,
  );
  await page.screenshot({ path: `${OUT}/${from / ON_A_SHEET + 1}.png`, fullPage: true });
}
await browser.close();
process.stdout.write(`${names.length} designs on ${SHAPES.length} shapes: ${OUT}/\n`);

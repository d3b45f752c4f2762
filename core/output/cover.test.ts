import { readArt } from '../art/index.ts';
import { expectOk } from '../base/index.ts';
import { createJob } from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { compiled, examplePicture, plainPng, runAll } from '../testing/example-job.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { printPdf } from './index.ts';

test('a picture that covers a disc prints from its hole to its rim, with the bleed of each, and no farther', async () => {
  const bytes = plainPng(200, [200, 30, 30]);
  const { art } = expectOk(await readArt(nodePlatform, bytes, 'red.png'));
  const piece = 'piece-1';
  const bare = createJob('disc', { id: 'disc', today: '2026-04-18' });
  const own = new Set(bare.pieces[0]?.elements.map(({ id }) => id));
  const put = runAll(bare, {
    name: 'add-element',
    args: { piece, element: examplePicture(art.id), art },
  });
  const element = put.pieces[0]?.elements.find(({ id }) => !own.has(id))?.id ?? '';
  const job = runAll(
    put,
    { name: 'cover-label', args: { piece, element } },
    { name: 'want', args: { piece, count: 1 } },
  );
  expect(job.pieces[0]).toMatchObject({ edge: { kind: 'ring', outer: 116, inner: 30 }, bleed: 2 });
  const made = await compiled(job, new Map([[art.id, bytes]]));
  const pdf = await printPdf(nodePlatform, made.compiled, made.resources);
  const PER_MM = 5;
  const { data, width } = await renderPdf(nodePlatform, { pdf, page: 0, dpi: PER_MM * 25.4 });
  const { x = 0, y = 0 } = made.compiled.sheets[0]?.copies[0]?.placement ?? {};
  const isRed = (from: number): boolean => {
    const at = Math.round(y * PER_MM) * width + Math.round((x + from) * PER_MM);
    return data[at * 4] === 200 && data[at * 4 + 1] === 30;
  };
  expect([0, 8, 12, 12.7].filter(isRed)).toEqual([]);
  expect([13.4, 15, 30, 58, 59.6].filter(isRed)).toHaveLength(5);
  expect([60.4, 62].filter(isRed)).toEqual([]);
});

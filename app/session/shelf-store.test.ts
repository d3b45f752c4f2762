import { createPinia, setActivePinia } from 'pinia';
import { readArt, type ReadArt } from '../../core/art/index.ts';
import { expectOk } from '../../core/base/index.ts';
import { createJob, writePeel, type Job } from '../../core/job/index.ts';
import { encodePngImage } from '../../core/raster/index.ts';
import { pieceSize } from '../../core/piece/index.ts';
import { composedPicture } from '../../core/testing/composed.ts';
import { disc, drawn } from '../../core/testing/drawn.ts';
import { nodePlatform } from '../../core/testing/node-platform.ts';
import { answerCallsHere, openElsewhere } from '../testing/page-globals.ts';

await answerCallsHere();
const { useShelf } = await import('./shelf-store.ts');
const { useMessages } = await import('../ui/messages-store.ts');
const { findJob, keepJob } = await import('../storage/index.ts');

let number = 0;
/** A shelf with a job of that name, and others that earlier tests have left. */
async function shelfWith(name: string): Promise<{ shelf: ReturnType<typeof useShelf>; job: Job }> {
  setActivePinia(createPinia());
  const job = { ...createJob('lid', { id: `shelf-${++number}`, today: '2026-04-18' }), name };
  await keepJob(job, number);
  const shelf = useShelf();
  await shelf.refresh();
  return { shelf, job };
}
const names = (shelf: ReturnType<typeof useShelf>): string[] =>
  shelf.jobs.map(({ job }) => job.name);
const said = (): string => useMessages().shown?.text ?? '';

async function picture(name: string, side: number): Promise<ReadArt> {
  const image = drawn(
    side,
    side,
    [{ region: disc(side / 2, side / 2, side * 0.3), color: [60, 120, 70] }],
    () => [250, 249, 246],
  );
  return expectOk(await readArt(nodePlatform, encodePngImage(image, 254), `${name}.png`));
}

test('a job is found by a part of its name, whatever its case', async () => {
  const { shelf } = await shelfWith('Rowan jelly');
  shelf.query = ' JELLY ';
  expect(shelf.found.map(({ job }) => job.name)).toEqual(['Rowan jelly']);
  shelf.query = 'nothing like it';
  expect(shelf.found).toEqual([]);
});

test('a name is trimmed and cut to what a job takes; an empty one changes nothing', async () => {
  const { shelf, job } = await shelfWith('Damson');
  await shelf.rename(job, `  ${'Damson cheese '.repeat(20)}`);
  const renamed = names(shelf).find((name) => name.startsWith('Damson cheese'));
  expect(renamed?.length).toBe(120);
  await shelf.rename({ ...job, name: renamed ?? '' }, '   ');
  expect(names(shelf)).toContain(renamed);
});

test('a copy has a name and an id of its own', async () => {
  const { shelf, job } = await shelfWith('Quince');
  await shelf.duplicate(job);
  const copy = shelf.jobs.find((one) => one.job.name.startsWith('Quince') && one.job.id !== job.id);
  expect(copy?.job.name).toBe('Quince, copy');
  expect(said()).toContain('Quince, copy');
});

test('what is deleted can be put back by the message about it', async () => {
  const { shelf, job } = await shelfWith('Medlar');
  await shelf.remove(job);
  expect(names(shelf)).not.toContain('Medlar');
  useMessages().shown?.action?.run();
  for (let waited = 0; !names(shelf).includes('Medlar') && waited < 100; waited++)
    await new Promise((go) => setTimeout(go, 10));
  expect(names(shelf)).toContain('Medlar');
});

test('a job that another tab has open is neither renamed nor deleted, and that is said', async () => {
  const { shelf, job } = await shelfWith('Sloe');
  openElsewhere.add(job.id);
  await shelf.rename(job, 'Blackthorn');
  expect(said()).toContain('Sloe');
  await shelf.remove(job);
  expect(names(shelf)).toContain('Sloe');
  openElsewhere.delete(job.id);
});

test('a file of a job that is here already comes in beside it; a broken one is told', async () => {
  const { shelf, job } = await shelfWith('Elder');
  const bytes = writePeel({ job, art: new Map() });
  await shelf.take([new File([bytes.slice()], 'elder.peel')]);
  expect(names(shelf).filter((name) => name === 'Elder')).toHaveLength(2);
  await shelf.take([new File([bytes.slice(0, 80)], 'torn.peel')]);
  expect(said()).toContain('torn.peel');
  expect(names(shelf).filter((name) => name === 'Elder')).toHaveLength(2);
});

test('one picture becomes a sticker of its name, several a sheet that waits to be nested', async () => {
  const { shelf } = await shelfWith('Pear');
  const [leaf, bud] = [await picture('leaf', 300), await picture('bud', 200)];
  const one = await shelf.createFromArt([leaf]);
  expect([one?.name, one?.pieces.length, one?.plan.arrangement]).toEqual(['leaf', 1, 'step']);
  // A disc of 0.6 of 30 mm with a rim of 2 mm around it.
  expect(one && pieceSize(one.pieces[0] as never).width).toBeCloseTo(22, 0);

  const sheet = await shelf.createFromArt([leaf, bud]);
  expect([sheet?.name, sheet?.pieces.map(({ name }) => name)]).toEqual([
    '2 stickers',
    ['leaf', 'bud'],
  ]);
  expect([sheet?.plan.arrangement, sheet?.plan.nested]).toEqual(['nest', undefined]);
  expect(Object.values(sheet?.plan.wanted ?? {})).toEqual([1, 1]);
  const kept = await findJob(sheet?.id ?? '');
  expect(kept?.ok && kept.value.job).toEqual(sheet);
  expect(await shelf.createFromArt([])).toBeUndefined();
});

test('a page whose drawings are not found yet becomes the same stickers as one that was waited for', async () => {
  const { shelf } = await shelfWith('Hop');
  const discs = [40, 120, 200, 280].flatMap((x) =>
    [40, 120].map((y) => ({ region: disc(x, y, 24), color: [60, 120, 70] as const })),
  );
  const page = drawn(320, 160, discs, () => [250, 249, 246]);
  const read = expectOk(await readArt(nodePlatform, encodePngImage(page, 254), 'page.png'));
  const job = await shelf.createFromArt([read]);
  expect([job?.name, job?.plan.arrangement]).toEqual(['8 stickers', 'nest']);
  expect(job?.pieces.map(({ name }) => name)).toEqual(
    Array.from({ length: 8 }, (_, at) => `page ${at + 1}`),
  );
  // The page itself is no part of the job.
  expect(Object.keys(job?.art ?? {})).not.toContain(read.art.id);
  expect(await findJob(job?.id ?? '')).toMatchObject({ ok: true });
});

test('what has no outline gets the shape that was chosen', async () => {
  const { shelf } = await shelfWith('Fig');
  const { image } = composedPicture(300, 200, 4);
  const read = expectOk(await readArt(nodePlatform, encodePngImage(image, 254), 'pet.png'));
  const made = await shelf.createFromArt([read], { cuts: new Map(), shape: 'circle' });
  expect(made?.pieces[0]?.edge).toMatchObject({ kind: 'circle', diameter: 20 });
  const rounded = await shelf.createFromArt([read], { cuts: new Map(), shape: 'rounded' });
  expect(rounded?.pieces[0]?.edge).toMatchObject({
    ...{ kind: 'rectangle', width: expect.closeTo(30, 6), height: expect.closeTo(20, 6) },
  });
});

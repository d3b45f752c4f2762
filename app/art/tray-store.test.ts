import { zipSync } from 'fflate';
import { createPinia, setActivePinia } from 'pinia';
import type { ReadArt } from '../../core/art/index.ts';
import { encodePngImage, type RgbaImage } from '../../core/raster/index.ts';
import { composedPicture } from '../../core/testing/composed.ts';
import { disc, drawn } from '../../core/testing/drawn.ts';
import type { StickerChoices } from '../session/stickers.ts';
import { answerCallsHere } from '../testing/page-globals.ts';

await answerCallsHere();
const { artOf, useTray } = await import('./tray-store.ts');
const { allArt } = await import('../storage/index.ts');
const { useMessages } = await import('../ui/messages-store.ts');

const file = (name: string, bytes: Uint8Array): File => new File([bytes.slice()], name);
const png = (name: string, image: RgbaImage): File => file(name, encodePngImage(image, 254));
const PAPER = (): readonly [number, number, number] => [236, 234, 230];
const COLORS = [
  [200, 30, 30],
  [30, 30, 200],
  [30, 160, 60],
  [230, 200, 40],
] as const;
/** A disc on paper; each is of another colour, and other art. */
const dot = (at: number): RgbaImage =>
  drawn(120, 120, [{ region: disc(60, 60, 44), color: COLORS[at] ?? COLORS[0] }], PAPER);
/** Eight discs on a page. */
const page = drawn(
  320,
  160,
  [40, 120, 200, 280].flatMap((x, at) =>
    [40, 120].map((y) => ({ region: disc(x, y, 20 + at * 3), color: [60, 120, 70] as const })),
  ),
  PAPER,
);

interface Given {
  readonly reads: readonly ReadArt[];
  readonly choices: StickerChoices | undefined;
}

function opened() {
  setActivePinia(createPinia());
  const tray = useTray();
  const given: Given[] = [];
  const piece = (reads: readonly ReadArt[]): void => void given.push({ reads, choices: undefined });
  const stickers = (reads: readonly ReadArt[], choices: StickerChoices): void =>
    void given.push({ reads, choices });
  const names = (): string[] => tray.groups.map((group) => artOf(group).art.name);
  return { tray, given, names, piece, stickers };
}

/** Waits until something holds. */
async function until(holds: () => boolean): Promise<void> {
  for (let waited = 0; !holds() && waited < 400; waited++)
    await new Promise((go) => setTimeout(go, 10));
  expect(holds()).toBe(true);
}

test('one picture goes straight on, and is kept in the drawer', async () => {
  const { tray, given, piece } = opened();
  await tray.take([png('leaf.png', dot(0))], { piece });
  await until(() => given.length === 1);
  expect(tray.open).toBe(false);
  expect(given[0]?.reads.map(({ art }) => art.name)).toEqual(['leaf']);
  expect((await allArt()).map(({ art }) => art.name)).toContain('leaf');
});

test('several are shown with what was refused, and only the wanted ones are handed on', async () => {
  const { tray, given, names, piece } = opened();
  const broken = file('broken.png', encodePngImage(dot(0), 254).slice(0, 300));
  await tray.take([png('a.png', dot(0)), broken, png('b.png', dot(2))], { piece });
  expect([tray.open, names()]).toEqual([true, ['a', 'b']]);
  expect(tray.refused.map(({ path }) => path)).toEqual(['broken.png']);
  tray.set(0, { wanted: false });
  tray.finish();
  await until(() => given.length === 1);
  expect(given[0]?.reads.map(({ art }) => art.name)).toEqual(['b']);
  expect([tray.open, tray.groups]).toEqual([false, []]);
});

test('a file alone that cannot be read is told in a sentence, and nothing opens', async () => {
  const { tray, given, piece } = opened();
  await tray.take([file('notes.png', new TextEncoder().encode('no picture'))], { piece });
  expect(tray.open).toBe(false);
  expect(given).toEqual([]);
  expect(useMessages().shown).toMatchObject({ kind: 'problem' });
  expect(useMessages().shown?.text).toContain('notes.png');
});

test('the same art in two files is taken once, as the one that is picked', async () => {
  const { tray, given, piece } = opened();
  const twice = [png('small.png', dot(1)), png('again.png', dot(1)), png('else.png', dot(3))];
  await tray.take(twice, { piece });
  expect(tray.groups.map(({ items }) => items.length)).toEqual([2, 1]);
  tray.set(0, { pick: 1 });
  tray.finish();
  await until(() => given.length === 1);
  expect(given[0]?.reads.map(({ art }) => art.name)).toEqual(['again', 'else']);
});

test('up to three stand on the piece unless they are to be stickers; more are stickers', async () => {
  const { tray, given, piece, stickers } = opened();
  const some = [0, 1, 2, 3].map((at) => png(`dot ${at}.png`, dot(at)));
  await tray.take(some.slice(0, 3), { piece, stickers });
  expect([tray.purposes, tray.purpose]).toEqual([['piece', 'stickers'], 'piece']);
  tray.finish();
  await until(() => given.length === 1);
  expect(given[0]?.choices).toBeUndefined();

  await tray.take(some, { piece, stickers });
  expect(tray.purpose).toBe('stickers');
  await until(() => tray.cuts.size === 4);
  expect([...tray.cuts.values()].map(({ way }) => way)).toEqual(Array(4).fill('cleared'));
  tray.finish();
  await until(() => given.length === 2);
  expect(given[1]?.choices?.cuts.size).toBe(4);
});

test('a page of drawings is shown as its drawings, and as one where it is to stay whole', async () => {
  const { tray, names, stickers } = opened();
  await tray.take([png('page.png', page), png('dot.png', dot(0))], { stickers });
  await until(() => tray.groups.length === 9);
  expect(names()).toEqual([...Array.from({ length: 8 }, (_, at) => `page ${at + 1}`), 'dot']);
  expect(tray.cuts.get(artOf(tray.groups[0] as never).art.id)?.way).toBe('outline');

  const { page: whole } = tray.groups[0] ?? {};
  if (!whole) throw new Error('not of a page');
  tray.keepWhole(whole);
  expect(names()).toEqual(['page', 'dot']);
  expect(tray.canSplit(whole)).toBe(true);
  tray.showDrawings(artOf(whole).art.id);
  expect(names()).toHaveLength(9);
  expect(tray.canSplit(tray.groups[0] as never)).toBe(false);
});

test('a photograph waits to be freed; what has no outline asks for its shape', async () => {
  const { tray, given, stickers } = opened();
  await tray.take([png('pet.png', composedPicture(300, 200, 4).image)], { stickers });
  await until(() => tray.open);
  expect(tray.hasBoxes).toBe(true);
  tray.shape = 'circle';
  tray.finish();
  await until(() => given.length === 1);
  expect(given[0]?.choices?.shape).toBe('circle');
});

test('what was made of a picture stands in its place, and knows where it is from', async () => {
  const { tray, stickers } = opened();
  await tray.take([png('a.png', dot(0)), png('b.png', dot(1))], { stickers });
  const before = artOf(tray.groups[0] as never).art;
  const made = { bytes: encodePngImage(dot(3), 254), leftOut: [] };
  await tray.replace(before, { ...made, art: { ...before, id: 'f'.repeat(64) } });
  expect(artOf(tray.groups[0] as never).art.id).toBe('f'.repeat(64));
  expect(tray.cuts.get('f'.repeat(64))?.from).toEqual(before);
});

test('a ZIP gives its pictures one by one; closing forgets them', async () => {
  const { tray, given, names, piece } = opened();
  const zip = zipSync({
    'a.png': encodePngImage(dot(0), 254),
    'b.png': encodePngImage(dot(2), 254),
  });
  await tray.take([file('both.zip', zip)], { piece });
  expect(names()).toEqual(['a', 'b']);
  tray.setAll(false);
  expect(tray.wanted).toEqual([]);
  tray.close();
  expect([tray.open, tray.groups, given]).toEqual([false, [], []]);
});

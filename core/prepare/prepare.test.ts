import { readArt, USUAL_CLEARING, PLAIN_PIXELS, type Art } from '../art/index.ts';
import { contentHash, expectOk } from '../base/index.ts';
import { encodePngImage } from '../raster/index.ts';
import { block, disc, drawn } from '../testing/drawn.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { Preparer, type SplitRequest } from './index.ts';

const kept = new Map<string, Uint8Array>();
const preparer = new Preparer(nodePlatform, (id) => Promise.resolve(kept.get(id)));

async function keep(bytes: Uint8Array, name: string): Promise<Art> {
  const read = expectOk(await readArt(nodePlatform, bytes, name));
  kept.set(read.art.id, read.bytes);
  return read.art;
}

const request = (art: Art): SplitRequest => ({
  art,
  dpi: 254,
  clear: USUAL_CLEARING,
  gap: 0.5,
  least: 1,
  cuts: [],
});

test('a preview is small, and its brushes are as large on it as on the picture', async () => {
  const image = drawn(800, 400, [
    { region: block(400, 200, { width: 780, height: 380 }), color: [9, 99, 9] },
  ]);
  const art = await keep(encodePngImage(image, 300), 'block.png');
  const stroke = {
    mode: 'erase' as const,
    radius: 100,
    points: [[400, 200]] as [number, number][],
  };
  const shown = expectOk(await preparer.preview(art, { ...PLAIN_PIXELS, strokes: [stroke] }, 200));
  expect([shown.image.width, shown.image.height, shown.scale]).toEqual([200, 100, 4]);
  const alpha = (x: number, y: number): number => shown.image.data[(y * 200 + x) * 4 + 3] as number;
  // A hole of 25 pixels about the middle of a picture that is four times smaller.
  expect([alpha(100, 50), alpha(78, 50), alpha(70, 50)]).toEqual([0, 0, 255]);
});

test('a vector page is drawn and split, and its parts know where they stood in mm', async () => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="60mm" viewBox="0 0 100 60">
    <circle cx="20" cy="30" r="10" fill="#3f7f4f"/><rect x="60" y="20" width="20" height="20" fill="#f2a65a"/></svg>`;
  const art = await keep(new TextEncoder().encode(svg), 'two.svg');
  const split = expectOk(await preparer.split(request(art)));
  expect([split.width, split.height, split.perMm]).toEqual([1000, 600, 10]);
  expect(split.parts).toHaveLength(2);
  expect(Object.values(split.outlines).every((data) => data.startsWith('M'))).toBe(true);
  const groups = split.parts.map(({ patches }) => patches);
  const parts = expectOk(await preparer.parts(request(art), groups, ['Dot', 'Square']));
  expect(parts.map(({ read, x, y }) => [read.art.name, Math.round(x), Math.round(y)])).toEqual([
    ['Dot', 10, 20],
    ['Square', 60, 20],
  ]);
  const traced = expectOk(await preparer.trace(art, 0.02));
  expect(traced.area).toBeCloseTo(Math.PI * 100 + 400, 0);
});

test('a page on paper is cleared before it is split, and a lost file is said', async () => {
  const page = drawn(300, 200, [{ region: disc(80, 100, 50), color: [200, 60, 50] }], () => [
    240, 238, 232,
  ]);
  const art = await keep(encodePngImage(page, 254), 'page.png');
  expect(expectOk(await preparer.split(request(art))).parts).toMatchObject([
    { left: 30, right: 130 },
  ]);
  const lost = await preparer.trace({ ...art, id: 'f'.repeat(64) }, 0.02);
  expect(!lost.ok && lost.problem.code).toBe('art/gone');
});

test('a drawing that shows more today is offered again; one that shows the same is not', async () => {
  const encode = (body: string): Uint8Array =>
    new TextEncoder().encode(
      `<svg xmlns="http://www.w3.org/2000/svg" width="20mm" height="20mm" viewBox="0 0 20 20">${body}</svg>`,
    );
  const stored = (bytes: Uint8Array): Art => {
    const id = contentHash(bytes);
    kept.set(id, bytes);
    return { kind: 'vector', id, name: 'thyme', tags: [], width: 20, height: 20 };
  };
  const plain = stored(encode('<rect width="9" height="9"/>'));
  expect(expectOk(await preparer.readAgain(plain))).toBeUndefined();
  const words = stored(
    encode('<rect width="9" height="9"/><text y="18" font-size="9">Thyme</text>'),
  );
  const again = expectOk(await preparer.readAgain(words));
  expect(again?.art).toMatchObject({ kind: 'vector', width: 20, height: 20 });
  expect(again?.art.id).not.toBe(words.id);
  kept.set(again?.art.id ?? '', again?.bytes ?? new Uint8Array());
  expect(expectOk(await preparer.readAgain(again?.art ?? words))).toBeUndefined();
});

import { deflateSync } from 'node:zlib';
import { compress } from 'woff2-encoder';
import { expectOk } from '../base/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { asCollection } from '../testing/collection.ts';
import { squareCff2, squareFont } from '../testing/square-font.ts';
import {
  facesInFile,
  findFace,
  isCollection,
  loadTypeface,
  ownFamilies,
  readTypeface,
  typefaceFromVersion12,
  type OwnTypeface,
  type Typeface,
} from './index.ts';

const ttf = await nodePlatform.asset('caveat-bold.ttf');

/** The place of a table in a font, by its directory. */
function placeOf(font: Uint8Array, tag: string): number {
  const view = new DataView(font.buffer, font.byteOffset);
  for (let at = 12; at < 12 + 16 * view.getUint16(4); at += 16)
    if (String.fromCharCode(...font.subarray(at, at + 4)) === tag) return view.getUint32(at + 8);
  throw new Error(`no ${tag}`);
}

/** A font whose maker allows other things. */
function permitted(fsType: number): Uint8Array {
  const font = ttf.slice();
  new DataView(font.buffer).setUint16(placeOf(font, 'OS/2') + 8, fsType);
  return font;
}

/** The same font in the first web container, as W3C WOFF 1.0 has it. */
function asWoff(font: Uint8Array): Uint8Array {
  const view = new DataView(font.buffer, font.byteOffset, font.byteLength);
  const count = view.getUint16(4);
  const tables = Array.from({ length: count }, (_, index) => {
    const at = 12 + index * 16;
    const [offset, length] = [view.getUint32(at + 8), view.getUint32(at + 12)];
    const plain = font.subarray(offset, offset + length);
    const packed = deflateSync(plain);
    return { at, length, body: packed.length < length ? new Uint8Array(packed) : plain };
  });
  const size = tables.reduce((sum, { body }) => sum + ((body.length + 3) & ~3), 44 + 20 * count);
  const made = new Uint8Array(size);
  const to = new DataView(made.buffer);
  made.set(new TextEncoder().encode('wOFF'));
  to.setUint32(4, view.getUint32(0));
  to.setUint32(8, size);
  to.setUint16(12, count);
  let end = 44 + 20 * count;
  for (const [index, { at, length, body }] of tables.entries()) {
    const entry = 44 + 20 * index;
    made.set(font.subarray(at, at + 4), entry);
    [end, body.length, length, view.getUint32(at + 4)].forEach((value, field) =>
      to.setUint32(entry + 4 + 4 * field, value),
    );
    made.set(body, end);
    end += (body.length + 3) & ~3;
  }
  return made;
}

/** Outlines, boxes and advances of the first glyphs, to compare. */
const drawn = (face: Typeface, count: number): string =>
  Array.from({ length: count }, (_, glyph) =>
    JSON.stringify([face.outline(glyph), face.box(glyph), face.advance(glyph)]),
  ).join('\n');

test('TTF, WOFF and WOFF2 of one typeface give the same letters, its family and its cut', async () => {
  const files = [ttf, asWoff(ttf), await compress(ttf)];
  const read = await Promise.all(files.map((file, at) => readTypeface(file, `file-${at}`)));
  const plain = loadTypeface('plain', ttf);
  for (const one of read) {
    const { typeface, bytes } = expectOk(one);
    expect(typeface).toMatchObject({
      family: 'Caveat',
      weight: 700,
      italic: false,
      embedding: 'edit',
    });
    const loaded = loadTypeface('own', bytes);
    expect(loaded.shape('Fig & Fen')).toEqual(plain.shape('Fig & Fen'));
    expect(drawn(loaded, 400)).toBe(drawn(plain, 400));
  }
});

test.each(['noto-sans-devanagari-regular', 'amatic-sc-regular', 'unifrakturcook-regular'])(
  '%s comes out of WOFF2 as it went in: composite glyphs, marks, metrics',
  async (name) => {
    const font = await nodePlatform.asset(`${name}.ttf`);
    const packed = await compress(font);
    const own = loadTypeface('own', expectOk(await readTypeface(packed, name)).bytes);
    expect(drawn(own, 1200)).toBe(drawn(loadTypeface('plain', font), 1200));
  },
);

test('an OpenType file with PostScript outlines is read', async () => {
  const { typeface, bytes } = expectOk(await readTypeface(squareFont(), 'square.otf'));
  expect(typeface.family).toBe('Square Fen');
  const loaded = loadTypeface(typeface.id, bytes);
  const [letter] = loaded.shape('A');
  expect(letter).toMatchObject({ id: 1, advance: 0.7 });
  expect(loaded.box(1)).toEqual({ left: 0.1, top: -0.5, right: 0.6, bottom: expect.closeTo(0) });
});

test.each([
  [0, 'edit', false],
  [4, 'print', false],
  [8, 'edit', false],
  [4 | 8, 'edit', false],
  [0x104, 'print', true],
])('permission %i: files to %s, only whole: %s', async (fsType, embedding, wholeOnly) => {
  const { typeface, bytes } = expectOk(await readTypeface(permitted(fsType), 'a.ttf'));
  expect(typeface.embedding).toBe(embedding);
  expect(loadTypeface('a', bytes).metadata.wholeOnly).toBe(wholeOnly);
});

test.each([2, 0x200, 0x204])(
  'permission %i keeps a typeface out, in a sentence',
  async (fsType) => {
    const read = await readTypeface(permitted(fsType), 'a.ttf');
    expect(read).toMatchObject({
      ok: false,
      problem: { code: 'type/not-embeddable', values: { family: 'Caveat' } },
    });
  },
);

test('what is no typeface, a collection, or damaged is refused with what to do', async () => {
  const codeOf = async (bytes: Uint8Array): Promise<string> => {
    const read = await readTypeface(bytes, 'x.ttf');
    return read.ok ? 'good' : read.problem.code;
  };
  const text = (content: string): Uint8Array => new TextEncoder().encode(content);
  const woff2 = await compress(ttf);
  const lying = woff2.slice();
  new DataView(lying.buffer).setUint32(16, 0xffffffff);
  expect(await codeOf(text('not a typeface at all'))).toBe('type/unknown-kind');
  expect(await codeOf(new Uint8Array())).toBe('type/unknown-kind');
  expect(await codeOf(text('ttcf and more'))).toBe('type/broken');
  expect(await codeOf(ttf.slice(0, 300))).toBe('type/broken');
  expect(await codeOf(asWoff(ttf).slice(0, 900))).toBe('type/broken');
  expect(await codeOf(woff2.slice(0, 4000))).toBe('type/broken');
  expect(await codeOf(lying)).toBe('type/broken');
  expect(await codeOf(text('wOF2'))).toBe('type/broken');
});

test('a file that is too large is refused by its size', async () => {
  const read = await readTypeface(new Uint8Array(41 * 1024 * 1024), 'vast.ttf');
  expect(read).toMatchObject({
    ok: false,
    problem: { code: 'type/too-large', values: { megabytes: 41, most: 40 } },
  });
});

test('a collection tells its typefaces, and each comes out as it went in', async () => {
  const fonts = [ttf, await nodePlatform.asset('amatic-sc-regular.ttf')];
  const collection = asCollection(fonts);
  expect(isCollection(collection)).toBe(true);
  expect(isCollection(ttf)).toBe(false);
  expect(expectOk(facesInFile(collection, 'two.ttc'))).toEqual([
    { number: 0, family: 'Caveat', weight: 700, width: 100, italic: false },
    { number: 1, family: 'Amatic SC', weight: 400, width: 100, italic: false },
  ]);
  for (const [number, font] of fonts.entries()) {
    const { bytes } = expectOk(await readTypeface(collection, 'two.ttc', number));
    expect(drawn(loadTypeface('own', bytes), 200)).toBe(drawn(loadTypeface('plain', font), 200));
  }
  const cut = collection.slice(0, collection.length / 2);
  expect(await readTypeface(cut, 'half.ttc', 1)).toMatchObject({
    problem: { code: 'type/broken' },
  });
  expect(await readTypeface(collection, 'two.ttc', 2)).toMatchObject({
    problem: { code: 'type/broken' },
  });
  expect(facesInFile(cut.slice(0, 30), 'x.ttc')).toMatchObject({
    problem: { code: 'type/broken' },
  });
});

const cut = (id: string, weight: number, changes: Partial<OwnTypeface> = {}): OwnTypeface => ({
  ...{ id, family: 'Fen', weight, width: 100, italic: false, embedding: 'edit' },
  ...changes,
});

test('a family of eighteen files has eighteen cuts, thin to black, and a second file replaces its like', () => {
  const weights = [100, 200, 300, 400, 500, 600, 700, 800, 900];
  const own = weights.flatMap((weight) => [
    cut(`u${weight}`, weight),
    cut(`i${weight}`, weight, { italic: true }),
  ]);
  const shuffled = own.toSorted((one, other) => (one.id.slice(1) + one.id).localeCompare(other.id));
  const [family, ...others] = ownFamilies(shuffled);
  expect(others).toEqual([]);
  expect(family?.cuts.map(({ id }) => id)).toEqual(
    weights.flatMap((one) => [`u${one}`, `i${one}`]),
  );
  const [again] = ownFamilies([...own, cut('new', 300)]);
  expect(again?.cuts).toHaveLength(18);
  expect(findFace('new', [...own, cut('new', 300)])).toMatchObject({ weight: 300 });
  expect(findFace('u300', [...own, cut('new', 300)])).toMatchObject({ weight: 300 });
  expect(findFace('figtree-regular', own)?.family.name).toBe('Figtree');
  expect(findFace('gone', own)).toBeUndefined();
});

test('what was noted of four styles is read as cuts', () => {
  const old = (style: string) => ({ id: 'a', family: 'Fen', style, embedding: 'print' });
  const now = { id: 'a', family: 'Fen', embedding: 'print', width: 100 };
  expect(typefaceFromVersion12(old('regular'))).toEqual({ ...now, weight: 400, italic: false });
  expect(typefaceFromVersion12(old('bold-italic'))).toEqual({ ...now, weight: 700, italic: true });
  const kept = cut('a', 300);
  expect(typefaceFromVersion12(kept)).toBe(kept);
  expect(typefaceFromVersion12('no typeface')).toBe('no typeface');
});

test('outlines of a kind that files to print cannot hold are read and drawn, and that is known', async () => {
  const { typeface, bytes } = expectOk(await readTypeface(squareCff2(), 'square.otf'));
  expect(typeface.outlinesOnly).toBe(true);
  expect(loadTypeface('own', bytes).box(1)).toEqual(loadTypeface('cff', squareFont()).box(1));
});

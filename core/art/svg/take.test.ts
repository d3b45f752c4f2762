import { strToU8 } from 'fflate';
import { dataAddress, expectOk, findDataBytes } from '../../base/index.ts';
import { findBounds, walkDrawing, type DrawingNode, type PathNode } from '../../drawing/index.ts';
import { encodePngImage, pictureSize } from '../../raster/index.ts';
import { nodePlatform } from '../../testing/node-platform.ts';
import { squareFont } from '../../testing/square-font.ts';
import { constructFile, SVG_CONSTRUCTS } from '../../testing/svg-constructs.ts';
import { readArt, vectorNodes, type ReadArt } from '../index.ts';
import { isDrawnVector, writeVector } from './kept.ts';

const read = (svg: string | Uint8Array): ReturnType<typeof readArt> =>
  readArt(nodePlatform, typeof svg === 'string' ? strToU8(svg) : svg, 'thyme.svg');
const taken = async (svg: string | Uint8Array): Promise<ReadArt> => expectOk(await read(svg));
const problemOf = async (svg: string): Promise<unknown> => {
  const result = await read(svg);
  return result.ok ? undefined : result.problem;
};

function nodesOf({ bytes }: ReadArt): DrawingNode[] {
  const found: DrawingNode[] = [];
  walkDrawing({ nodes: vectorNodes(bytes), symbols: {} }, (node) => found.push(node));
  return found;
}
const pathsOf = (art: ReadArt): PathNode[] => nodesOf(art).filter((node) => node.kind === 'path');

const NUMBERS = /-?\d+(\.\d+)?/g;

const svg = (body: string, head = 'width="20mm" height="10mm" viewBox="0 0 20 10"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`;

test('a path lands at its place in mm', async () => {
  const [path] = pathsOf(
    await taken(svg('<g transform="translate(2 1)"><path d="M0 0h4v3z"/></g>')),
  );
  expect(path?.path.map(([letter]) => letter).join('')).toBe('MLLZ');
  const numbers = path?.path.flatMap(([, ...values]) => values as number[]) ?? [];
  [2, 1, 6, 1, 6, 4].forEach((value, at) => expect(numbers[at]).toBeCloseTo(value, 3));
});

test.each(Object.keys(SVG_CONSTRUCTS))(
  '%s is kept so that it is read as it was written',
  async (name) => {
    const { art, bytes } = await taken(constructFile(SVG_CONSTRUCTS[name] as string));
    expect(isDrawnVector(bytes)).toBe(true);
    const size = art.kind === 'vector' ? art : { width: 0, height: 0 };
    // Tiles take in what reaches into them from their neighbours, and pictures of drawings their places:
    // from then on nothing changes any more.
    const once = writeVector(vectorNodes(bytes), size);
    const third = writeVector(vectorNodes(once), size);
    const texts = [bytes, once, third].map((kept) => new TextDecoder().decode(kept));
    const [was = '', is = '', stays = ''] = texts;
    expect(stays.replace(NUMBERS, '0')).toBe(is.replace(NUMBERS, '0'));
    if (was.includes('<pattern') || name === 'drawing as a picture') return;
    expect(is.replace(NUMBERS, '0')).toBe(was.replace(NUMBERS, '0'));
    const [before, after] = [was, is].map((text) => (text.match(NUMBERS) ?? []).map(Number));
    before?.forEach((value, at) =>
      expect(Math.abs(value - (after?.[at] ?? NaN))).toBeLessThan(2e-4),
    );
  },
);

test('what was kept before there was the mark is read as it was then', () => {
  const old = strToU8(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><rect width="4" height="4" fill="url(#none)"/><rect width="5" height="5"/></svg>',
  );
  expect(isDrawnVector(old)).toBe(false);
  const paths: DrawingNode[] = [];
  walkDrawing({ nodes: vectorNodes(old), symbols: {} }, (node) => {
    if (node.kind === 'path') paths.push(node);
  });
  expect(paths).toHaveLength(1);
});

describe('files that other programs would not open', () => {
  const shape = '<rect width="4" height="4" fill="#c0392b"/>';
  test.each<[string, string | Uint8Array]>([
    ['without the namespace', `<svg width="20" height="10">${shape}</svg>`],
    [
      'with names of programs that are declared nowhere',
      svg(`<g inkscape:label="a" sodipodi:x="1"><odd:thing/>${shape}</g>`),
    ],
    [
      'with references that forgot their namespace',
      svg(`<defs>${shape.replace('rect', 'rect id="r"')}</defs><use xlink:href="#r"/>`),
    ],
    [
      'with an old document type',
      `<?xml version="1.0" standalone="no"?><!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.0//EN" "http://www.w3.org/TR/2001/svg10.dtd">${svg(shape)}`,
    ],
    [
      'with entities',
      `<!DOCTYPE svg [<!ENTITY red "#c0392b"><!ENTITY ns "http://www.w3.org/2000/svg">]><svg xmlns="&ns;" width="20" height="10"><rect width="4" height="4" fill="&red;"/></svg>`,
    ],
    ['with a lone ampersand', svg(`<title>Salt & Pepper</title>${shape}`)],
    ['with control characters', svg(`<title>a\u0003b</title>${shape}`)],
    [
      'with a prefix',
      svg(shape)
        .replace(/<(\/?)(svg|rect)/g, '<$1svg:$2')
        .replace('xmlns=', 'xmlns:svg='),
    ],
    [
      'in Latin 1',
      Uint8Array.from(
        `<?xml version="1.0" encoding="ISO-8859-1"?>${svg(`<title>Bärlauch</title>${shape}`)}`,
        (letter) => letter.charCodeAt(0),
      ),
    ],
  ])('%s come in', async (_, file) => {
    const paths = pathsOf(await taken(file));
    expect(paths).toHaveLength(1);
    expect(paths[0]?.fill).toMatchObject({ color: '#c0392b' });
  });
});

describe('files that unfold to too much are refused before they are drawn', () => {
  const tenfold = (make: (level: number) => string): string =>
    Array.from({ length: 10 }, (_, level) => make(level)).join('');
  test.each([
    [
      'uses',
      svg(
        `<defs><rect id="l0" width="1" height="1"/>${tenfold((level) => `<g id="l${level + 1}">${`<use href="#l${level}"/>`.repeat(10)}</g>`)}</defs><use href="#l10"/>`,
      ),
    ],
    [
      'patterns',
      svg(
        `<defs><pattern id="l0" width="1" height="1"><rect width="1" height="1"/></pattern>${tenfold((level) => `<pattern id="l${level + 1}" width="1" height="1">${`<rect width="1" height="1" fill="url(#l${level})"/>`.repeat(10)}</pattern>`)}</defs><rect width="9" height="9" fill="url(#l10)"/>`,
      ),
    ],
    [
      'style sheets',
      svg(
        `<style>${tenfold((level) => `.l${level}{mask:url(#m${level})}`)}</style><defs><mask id="m0"><rect width="1" height="1"/></mask>${tenfold((level) => `<mask id="m${level + 1}">${`<rect class="l${level}" width="1" height="1"/>`.repeat(10)}</mask>`)}</defs><rect width="9" height="9" mask="url(#m10)"/>`,
      ),
    ],
    [
      'markers',
      svg(
        `<marker id="m">${'<rect width="1" height="1"/>'.repeat(50)}</marker><path marker-mid="url(#m)" d="M0 0${'l1 1'.repeat(5000)}"/>`,
      ),
    ],
    ['nesting', svg('<g>'.repeat(5000) + '</g>'.repeat(5000))],
    ['elements', svg('<rect width="1" height="1"/>'.repeat(90_000))],
  ])('%s', async (_, file) => {
    expect(await problemOf(file)).toMatchObject({ code: 'art/too-many-shapes' });
  });

  test('entities', async () => {
    const file = `<!DOCTYPE svg [<!ENTITY a "${'x'.repeat(1000)}">${Array.from({ length: 7 }, (_, at) => `<!ENTITY ${'bcdefgh'[at] ?? ''} "${`&${'abcdefg'[at] ?? ''};`.repeat(10)}">`).join('')}]>${svg('<title>&h;</title>')}`;
    expect(await problemOf(file)).toMatchObject({ code: 'art/entities' });
  });

  test('what refers to itself ends', async () => {
    const file = svg(
      '<g id="a"><rect width="4" height="4"/><use href="#a"/></g><pattern id="p" width="2" height="2"><rect width="1" height="1" fill="url(#p)"/></pattern><rect x="6" width="4" height="4" fill="url(#p)"/><mask id="m" mask="url(#m)"><rect width="9" height="9" fill="#fff"/></mask><circle r="2" mask="url(#m)"/>',
    );
    expect(pathsOf(await taken(file)).length).toBeGreaterThan(0);
  });
});

test('what holds nothing, has no size or is no SVG is refused in its own words', async () => {
  expect(await problemOf(svg(''))).toMatchObject({
    code: 'art/broken',
    values: { kind: 'svg-without-drawing' },
  });
  expect(
    await problemOf(svg('<rect width="1" height="1"/>', 'width="0" height="10"')),
  ).toMatchObject({
    code: 'art/no-size',
  });
  expect(await problemOf(svg('<rect width="1" height="1">'))).toMatchObject({
    code: 'art/broken',
    values: { kind: 'svg' },
  });
});

test('a broken drawing within a drawing is left out and said; the rest is there', async () => {
  const within = (inner: string): string =>
    `<image width="8" height="8" href="${dataAddress('image/svg+xml', strToU8(inner))}"/>`;
  const leaf = svg('<path d="M0 0h9v9z"/>');
  const art = await taken(
    svg(`<rect width="3" height="3"/>${within(leaf)}${within(leaf.replace('</svg>', '<g>'))}`),
  );
  expect(pathsOf(art)).toHaveLength(2);
  expect(art.leftOut).toEqual([{ code: 'pictures', values: { count: 1 } }]);
});

test('words of a typeface that is not here are drawn with the nearest, and it is named', async () => {
  const words = (family: string, more = ''): string =>
    svg(`<text y="8" font-size="6" style="font-family:${family}"${more}>Mint</text>`);
  const one = await taken(words("'Corner Shop Serif', serif"));
  expect(one.notes).toEqual([
    { code: 'typeface-instead', values: { name: 'Corner Shop Serif', instead: 'Fraunces' } },
  ]);
  const shipped = await taken(words('Fraunces'));
  expect(shipped.notes).toBeUndefined();
  expect(pathsOf(one).map(({ path }) => path)).toEqual(pathsOf(shipped).map(({ path }) => path));
  const [plain, bold] = [
    await taken(words('Figtree')),
    await taken(words('Figtree', ' font-weight="bold"')),
  ];
  expect(pathsOf(plain)).not.toEqual(pathsOf(bold));
  expect((await taken(words('monospace'))).notes).toBeUndefined();
});

test('words that name an own typeface are set in it; one that is gone has a stand-in', async () => {
  const words = strToU8(svg('<text y="8" font-size="6" font-family="square fen, serif">A</text>'));
  const own = (bytes: Uint8Array | undefined) => ({
    faces: [{ id: 'square', family: 'Square Fen' }],
    bytes: () => Promise.resolve(bytes),
  });
  const set = expectOk(await readArt(nodePlatform, words, 'a.svg', own(squareFont())));
  expect(set.notes).toBeUndefined();
  const [path] = pathsOf(set);
  // Its A is a square of half an em, a tenth of one to the right.
  const box = findBounds(path ? [path] : []);
  [box?.left, box?.top, box?.right, box?.bottom].forEach((value, at) =>
    expect(value).toBeCloseTo([0.6, 5, 3.6, 8][at] as number, 3),
  );
  const gone = expectOk(await readArt(nodePlatform, words, 'a.svg', own(undefined)));
  expect(gone.notes).toEqual([
    { code: 'typeface-instead', values: { name: 'square fen', instead: 'Fraunces' } },
  ]);
});

test('a filter becomes pixels at 600 dpi, that group alone, and it is said', async () => {
  const art = await taken(
    svg(
      '<filter id="f"><feGaussianBlur stdDeviation=".2"/></filter><rect x="2" y="2" width="6" height="4" filter="url(#f)"/><circle cx="14" cy="5" r="3"/>',
    ),
  );
  expect(art.notes).toEqual([{ code: 'filters-as-pixels', values: {} }]);
  expect(pathsOf(art)).toHaveLength(1);
  const pictures = nodesOf(art).filter((node) => node.kind === 'image');
  expect(pictures).toHaveLength(1);
  const [picture] = pictures;
  if (!picture) return;
  const { width } = pictureSize('png', findDataBytes(picture.art) as Uint8Array);
  // px per mm across the picture's width on the drawing
  expect(width / picture.map[0]).toBeCloseTo(600 / 25.4, 0);
  expect(picture.map[4]).toBeGreaterThan(0.5);
  expect(picture.map[4]).toBeLessThan(2);
});

test('pictures in a file are kept with it; what it only names is told, and nothing is fetched', async () => {
  const data = new Uint8ClampedArray(4 * 3 * 4).fill(200);
  const png = dataAddress('image/png', encodePngImage({ width: 4, height: 3, data }));
  const art = await taken(
    svg(
      `<image width="8" height="8" href="${png}"/><image width="8" height="8" href="https://example.org/a.png"/><image width="8" height="8" href="data:image/png;base64,AAAA"/><foreignObject width="4" height="4"/>`,
    ),
  );
  const pictures = nodesOf(art).filter((node) => node.kind === 'image');
  expect(pictures).toHaveLength(1);
  expect(findDataBytes(pictures[0]?.art ?? '')).toEqual(findDataBytes(png));
  // 4 x 3 in 8 x 8 units of 1 mm, held in the middle
  expect(pictures[0]?.map.map((value) => Math.round(value * 100) / 100)).toEqual([
    8, 0, 0, 6, 0, 1,
  ]);
  expect(art.leftOut).toEqual([
    { code: 'element', values: { name: 'foreignObject' } },
    { code: 'pictures', values: { count: 2 } },
  ]);
});

test('scripts, handlers and what lies beyond the frame do not come in', async () => {
  const art = await taken(
    svg(
      '<script>alert(1)</script><rect width="4" height="4" onclick="alert(2)"/><animate attributeName="x"/><a href="https://example.org"><rect x="15" width="30" height="4"/></a>',
    ),
  );
  const text = new TextDecoder().decode(art.bytes);
  expect(text).not.toMatch(/alert|script|example|animate|onclick/);
  const [frame] = vectorNodes(art.bytes);
  expect(frame).toMatchObject({ kind: 'group' });
  expect(frame?.kind === 'group' && frame.clip?.length).toBe(5);
});

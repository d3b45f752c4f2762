import { encode } from 'fast-png';
import { expectOk } from '../base/index.ts';
import { decodePixels } from '../raster/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { apply } from '../geometry/index.ts';
import { walkDrawing, type PathNode } from '../drawing/index.ts';
import { omissionsText, problemText } from '../../messages/index.ts';
import { sniffFormat } from './header.ts';
import { artSize, orientationMap, parseSvg, readArt, vectorNodes } from './index.ts';

const text = (value: string): Uint8Array => new TextEncoder().encode(value);
const code = async (bytes: Uint8Array, name: string): Promise<string | false> => {
  const read = await readArt(nodePlatform, bytes, name);
  return !read.ok && read.problem.code;
};
const png = (width: number, height: number): Uint8Array =>
  encode({ width, height, channels: 3, data: new Uint8Array(width * height * 3) });

test('a PNG is taken in with its pixels; without a resolution it has 300 dpi', async () => {
  const read = await readArt(nodePlatform, png(600, 300), 'lid photo.png');
  expect(read.ok && read.value.art).toMatchObject({
    kind: 'pixels',
    name: 'lid photo',
    pixelWidth: 600,
    dpiKnown: false,
  });
  expect(read.ok && artSize(read.value.art)).toEqual({ width: 50.8, height: 25.4 });
});

test('nothing, no picture, a cut-off picture and a huge one are each refused in a sentence', async () => {
  expect(await code(new Uint8Array(0), 'a.png')).toBe('art/empty');
  expect(await code(text('Dear all, here are the seeds'), 'b.png')).toBe('art/unknown-kind');
  expect(await code(png(64, 64).slice(0, 60), 'c.png')).toBe('art/broken');
  const huge = png(1, 1);
  new DataView(huge.buffer).setUint32(16, 20_000);
  new DataView(huge.buffer).setUint32(20, 20_000);
  const read = await readArt(nodePlatform, huge, 'd.png');
  expect(!read.ok && problemText(read.problem).what).toContain('20,000 x 20,000');
});

/** A baseline JPEG of 8 x 16 grey pixels, by the tables of ITU T.81, with EXIF orientation 6. */
function jpegTurned(): Uint8Array {
  const segment = (marker: number, ...body: number[]): number[] => [
    0xff,
    marker,
    0,
    body.length + 2,
    ...body,
  ];
  const ascii = (value: string): number[] => [...text(value)];
  const exif = [
    ...ascii('Exif\0\0MM\0*'),
    0,
    0,
    0,
    8,
    0,
    1,
    1,
    0x12,
    0,
    3,
    0,
    0,
    0,
    1,
    0,
    6,
    0,
    0,
    0,
    0,
    0,
    0,
  ];
  return Uint8Array.from([
    0xff,
    0xd8,
    ...segment(0xe0, ...ascii('JFIF\0'), 1, 2, 1, 0, 200, 0, 200, 0, 0),
    ...segment(0xe1, ...exif),
    ...segment(0xdb, 0, ...new Array<number>(64).fill(16)),
    ...segment(0xc0, 8, 0, 16, 0, 8, 1, 1, 0x11, 0),
    ...segment(0xc4, 0x00, 1, ...new Array<number>(15).fill(0), 0),
    ...segment(0xc4, 0x10, 1, ...new Array<number>(15).fill(0), 0),
    ...segment(0xda, 1, 1, 0, 0, 63, 0),
    0b00001111,
    0xff,
    0xd9,
  ]);
}

test('a JPEG is seen as its camera was held, and where it was taken is not kept', async () => {
  const read = await readArt(nodePlatform, jpegTurned(), 'phone.jpg');
  if (!read.ok) throw new Error(read.problem.code);
  expect(read.value.art).toMatchObject({
    orientation: 6,
    pixelWidth: 8,
    pixelHeight: 16,
    dpi: 200,
  });
  expect(artSize(read.value.art)).toEqual({ width: (16 * 25.4) / 200, height: (8 * 25.4) / 200 });
  expect(String.fromCharCode(...read.value.bytes)).not.toContain('Exif');
});

test('orientation 6 turns the stored top left to the seen top right', () => {
  expect(apply(orientationMap(6), { x: 0, y: 0 })).toEqual({ x: 1, y: 0 });
  expect(apply(orientationMap(8), { x: 0, y: 0 })).toEqual({ x: 0, y: 1 });
  expect(apply(orientationMap(3), { x: 0, y: 0 })).toEqual({ x: 1, y: 1 });
});

const paths = (svg: string): PathNode[] => {
  const found: PathNode[] = [];
  walkDrawing({ nodes: vectorNodes(text(svg)), symbols: {} }, (node) => {
    if (node.kind === 'path') found.push(node);
  });
  return found;
};

test('an SVG has its own size in mm and keeps order, style and transforms', async () => {
  const svg = `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="25mm" viewBox="0 0 100 50">
    <g fill="#f00" transform="translate(10 0)"><rect width="10" height="20"/><circle r="5" style="fill:rgb(0,128,0);stroke:blue;stroke-width:2"/></g>
    <path d="M0 0h10v10z" fill="none" stroke="currentColor"/></svg>`;
  const read = await readArt(nodePlatform, text(svg), 'leaf.svg');
  expect(read.ok && read.value.art).toMatchObject({ kind: 'vector', name: 'leaf' });
  expect(read.ok && artSize(read.value.art).width).toBeCloseTo(50, 6);
  const [rect, circle, line] = paths(svg);
  expect(rect).toMatchObject({
    fill: { color: '#ff0000' },
    path: [['M', 10, 0], ['L', 20, 0], ['L', 20, 20], ['L', 10, 20], ['Z']],
  });
  expect(circle).toMatchObject({
    fill: { color: '#008000' },
    stroke: { paint: { color: '#0000ff' }, width: 2 },
  });
  expect(line?.fill).toBeUndefined();
});

test('gradients are laid over the shape that they fill', () => {
  const [filled] = paths(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10">
    <rect width="4" height="8" fill="url(#g)"/>
    <defs><linearGradient id="g"><stop offset="0" stop-color="#fff"/><stop offset="100%" stop-color="#000"/></linearGradient></defs></svg>`);
  expect(filled?.fill).toMatchObject({
    from: { x: 0, y: 0 },
    to: { x: 4, y: 0 },
    stops: [
      { at: 0, color: '#ffffff' },
      { at: 1, color: '#000000' },
    ],
  });
});

test('scripts, embedded pictures, text and hidden parts do not come in, and are named', () => {
  const read = parseSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10" onload="alert(1)"><script>alert(2)</script>
     <image href="https://example.org/x.png"/><text>hi</text><foreignObject><rect width="1" height="1"/></foreignObject>
     <g display="none"><rect width="3" height="3"/></g><rect width="2" height="2"/></svg>`,
    'bad.svg',
  );
  expect(read.ok && omissionsText(read.value.leftOut)).toBe('script, image, text, foreignObject');
  const shapes = read.ok ? JSON.stringify(read.value.nodes) : '';
  expect(shapes).not.toMatch(/alert|example/);
  expect(shapes.match(/"path":\[/g)).toHaveLength(1);
});

test('entities, broken XML and drawings without a size are refused', () => {
  const refused = (svg: string): string | false => {
    const read = parseSvg(svg, 'x.svg');
    return !read.ok && read.problem.code;
  };
  expect(
    refused('<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg viewBox="0 0 1 1"><path d="&a;"/></svg>'),
  ).toBe('art/entities');
  expect(refused('<svg viewBox="0 0 1 1"><g></svg>')).toBe('art/broken');
  expect(refused('<svg><rect width="1" height="1"/></svg>')).toBe('art/no-size');
});

const shapesIn = (body: string): PathNode[] => {
  const read = parseSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="96" height="96">${body}</svg>`,
    'a.svg',
  );
  if (!read.ok) throw new Error(read.problem.code);
  const found: PathNode[] = [];
  walkDrawing({ nodes: read.value.nodes, symbols: {} }, (node) => {
    if (node.kind === 'path') found.push(node);
  });
  return found;
};

test('classes, names and ids of a style sheet colour shapes; an own style goes before them', () => {
  const shapes = shapesIn(`<style>/* leaves */ @import url(http://example.com/x.css);
    .a, .b { fill: #00ff00 } rect { fill: #ff0000; stroke: #000000 } #c { fill: none }</style>
    <rect class="a" width="9" height="9"/><rect width="9" height="9"/>
    <rect id="c" class="b" width="9" height="9"/>
    <circle class="x a" r="4" style="fill:#123456"/>`);
  expect(shapes.map(({ fill }) => fill)).toEqual([
    { kind: 'solid', color: '#00ff00' },
    { kind: 'solid', color: '#ff0000' },
    undefined,
    { kind: 'solid', color: '#123456' },
  ]);
});

test('what a reference inside the file names is drawn where it is used, and no ring of references goes on', () => {
  const shapes =
    shapesIn(`<defs><rect id="r" width="10" height="10"/><g id="loop"><use href="#loop"/></g></defs>
    <use xlink:href="#r" x="20" y="30"/><use href="#loop"/><use href="http://example.com/a.svg#r"/>`);
  expect(shapes).toHaveLength(1);
  expect(shapes[0]?.path[0]).toEqual(['M', 20, 30]);
});

test('a clip path of the file clips the drawing', () => {
  const read = parseSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="96" height="96"><defs><clipPath id="k"><circle cx="5" cy="5" r="5"/></clipPath></defs>
      <g clip-path="url(#k)"><rect width="10" height="10"/></g></svg>`,
    'a.svg',
  );
  const clips: unknown[] = [];
  if (read.ok)
    walkDrawing({ nodes: read.value.nodes, symbols: {} }, (node) => {
      if (node.kind === 'group' && node.clip) clips.push(node.clip[0]);
    });
  expect(clips).toEqual([['M', 10, 5]]);
});

test('every colour name of CSS is known, and hsl(); what is none is told and painted as its parent', () => {
  const shapes = (fills: readonly string[]): string =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><g fill="#123456">${fills.map((fill) => `<rect width="1" height="1" fill="${fill}"/>`).join('')}</g></svg>`;
  const colorsOf = (fills: readonly string[]): { colors: string[]; leftOut: readonly string[] } => {
    const read = expectOk(parseSvg(shapes(fills), 'x.svg'));
    const colors: string[] = [];
    JSON.stringify(read.nodes, (key, value: unknown) => {
      if (key === 'color') colors.push(String(value));
      return value;
    });
    return { colors, leftOut: [omissionsText(read.leftOut)].filter(Boolean) };
  };
  expect(
    colorsOf([
      'rebeccapurple',
      'AliceBlue',
      'darkolivegreen',
      'hsl(120, 100%, 25%)',
      'hsl(330deg 60% 50%)',
    ]),
  ).toEqual({
    colors: ['#663399', '#f0f8ff', '#556b2f', '#008000', '#cc3380'],
    leftOut: [],
  });
  expect(colorsOf(['#0f08', 'rgb(100% 0% 50%)', 'rgb(300, -5, 1e1)']).colors).toEqual([
    '#00ff00',
    '#ff0080',
    '#ff000a',
  ]);
  expect(colorsOf(['mossy', 'constructor'])).toEqual({
    colors: ['#123456', '#123456'],
    leftOut: ['colour “mossy”, colour “constructor”'],
  });
});

test('what an editor keeps for itself is dropped without a word', () => {
  const text =
    '<svg xmlns="http://www.w3.org/2000/svg" xmlns:ed="http://editor.example" width="9" height="9"><ed:view zoom="2"><ed:grid/></ed:view><metadata><x/></metadata><rect width="1" height="1"/><ed:guide/></svg>';
  expect(expectOk(parseSvg(text, 'x.svg')).leftOut).toEqual([]);
});

test('references that bring each other again and again end soon', () => {
  const levels = Array.from(
    { length: 8 },
    (_, at) => `<g id="l${at + 1}">${`<use href="#l${at}"/>`.repeat(12)}</g>`,
  );
  const bomb = `<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><defs><g id="l0"/>${levels.join('')}</defs><use href="#l8"/></svg>`;
  const before = performance.now();
  expect(parseSvg(bomb, 'bomb.svg')).toMatchObject({
    ok: false,
    problem: { code: 'art/too-many-shapes' },
  });
  expect(performance.now() - before).toBeLessThan(60_000);
});

test('a picture that says it has more pixels than can be decoded is refused where it is decoded', async () => {
  const png = encode({ width: 2, height: 2, channels: 3, data: new Uint8Array(12) });
  new DataView(png.buffer, png.byteOffset).setUint32(16, 50_000);
  new DataView(png.buffer, png.byteOffset).setUint32(20, 50_000);
  await expect(decodePixels(nodePlatform, 'png', png)).rejects.toMatchObject({
    problem: { code: 'art/too-large', values: { width: 50_000, height: 50_000, most: 60_000_000 } },
  });
});

test('the kind of a text file is told in a blink, whatever stands before its first element', () => {
  const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
  const before = performance.now();
  expect(sniffFormat(bytes('<!---->'.repeat(60)))).toBeUndefined();
  expect(sniffFormat(bytes('<!-- -->\n'.repeat(5000)))).toBeUndefined();
  expect(performance.now() - before).toBeLessThan(60_000);
  const svg = '<svg xmlns="http://www.w3.org/2000/svg"/>';
  for (const head of [
    '',
    '\uFEFF',
    '<?xml version="1.0"?>\n',
    '<!---->'.repeat(30),
    '<!-- <svg> -->',
    '<!DOCTYPE svg PUBLIC "-//x" "y">',
    '<!DOCTYPE svg [ <!ATTLIST a b CDATA #IMPLIED> ]>\n<!-- x -->',
  ])
    expect(sniffFormat(bytes(head + svg))).toBe('svg');
  expect(sniffFormat(bytes('<html><svg/></html>'))).toBeUndefined();
});

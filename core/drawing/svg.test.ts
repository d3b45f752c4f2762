import { ellipsePath, rectanglePath, translation, type Path } from '../geometry/index.ts';
import {
  cellsOf,
  drawingToSvg,
  pathData,
  solid,
  walkDrawing,
  written,
  type Drawing,
  type Paint,
} from './index.ts';

const SOURCES = {
  typeface: (id: string) =>
    id === 'known'
      ? { outline: (glyph: number): Path => [['M', 0, 0], ['L', glyph, 0], ['L', 0, 1], ['Z']] }
      : undefined,
  imageUrl: (art: string) => (art === 'here' ? 'blob:1?a=1&b=2' : undefined),
  prefix: 'x-',
};

const every: Drawing = {
  width: 100,
  height: 50.5,
  symbols: {
    seal: [{ kind: 'path', path: ellipsePath({ x: 0, y: 0 }, 5, 5), fill: solid('#112233', 0.5) }],
  },
  nodes: [
    { kind: 'use', symbol: 'seal', transform: translation(10, 20) },
    {
      kind: 'group',
      opacity: 0.5,
      clip: rectanglePath({ x: 5, y: 5 }, 10, 10),
      children: [
        { kind: 'image', art: 'here', map: [20, 0, 0, 10, 1, 2] },
        { kind: 'image', art: 'gone', map: [20, 0, 0, 10, 1, 2] },
      ],
    },
    {
      kind: 'glyphs',
      typeface: 'known',
      size: 4,
      text: 'A<B',
      fill: solid('#000000'),
      glyphs: [{ id: 7, x: 1, y: 2, angle: 90, text: 'A' }],
    },
    {
      kind: 'path',
      path: rectanglePath({ x: 0, y: 0 }, 2, 2),
      fill: {
        kind: 'tile',
        width: 3,
        height: 4,
        map: translation(1, 1),
        nodes: [{ kind: 'path', path: [] }],
      },
      stroke: { paint: { kind: 'ink', name: 'Kiss', color: '#0f7c86' }, width: 0.2, dash: [1, 2] },
    },
    {
      kind: 'path',
      path: [],
      fill: {
        kind: 'gradient',
        shape: 'radial',
        from: { x: 0, y: 0 },
        to: { x: 3, y: 4 },
        stops: [{ at: 0, color: '#ffffff' }],
      },
    },
    {
      kind: 'path',
      path: rectanglePath({ x: 0, y: 0 }, 4, 2),
      fill: {
        kind: 'tile',
        once: true,
        width: 1,
        height: 1,
        ground: '#eeeeee',
        map: [2, 0, 0, 2, 0, 0],
        nodes: [{ kind: 'image', art: 'here', map: [1, 0, 0, 1, 0, 0] }],
      },
    },
    {
      kind: 'shadow',
      blur: 0.5,
      color: '#000000',
      opacity: 0.4,
      children: [
        { kind: 'path', path: rectanglePath({ x: 0, y: 0 }, 4, 2), fill: solid('#000000') },
      ],
    },
  ],
};

test('every kind of node and paint is written', () => {
  const svg = drawingToSvg(every, SOURCES);
  expect(svg).toContain('width="100mm" height="50.5mm" viewBox="0 0 100 50.5"');
  expect(svg).toContain('<use href="#x-seal" transform="matrix(1 0 0 1 10 20)"/>');
  expect(svg).toContain('fill-opacity="0.5"');
  expect(svg).toMatch(/<g clip-path="url\(#x-p\d\)" opacity="0.5">/);
  expect(svg).toContain('href="blob:1?a=1&amp;b=2"');
  expect(svg).toContain('aria-label="A&lt;B"');
  // A glyph of 4 mm, turned by a quarter about (1, 2): its 7 em along the line go down.
  expect(svg).toContain('<path d="M0.5 -0.25m0 0l7 0-7 1z" transform="matrix(0 4 -4 0 0 0)"/>');
  expect(svg).toContain('stroke="#0f7c86" stroke-width="0.2" stroke-dasharray="1 2"');
  expect(svg).toMatch(/<radialGradient [^>]*r="5"/);
  expect(svg.match(/<pattern /g)).toHaveLength(1);
  // A fill that is drawn once shows through a hole of its shape, over its ground.
  expect(svg).toMatch(
    /<g clip-path="url\(#x-p\d\)"><rect x="-2" y="-1" width="4" height="2" fill="#eeeeee"\/>/,
  );
  expect(svg).toMatch(/x="-3.5" y="-2.5" width="7" height="5"><feGaussianBlur stdDeviation="0.5"/);
});

test('letters that stand alike are one path, in ems or in mm as their paint needs', () => {
  const glyph = { id: 7, y: 2, angle: 0, text: 'A' };
  const letters = {
    kind: 'glyphs' as const,
    typeface: 'known',
    size: 0.5,
    text: 'AA',
    stroke: { paint: solid('#ff0000'), width: 1 },
    glyphs: [
      { ...glyph, x: 1 },
      { ...glyph, x: 5 },
    ],
  };
  const svg = (fill: Paint): string =>
    drawingToSvg({ width: 9, height: 9, symbols: {}, nodes: [{ ...letters, fill }] }, SOURCES);
  const stroke = (width: number): string => `stroke="#ff0000" stroke-width="${width}"`;
  expect(svg(solid('#000000'))).toContain(
    `<g role="img" aria-label="AA" fill="#000000" ${stroke(2)}><path d="M2 4m0 0l7 0-7 1zM10 4m0 0l7 0-7 1z" transform="matrix(0.5 0 0 0.5 0 0)"/></g>`,
  );
  const tile = { kind: 'tile' as const, width: 2, height: 2, map: translation(0, 0), nodes: [] };
  expect(svg(tile)).toContain('<pattern id="x-p0" patternUnits="userSpaceOnUse" width="2"');
  expect(svg(tile)).toContain(
    `<path d="M1 2L4.5 2L1 2.5ZM5 2L8.5 2L5 2.5Z" fill="url(#x-p0)" ${stroke(1)}/>`,
  );
});

test('rounding of steps does not add up along an outline', () => {
  const third = 1 / 3;
  const steps = Array.from({ length: 900 }, (_, at): Path[number] => ['L', at * third, 0]);
  const svg = drawingToSvg(
    {
      width: 9,
      height: 9,
      symbols: {},
      nodes: every.nodes.filter(({ kind }) => kind === 'glyphs'),
    },
    { ...SOURCES, typeface: () => ({ outline: () => [['M', 0, 0], ...steps, ['Z']] }) },
  );
  const [, data = ''] = /m0 0(l[^"z]*)z/.exec(svg) ?? [];
  const along = data.match(/-?[\d.]+/g)?.reduce((sum, step) => sum + Number(step), 0);
  expect(along).toBeCloseTo(899 / 3, 3);
});

test('a tile is drawn wherever some of it is seen, also by what reaches over from outside', () => {
  const tile = {
    kind: 'tile' as const,
    width: 10,
    height: 10,
    map: translation(0, 0),
    nodes: [{ kind: 'path' as const, path: rectanglePath({ x: 10, y: 5 }, 4, 2) }],
  };
  const columns = (left: number, right: number): number[] =>
    cellsOf(tile, { left, top: 4, right, bottom: 6 }).map(({ column }) => column);
  expect(columns(1, 9)).toEqual([-1, 0]);
  expect(columns(3, 7)).toEqual([]);
  expect(columns(0, 25)).toEqual([-1, 0, 1]);
  expect(cellsOf({ ...tile, once: true }, { left: 0, top: 0, right: 99, bottom: 99 })).toEqual([
    { column: 0, row: 0 },
  ]);
});

test('a walk sees nodes inside groups, tiles and symbols', () => {
  const kinds: string[] = [];
  walkDrawing(every, ({ kind }) => kinds.push(kind));
  expect(kinds.filter((kind) => kind === 'image')).toHaveLength(3);
  expect(kinds.filter((kind) => kind === 'path')).toHaveLength(6);
});

test('numbers are short and never exponents', () => {
  expect([1e-9, -0, 100, 1.5, 0.1 + 0.2].map((value) => written(value))).toEqual([
    '0',
    '0',
    '100',
    '1.5',
    '0.3',
  ]);
  expect(pathData([['M', 0, 0], ['C', 1, 2, 3, 4, 5, 6], ['Z']])).toBe('M0 0C1 2 3 4 5 6Z');
});

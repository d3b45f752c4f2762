import { ellipsePath, rectanglePath, translation } from '../geometry/index.ts';
import {
  cellsOf,
  drawingToSvg,
  pathData,
  solid,
  walkDrawing,
  written,
  type Drawing,
} from './index.ts';

const SOURCES = {
  glyph: (typeface: string, id: number) => (typeface === 'known' ? `M0 0L${id} 0Z` : ''),
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
  expect(svg).toContain('d="M0 0L7 0Z" transform="matrix(0 4 -4 0 1 2)"');
  expect(svg).toContain('stroke="#0f7c86" stroke-width="0.2" stroke-dasharray="1 2"');
  expect(svg).toMatch(/<radialGradient [^>]*r="5"/);
  expect(svg.match(/<pattern /g)).toHaveLength(1);
  // A fill that is drawn once shows through a hole of its shape, over its ground.
  expect(svg).toMatch(
    /<g clip-path="url\(#x-p\d\)"><rect x="-2" y="-1" width="4" height="2" fill="#eeeeee"\/>/,
  );
  expect(svg).toMatch(/x="-3.5" y="-2.5" width="7" height="5"><feGaussianBlur stdDeviation="0.5"/);
});

test('letters with a tile are a hole that it shows through, unscaled by their size', () => {
  const fill = { kind: 'tile' as const, width: 2, height: 2, map: translation(0, 0), nodes: [] };
  const svg = drawingToSvg(
    {
      width: 10,
      height: 10,
      symbols: {},
      nodes: [
        {
          kind: 'glyphs',
          typeface: 'known',
          size: 5,
          text: 'A',
          fill,
          stroke: { paint: solid('#ff0000'), width: 1 },
          glyphs: [{ id: 7, x: 1, y: 2, angle: 0, text: 'A' }],
        },
      ],
    },
    SOURCES,
  );
  expect(svg).toMatch(
    /<clipPath id="x-p0"><path d="M0 0L7 0Z" transform="matrix\(5 0 0 5 1 2\)"\/>/,
  );
  expect(svg).toContain('<pattern id="x-p1" patternUnits="userSpaceOnUse" width="2" height="2"');
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

import { createJob } from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { compiled, runAll } from '../testing/example-job.ts';
import { exportedExample, keep, tool } from '../testing/exported.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { say } from '../../messages/index.ts';
import { exportFiles, type MadeFile } from './index.ts';

const textOf = ({ bytes }: MadeFile): string => new TextDecoder().decode(bytes);

let made: Awaited<ReturnType<typeof exportedExample>>['made'];
let file: Awaited<ReturnType<typeof exportedExample>>['file'];
beforeAll(async () => {
  ({ made, file } = await exportedExample(['pdf', 'dxf', 'hpgl', 'jpeg', 'json'], { dpi: 72 }));
});

/** The polylines of a DXF by their layers, as an outsider reads its pairs of codes and values. */
function dxfLines(text: string): { layer: string; closed: boolean; points: [number, number][] }[] {
  const lines = text.split('\n');
  const pairs = lines.flatMap((code, at) =>
    at % 2 === 0 && code ? [[Number(code), lines[at + 1] ?? ''] as const] : [],
  );
  const found: { layer: string; closed: boolean; points: [number, number][] }[] = [];
  let inside = '';
  for (const [code, value] of pairs) {
    const last = found[found.length - 1];
    if (code === 0) inside = value;
    if (code === 0 && value === 'POLYLINE') found.push({ layer: '', closed: false, points: [] });
    else if (!last) continue;
    else if (inside === 'POLYLINE' && code === 8) last.layer = value;
    else if (inside === 'POLYLINE' && code === 70) last.closed = value === '1';
    else if (inside === 'VERTEX' && code === 10) last.points.push([Number(value), NaN]);
    else if (inside === 'VERTEX' && code === 20)
      last.points[last.points.length - 1] = [
        last.points[last.points.length - 1]?.[0] ?? 0,
        Number(value),
      ];
  }
  return found;
}

test('DXF, SVG and HPGL describe the same cut lines, which are those of the statement', () => {
  const { sheets } = JSON.parse(textOf(file('json'))) as {
    sheets: { height: number; cuts: { kind: string; rings: [number, number][][] }[] }[];
  };
  const [sheet] = sheets;
  if (!sheet) throw new Error('no sheet');
  const stated = sheet.cuts.flatMap(({ kind, rings }) => rings.map((ring) => ({ kind, ring })));
  const dxf = dxfLines(textOf(file('dxf'))).filter(({ layer }) => layer !== 'MARKS');
  expect(dxf.map(({ layer }) => layer)).toEqual(stated.map(({ kind }) => kind.toUpperCase()));
  expect(dxf.every(({ closed }) => closed)).toBe(true);
  for (const [at, { ring }] of stated.entries())
    for (const [point, [x, y]] of ring.entries()) {
      const [dx = NaN, dy = NaN] = dxf[at]?.points[point] ?? [];
      expect(Math.hypot(dx - x, sheet.height - dy - y)).toBeLessThan(0.001);
    }
  const pen = [...textOf(file('hpgl')).matchAll(/PU(-?\d+),(-?\d+);PD([^;]+);/g)].map((found) => [
    [Number(found[1]), Number(found[2])],
    ...(found[3] ?? '').split(',').reduce<number[][]>((points, value, index) => {
      if (index % 2 === 0) points.push([Number(value)]);
      else points[points.length - 1]?.push(Number(value));
      return points;
    }, []),
  ]);
  expect(pen).toHaveLength(stated.length);
  for (const [at, { ring }] of stated.entries())
    for (const [point, [x, y]] of ring.entries()) {
      const [px = NaN, py = NaN] = pen[at]?.[point] ?? [];
      expect(Math.hypot(px / 40 - x, sheet.height - py / 40 - y)).toBeLessThan(0.02);
    }
});

test('a DXF says that it is in mm', () => {
  const header = textOf(file('dxf')).split('ENDSEC')[0] ?? '';
  const said = [...header.matchAll(/\$(INSUNITS|MEASUREMENT)\s+70\s+(\d+)/g)];
  expect(said.map(([, name, value]) => [name, value])).toEqual([
    ['INSUNITS', '4'],
    ['MEASUREMENT', '1'],
  ]);
});

test('every file cuts a hole before the outline around it', async () => {
  const holed = runAll(createJob('tag', { id: 'tags', today: '2026-04-18' }), {
    name: 'change-plan',
    args: { changes: { cut: 'through' } },
  });
  const { compiled: tags, resources } = await compiled(holed, new Map());
  const files = await exportFiles(tags, {
    say,
    platform: nodePlatform,
    resources,
    formats: ['svg', 'dxf', 'hpgl', 'json'],
  });
  const [svg = '', dxf = '', hpgl = '', json = ''] = ['svg', 'dxf', 'hpgl', 'json'].map((format) =>
    files
      .filter((one) => one.format === format)
      .map(textOf)
      .join(''),
  );
  const widths = (rings: number[][][]): number[] =>
    rings.map((ring) => {
      const across = ring.map(([x = 0]) => x);
      return Math.round(Math.max(...across) - Math.min(...across));
    });
  const { sheets } = JSON.parse(json) as { sheets: { cuts: { rings: number[][][] }[] }[] };
  const [stated] = (sheets[0]?.cuts ?? []).map(({ rings }) => widths(rings));
  expect(stated).toHaveLength(2);
  const [hole = 0, outline = 0] = stated ?? [];
  expect(hole).toBeLessThan(outline / 3);
  const through = dxfLines(dxf).filter(({ layer }) => layer === 'THROUGH');
  expect(widths(through.slice(0, 2).map(({ points }) => points))).toEqual([hole, outline]);
  const inSvg = /<g id="through"[^]*? d="([^"]+)"/.exec(svg)?.[1] ?? '';
  const inPaths = inSvg
    .split('M')
    .slice(1)
    .map((part) => {
      const numbers = (part.match(/-?[\d.]+/g) ?? []).map(Number);
      return numbers.flatMap((x, at) => (at % 2 ? [] : [[x, numbers[at + 1] ?? 0]]));
    });
  expect(widths(inPaths)).toEqual([hole, outline]);
  const strokes = [...hpgl.matchAll(/PU[^;]+;PD([^;]+);/g)].slice(0, 2).map(([, way = '']) => {
    const numbers = way.split(',').map((units) => Number(units) / 40);
    return numbers.flatMap((x, at) => (at % 2 ? [] : [[x, numbers[at + 1] ?? 0]]));
  });
  expect(widths(strokes)).toEqual([hole, outline]);
});

test('the marks of a DXF stand on a layer of their own', () => {
  const marks = dxfLines(textOf(file('dxf'))).filter(({ layer }) => layer === 'MARKS');
  const { sheets } = JSON.parse(textOf(file('json'))) as {
    sheets: { height: number; marks: { x: number; y: number; size: number }[] }[];
  };
  expect(sheets[0]?.marks).toHaveLength(4);
  for (const { x, y } of sheets[0]?.marks ?? []) {
    const around = marks.some(({ points }) => {
      const middle = points.reduce(([sx, sy], [px, py]) => [sx + px, sy + py], [0, 0]);
      const [mx = 0, my = 0] = middle.map((sum) => sum / points.length);
      return Math.hypot(mx - x, (sheets[0]?.height ?? 0) - my - y) < 0.1;
    });
    expect([x, y, around]).toEqual([x, y, true]);
  }
});

test('cut lines stand in inks of their own on a layer, only on request', async () => {
  const [pdf] = await exportFiles(made.compiled, {
    say,
    platform: nodePlatform,
    resources: made.resources,
    formats: ['pdf'],
    choices: { cutLayer: true },
  });
  const path = keep('cuts.pdf', pdf?.bytes ?? new Uint8Array());
  expect(tool('qpdf', '--check', path)).toContain('No syntax or stream encoding errors');
  const plain = tool('qpdf', '--qdf', '--object-streams=disable', path, '-');
  expect(plain).toMatch(/\/Separation\s+\/KissCut/);
  expect(plain).toContain('/OCProperties');
  const without = keep('no-cuts.pdf', file('pdf').bytes);
  expect(tool('qpdf', '--qdf', '--object-streams=disable', without, '-')).not.toContain('KissCut');
});

test('letters as outlines look as they did and cannot be searched', async () => {
  const [pdf] = await exportFiles(made.compiled, {
    say,
    platform: nodePlatform,
    resources: made.resources,
    formats: ['pdf'],
    choices: { outlines: true },
  });
  const bytes = pdf?.bytes ?? new Uint8Array();
  expect(tool('pdftotext', keep('outlines.pdf', bytes), '-').trim()).toBe('');
  const [one, other] = await Promise.all(
    [bytes, file('pdf').bytes].map((of) => renderPdf(nodePlatform, { pdf: of, page: 0, dpi: 100 })),
  );
  let differ = 0;
  for (let at = 0; at < (one?.data.length ?? 0); at += 4)
    if (Math.abs((one?.data[at] ?? 0) - (other?.data[at] ?? 0)) > 64) differ++;
  expect(differ / ((one?.data.length ?? 4) / 4)).toBeLessThan(0.002);
});

test('a JPEG has the size and resolution of its sheet', () => {
  const { bytes } = file('jpeg');
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  expect([view.getUint16(0), view.getUint8(13), view.getUint16(14)]).toEqual([0xffd8, 1, 72]);
  const path = keep('seals.jpg', bytes);
  expect(tool('file', path)).toMatch(/595 ?x ?842/);
});

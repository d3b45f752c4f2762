import { flatten, type Point } from '../geometry/index.ts';
import { markPath } from '../register/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';
import { knifeRings, orderCuts } from '../cutting/index.ts';

/** A layer for each kind of cut and one for the marks, with the colour number that viewers show. */
const LAYERS = { KISS: 4, THROUGH: 5, CREASE: 30, MARKS: 7 } as const;
type Layer = keyof typeof LAYERS;

const MARK_TOLERANCE = 0.01; // mm

/**
 * The cut lines of a sheet as a drawing in mm for programs of all kinds, y up from the sheet's bottom
 * left, a layer for each kind of cut. Source: the DXF reference for release 12 (AC1009), whose old-style
 * polylines every reader knows.
 */
export function cutDxf(sheet: CompiledSheet): string {
  const { width, height } = sheet.drawing;
  const polylines = [
    ...sheet.marks.flatMap((mark) =>
      flatten(markPath(mark), MARK_TOLERANCE).map((ring) => polyline('MARKS', ring, true, height)),
    ),
    ...orderCuts(sheet.cuts).flatMap((cut) =>
      knifeRings(cut).map((ring) =>
        polyline(cut.kind.toUpperCase() as Layer, ring, !cut.open, height),
      ),
    ),
  ];
  const corner = (name: string, x: number, y: number): Pairs => [
    [9, name],
    [10, number(x)],
    [20, number(y)],
  ];
  const layers = Object.entries(LAYERS).map(([name, color]): Pairs => [
    [0, 'LAYER'],
    [2, name],
    [70, 0],
    [62, color],
    [6, 'CONTINUOUS'],
  ]);
  return written([
    ...section('HEADER', [
      [9, '$ACADVER'],
      [1, 'AC1009'],
      ...corner('$EXTMIN', 0, 0),
      ...corner('$EXTMAX', width, height),
      // Both say mm: programs look at one or the other.
      [9, '$INSUNITS'],
      [70, 4],
      [9, '$MEASUREMENT'],
      [70, 1],
    ]),
    ...section('TABLES', [
      [0, 'TABLE'],
      [2, 'LAYER'],
      [70, layers.length],
      ...layers.flat(),
      [0, 'ENDTAB'],
    ]),
    ...section('ENTITIES', polylines.flat()),
    [0, 'EOF'],
  ]);
}

/** Group codes with their values. */
type Pairs = (readonly [code: number, value: string | number])[];

const number = (value: number): string => (Math.round(value * 1e4) / 1e4 + 0).toString();
const written = (pairs: Pairs): string =>
  pairs.map(([code, value]) => `${String(code).padStart(3)}\n${value}\n`).join('');
const section = (name: string, pairs: Pairs): Pairs => [
  [0, 'SECTION'],
  [2, name],
  ...pairs,
  [0, 'ENDSEC'],
];

function polyline(layer: Layer, ring: readonly Point[], closed: boolean, height: number): Pairs {
  return [
    [0, 'POLYLINE'],
    [8, layer],
    [66, 1],
    [10, 0],
    [20, 0],
    [30, 0],
    [70, closed ? 1 : 0],
    ...ring.flatMap(({ x, y }): Pairs => [
      [0, 'VERTEX'],
      [8, layer],
      [10, number(x)],
      [20, number(height - y)],
      [30, 0],
    ]),
    [0, 'SEQEND'],
    [8, layer],
  ];
}

import { readCurve, sign, type ToneCurve } from './curve.ts';
import { labBlack, neutralBlack, readXyz } from './connected.ts';
import type { ColorProfile, Matrix, TableProfile } from './profile.ts';
import { parseTable } from './table.ts';

/** A part of a profile: its bytes from its type on. */
type Tag = DataView;

const HEADER = 128;
const MOST_TAGS = 200;

/**
 * Reads a profile of matrix and curves, of grey, or of tables for light or inks (ICC.1:2022); undefined for
 * other kinds and for what is broken.
 */
export function parseIccProfile(bytes: Uint8Array): ColorProfile | undefined {
  try {
    return readProfile(bytes);
  } catch {
    return undefined; // it names parts beyond its end
  }
}

function readProfile(bytes: Uint8Array): ColorProfile | undefined {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const space = sign(view, 16);
  const connection = sign(view, 20);
  if (sign(view, 36) !== 'acsp' || (connection !== 'XYZ ' && connection !== 'Lab '))
    return undefined;
  const tags = new Map<string, Tag>();
  for (let at = 0; at < Math.min(MOST_TAGS, view.getUint32(HEADER)); at++) {
    const entry = HEADER + 4 + at * 12;
    const [from, size] = [view.getUint32(entry + 4), view.getUint32(entry + 8)];
    tags.set(sign(view, entry), new DataView(bytes.buffer, bytes.byteOffset + from, size));
  }
  if (space === 'GRAY') {
    const curve = curveIn(tags.get('kTRC'));
    // Grey has the colour of the white of D50, which is that of all three together.
    return curve && { curves: [curve, curve, curve], matrix: GREY };
  }
  if (space === 'CMYK' || connection === 'Lab ') return tablesOf(tags, space, connection);
  if (space !== 'RGB ') return undefined;
  const [red, green, blue] = ['r', 'g', 'b'].map((name) => pointOf(tags.get(`${name}XYZ`)));
  const [one, two, three] = ['r', 'g', 'b'].map((name) => curveIn(tags.get(`${name}TRC`)));
  if (!red || !green || !blue || !one || !two || !three) return tablesOf(tags, space, connection);
  const row = (at: 0 | 1 | 2): readonly [number, number, number] => [red[at], green[at], blue[at]];
  return { curves: [one, two, three], matrix: [row(0), row(1), row(2)] };
}

/** Tables to the space of connection, the one that keeps colours first, with the black that they come to. */
function tablesOf(
  tags: ReadonlyMap<string, Tag>,
  space: string,
  connection: 'Lab ' | 'XYZ ',
): TableProfile | undefined {
  const table = parseTable(tags.get('A2B1') ?? tags.get('A2B0'));
  if (table?.outputs !== 3 || table.inputs !== (space === 'CMYK' ? 4 : 3)) return undefined;
  const made = new Float64Array(4);
  let black: ArrayLike<number> = [0, 0, 0];
  if (space === 'CMYK') {
    // The darkest that the profile prints: what it makes of black (as LittleCMS finds it).
    const back = parseTable(tags.get('B2A0'));
    const inks = new Float64Array(4);
    if (back?.inputs === 3 && back.outputs === 4 && connection === 'Lab ')
      back.read(labBlack(back), inks);
    else inks[3] = 1;
    black = inks;
  }
  table.read(black, made);
  return { table, space: connection, black: neutralBlack(readXyz(table, connection, made)) };
}

/** Colorants of sRGB: with three equal channels any that add up to white do. */
const GREY: Matrix = [
  [0.43607, 0.38515, 0.14307],
  [0.22249, 0.71687, 0.06061],
  [0.01392, 0.09708, 0.7141],
];

const fixed = (view: DataView, at: number): number => view.getInt32(at) / 65536;

function pointOf(tag: Tag | undefined): readonly [number, number, number] | undefined {
  if (!tag || sign(tag, 0) !== 'XYZ ') return undefined;
  return [fixed(tag, 8), fixed(tag, 12), fixed(tag, 16)];
}

const curveIn = (tag: Tag | undefined): ToneCurve | undefined => tag && readCurve(tag, 0)?.curve;

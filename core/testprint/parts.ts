import type { Say } from '../base/index.ts';
import { solid, type DrawingNode } from '../drawing/index.ts';
import { translation, type Path } from '../geometry/index.ts';
import { setWords, type Typeface } from '../type/index.ts';
import { MM_PER_PT } from '../units/index.ts';

/** The typeface that test prints are written in. */
export const FACE = 'figtree-regular';
const INK = solid('#000000');
const THIN = 0.2; // mm
/** The check ruler that every test print has, mm. */
export const RULER = 100;

/** A line of words about a place; size in pt. */
export function wordsAt(
  typeface: Typeface,
  text: string,
  at: { x: number; y: number },
  size: number,
): DrawingNode {
  const set = setWords(
    {
      text,
      typeface: FACE,
      size,
      tracking: 0,
      leading: 1.2,
      align: 'centre',
      fit: 'shrink',
      least: 4,
      path: { kind: 'straight' },
    },
    { width: 120, height: 10 },
    typeface,
  );
  return {
    kind: 'group',
    transform: translation(at.x, at.y),
    children: [
      {
        kind: 'glyphs',
        typeface: FACE,
        size: set.size * MM_PER_PT,
        glyphs: set.glyphs,
        fill: INK,
        text,
      },
    ],
  };
}

/** A thin line, dashed on request: dashes and gaps in mm. */
export const line = (path: Path, dash?: readonly number[]): DrawingNode => ({
  kind: 'path',
  path,
  stroke: { paint: INK, width: THIN, ...(dash ? { dash } : {}) },
});

/** A ruler of 100 mm, with what it is for. */
export function ruler(
  { typeface, say }: { readonly typeface: Typeface; readonly say: Say },
  left: number,
  y: number,
): DrawingNode[] {
  const ticks: Path = Array.from({ length: RULER + 1 }, (_, mm) => {
    const long = mm % 10 === 0 ? 4 : mm % 5 === 0 ? 3 : 1.8;
    return [
      ['M', left + mm, y],
      ['L', left + mm, y - long],
    ] as const;
  }).flat();
  const base: Path = [
    ['M', left, y],
    ['L', left + RULER, y],
  ];
  return [
    line([...base, ...ticks]),
    wordsAt(typeface, say('ruler-check', {}), { x: left + RULER / 2, y: y + 4.5 }, 8),
  ];
}

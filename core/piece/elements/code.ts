import * as z from 'zod';
import type { Result } from '../../base/index.ts';
import { SYMBOLOGIES, tryEncode, type EncodedCode } from '../../code/index.ts';
import { solid, type DrawingNode } from '../../drawing/index.ts';
import { rectanglePath, translation, type PathStep } from '../../geometry/index.ts';
import { setWords, type Typeface } from '../../type/index.ts';
import { MM_PER_PT } from '../../units/index.ts';
import { color } from '../fill.ts';
import { emptyFrame, placeFields, scaledBox, side, type ElementKind } from './common.ts';

/** A code that a scanner or a phone reads; its box takes in the clear zone around it. */
export const codeSchema = z.object({
  ...placeFields,
  kind: z.literal('code'),
  symbology: z.enum(SYMBOLOGIES),
  text: z.string().max(1200),
  width: side,
  height: side,
  color,
  /** Behind the code and its clear zone; null lets the ground show. */
  ground: color.nullable(),
  /** Whether a linear code says below in digits what it says. */
  caption: z.boolean(),
});
export type Code = z.infer<typeof codeSchema>;

/** The typeface of what stands below a code. */
export const CAPTION_TYPEFACE = 'figtree-regular';

/** How a code comes out in its box. */
export interface CodeLayout {
  readonly encoded: EncodedCode;
  /** Width of one module, mm. */
  readonly module: number;
  /** The bars about the middle of the box, without the clear zone, mm. */
  readonly left: number;
  readonly top: number;
  readonly height: number;
  /** Height of the caption below, mm; 0 for none. */
  readonly caption: number;
}

/** Lays a code out in its box; undefined when its text cannot be encoded. */
export function findCodeLayout(
  code: Code,
  made: Result<EncodedCode> = tryEncode(code.symbology, code.text),
): CodeLayout | undefined {
  if (!made.ok) return undefined;
  const { columns, rows, quiet } = made.value;
  const across = columns + quiet.before + quiet.behind;
  if (rows > 1) {
    const module = Math.min(code.width, code.height) / across;
    const size = columns * module;
    return {
      encoded: made.value,
      module,
      left: -size / 2,
      top: -size / 2,
      height: size,
      caption: 0,
    };
  }
  const module = code.width / across;
  const caption = code.caption ? Math.min(code.height * 0.22, 3.2) : 0;
  return {
    encoded: made.value,
    module,
    left: -code.width / 2 + quiet.before * module,
    top: -code.height / 2,
    height: code.height - caption * 1.15,
    caption,
  };
}

export const code: ElementKind<Code> = {
  size: ({ width, height }) => ({ width, height }),
  resized(element, width, height) {
    if (element.symbology !== 'qr') return { ...element, width, height };
    const side = width === element.width ? height : width;
    return { ...element, width: side, height: side };
  },
  scaled: scaledBox,
  title: ({ text, symbology }) => ({
    code: symbology === 'qr' ? 'qr-code' : 'bar-code',
    values: { text },
  }),
  compile(element, context) {
    const { width, height, ground } = element;
    const made = tryEncode(element.symbology, element.text);
    const layout = findCodeLayout(element, made);
    const code = { said: element.text, made };
    const typeface = layout?.caption ? context.typeface(CAPTION_TYPEFACE) : undefined;
    if (layout?.caption && !typeface)
      return emptyFrame(width, height, [{ kind: 'typeface', id: CAPTION_TYPEFACE }]);
    const back: DrawingNode[] = ground
      ? [{ kind: 'path', path: rectanglePath({ x: 0, y: 0 }, width, height), fill: solid(ground) }]
      : [];
    if (!layout) return { nodes: [...back, unread(element)], width, height, needs: [], code };
    const bars: DrawingNode = { kind: 'path', path: darkPath(layout), fill: solid(element.color) };
    const below = typeface ? [captionNode(element, layout, typeface)] : [];
    return { nodes: [...back, bars, ...below], width, height, needs: [], code };
  },
};

/** What is drawn while the text says nothing that can be encoded: an empty frame. */
const unread = ({ width, height, color: ink }: Code): DrawingNode => ({
  kind: 'path',
  path: rectanglePath({ x: 0, y: 0 }, width * 0.9, height * 0.9),
  stroke: { paint: solid(ink), width: 0.2, dash: [1, 1] },
});

/** Runs of dark modules as rectangles: one shape, so that no hairline shows between modules. */
function darkPath({ encoded, module, left, top, height }: CodeLayout): PathStep[] {
  const { columns, rows, dark } = encoded;
  const high = rows > 1 ? module : height;
  const steps: PathStep[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      if (!dark[row * columns + column]) continue;
      const from = column;
      while (column + 1 < columns && dark[row * columns + column + 1]) column++;
      const [x, right, y] = [left + from * module, left + (column + 1) * module, top + row * high];
      steps.push(['M', x, y], ['L', right, y], ['L', right, y + high], ['L', x, y + high], ['Z']);
    }
  return steps;
}

function captionNode(element: Code, layout: CodeLayout, typeface: Typeface): DrawingNode {
  const { encoded, module, caption } = layout;
  const room = { width: encoded.columns * module, height: caption };
  const set = setWords(
    {
      text: encoded.says,
      typeface: typeface.id,
      size: (caption / MM_PER_PT) * 0.82,
      tracking: 8,
      leading: 1,
      align: 'centre',
      fit: 'shrink',
      least: 3,
      path: { kind: 'straight' },
    },
    room,
    typeface,
  );
  return {
    kind: 'group',
    transform: translation(layout.left + room.width / 2, element.height / 2 - caption / 2),
    children: [
      {
        kind: 'glyphs',
        typeface: typeface.id,
        size: set.size * MM_PER_PT,
        glyphs: set.glyphs,
        fill: solid(element.color),
        text: encoded.says,
      },
    ],
  };
}

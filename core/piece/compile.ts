import type { Art } from '../art/index.ts';
import type { DrawingNode } from '../drawing/index.ts';
import {
  apply,
  boxAbout,
  corners,
  grown,
  flatten,
  insideParts,
  isInside,
  type Affine,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { creaseLines, edgeRings, isConvex, shapePath, type EdgeRings } from '../shape/index.ts';
import { foldsOf, type Fold, type Thing } from '../things/index.ts';
import { artOfFill, findPaint, type FillSource } from './fill.ts';
import { artOfElement } from './element-fills.ts';
import { textsOf, withTexts } from './element-texts.ts';
import {
  compileElement,
  elementMaps,
  typefacesOfElement,
  type CompiledElement,
  type CompiledPart,
  type Need,
  type PieceElement,
  type Resources,
} from './elements/index.ts';
import { pieceSize, type Piece } from './piece.ts';
import { rowOf, type List } from './list.ts';
import { countsUp, fieldsOf, filledText, hasPlaceholders } from './placeholders.ts';

/** An element with its drawing moved and turned to its place in the piece. */
export interface PlacedElement {
  readonly element: PieceElement;
  readonly compiled: CompiledElement;
  /** From its own mm to the piece's, once for each of its repetitions. */
  readonly maps: readonly Affine[];
  readonly node: DrawingNode;
}

/** A piece as a drawing about its centre, with the lines that matter around it. */
export interface CompiledPiece {
  readonly piece: Piece;
  readonly width: number;
  readonly height: number;
  /** The finished outline, where the bleed ends, and the inset that words keep; paths in mm. */
  readonly trim: Path;
  readonly bleed: Path;
  readonly safe: Path;
  /** The finished outline as rings, for the knife. */
  readonly rings: EdgeRings;
  /** Where it is folded: open lines. */
  readonly creases: EdgeRings;
  readonly ground: DrawingNode | undefined;
  readonly elements: readonly PlacedElement[];
  /** All that prints, clipped where the bleed ends. */
  readonly nodes: readonly DrawingNode[];
  readonly needs: readonly Need[];
  /** Whether each of its copies is another: it counts up, or a list fills it. */
  readonly numbered: boolean;
}

/** The pieces and art that a compiler looks names up in, and the thing that they are for: those of one job. */
export interface PieceSource {
  readonly pieces: readonly Piece[];
  readonly art: Readonly<Record<string, Art>>;
  readonly thing?: Thing;
  /** The job's calendar date, for dates in words. */
  readonly today?: string;
  /** Its rows fill the placeholders of copies. */
  readonly list?: List;
}

/** Compiles pieces and remembers what has not changed. */
export interface PieceCompiler {
  /** @param number which copy of the piece it is, from 1; only pieces that count up differ by it */
  compile(piece: Piece, source: PieceSource, number?: number): CompiledPiece;
}

interface Remembered {
  readonly uses: readonly unknown[];
  readonly placed: PlacedElement;
}

interface RememberedPiece {
  readonly uses: readonly unknown[];
  readonly compiled: CompiledPiece;
}

/** How deep a piece lies in others, and which copy it is. */
interface Asked {
  readonly depth: number;
  readonly number: number;
}

const NESTING = 8;

/**
 * A compiler over resources. Elements are compiled anew only when they, or what they use, are other
 * values than before; the same piece with the same elements gives the same value again.
 */
export function createCompiler(resources: Resources): PieceCompiler {
  const elements = new WeakMap<PieceElement, Map<string, Remembered>>();
  const pieces = new WeakMap<Piece, Map<number, RememberedPiece>>();

  const compile = (piece: Piece, source: PieceSource, { depth, number }: Asked): CompiledPiece => {
    const placedElements = piece.elements
      .filter(({ hidden }) => !hidden)
      .map((element) => place(element, source, { depth, number }));
    const all = pieces.get(piece) ?? new Map<number, RememberedPiece>();
    pieces.set(piece, all);
    const known = all.get(number);
    const thing = piece.variant?.thing ?? source.thing;
    const folds = [...(thing ? foldsOf(thing, piece.edge) : []), ...ownCreases(piece)];
    const grounds = artOfFill(piece.ground).flatMap((id) => [source.art[id], resources.vector(id)]);
    const numbered = isNumbered(piece, source);
    const uses = [...placedElements, ...folds, ...grounds, numbered];
    if (known && sameItems(known.uses, uses)) return known.compiled;
    const compiled = assemble(piece, placedElements, {
      folds,
      numbered,
      context: { art: (id) => source.art[id], vector: resources.vector },
    });
    all.set(number, { uses, compiled });
    return compiled;
  };

  const place = (
    element: PieceElement,
    source: PieceSource,
    { depth, number }: Asked,
  ): PlacedElement => {
    const filled = filledFor(element, source, number);
    const inner =
      element.kind === 'piece' && depth < NESTING
        ? source.pieces.find(({ id }) => id === element.piece)
        : undefined;
    const part = inner && compile(inner, source, { depth: depth + 1, number });
    const uses = used(element, source, resources, part);
    // What counts up is another drawing for each copy; everything else is one.
    const own = elements.get(element) ?? new Map<string, Remembered>();
    elements.set(element, own);
    const known = own.get(filled?.key ?? '');
    if (known && sameItems(known.uses, uses)) return known.placed;
    const compiled = compileElement(filled?.element ?? element, {
      ...resources,
      art: (id) => source.art[id],
      part: (): CompiledPart | undefined => part,
    });
    const maps = elementMaps(element);
    const made: PlacedElement = { element, compiled, maps, node: drawnAt(maps, compiled, element) };
    own.set(filled?.key ?? '', { uses, placed: made });
    return made;
  };

  return {
    compile: (piece, source, number = 1) =>
      compile(piece, source, { depth: 0, number: isNumbered(piece, source) ? number : 1 }),
  };
}

/** Whether every copy of a piece is another: something in it counts up, or is filled from a list. */
function isNumbered({ elements }: Piece, { list }: PieceSource): boolean {
  const isFilled = (text: string): boolean =>
    list !== undefined && fieldsOf(text).some((name) => list.columns.includes(name));
  return elements.some((element) =>
    textsOf(element).some((text) => countsUp(text) || isFilled(text)),
  );
}

/** An element as it is on a copy, and what tells it from others; undefined when it is always as it was typed. */
function filledFor(
  element: PieceElement,
  source: PieceSource,
  number: number,
): { element: PieceElement; key: string } | undefined {
  if (!textsOf(element).some(hasPlaceholders)) return undefined;
  const row = source.list && rowOf(source.list, number);
  const facts = { today: source.today ?? '2000-01-01', number, ...(row ? { row } : {}) };
  const filled = withTexts(element, (text) => filledText(text, facts));
  return { element: filled, key: textsOf(filled).join('\n') };
}

const clipped = new WeakMap<NonNullable<Piece['creases']>, { edge: unknown; creases: Fold[] }>();

/** The creases of a piece as far as they lie in it; the same value for the same creases and edge. */
function ownCreases({ creases, edge }: Piece): readonly Fold[] {
  if (!creases) return [];
  const known = clipped.get(creases);
  if (known?.edge === edge) return known.creases;
  const rings = flatten(shapePath(edge));
  const made: Fold[] = creases.flatMap((crease) => insideParts(crease, rings));
  clipped.set(creases, { edge, creases: made });
  return made;
}

function sameItems(one: readonly unknown[], other: readonly unknown[]): boolean {
  return one.length === other.length && one.every((item, index) => item === other[index]);
}

/** An element at each of its places, as clear as it is meant to be. */
function drawnAt(
  maps: readonly Affine[],
  { nodes }: CompiledElement,
  { opacity }: PieceElement,
): DrawingNode {
  const copies = maps.map((transform): DrawingNode => ({
    kind: 'group',
    transform,
    children: nodes,
  }));
  const [only] = copies;
  if (copies.length === 1 && only && opacity === undefined) return only;
  return { kind: 'group', children: copies, ...(opacity === undefined ? {} : { opacity }) };
}

function used(
  element: PieceElement,
  source: PieceSource,
  resources: Resources,
  part: CompiledPiece | undefined,
): readonly unknown[] {
  return [
    ...typefacesOfElement(element).map(resources.typeface),
    ...(element.kind === 'piece' ? [part] : []),
    ...artOfElement(element).flatMap((id) => [source.art[id], resources.vector(id)]),
  ];
}

function assemble(
  piece: Piece,
  elements: readonly PlacedElement[],
  { folds, numbered, context }: { folds: readonly Fold[]; numbered: boolean; context: FillSource },
): CompiledPiece {
  const bleed = shapePath(piece.edge, piece.bleed);
  const { width, height } = pieceSize(piece);
  const box = { width: width + 2 * piece.bleed, height: height + 2 * piece.bleed };
  const paint = piece.ground === null ? undefined : findPaint(piece.ground, box, context);
  const ground: DrawingNode | undefined = paint && { kind: 'path', path: bleed, fill: paint };
  const children = [...(ground ? [ground] : []), ...elements.map(({ node }) => node)];
  return {
    piece,
    ...pieceSize(piece),
    trim: shapePath(piece.edge),
    bleed,
    safe: shapePath(piece.edge, -piece.safe),
    rings: edgeRings(piece.edge),
    creases: creaseLines(folds),
    numbered,
    ground,
    elements,
    nodes:
      !isConvex(piece.edge) || overflows(bleed, elements)
        ? [{ kind: 'group', clip: bleed, children }]
        : children,
    needs: [
      ...(paint ? [] : artOfFill(piece.ground).map((id): Need => ({ kind: 'art', id }))),
      ...elements.flatMap(({ compiled }) => compiled.needs),
    ],
  };
}

/**
 * Whether something reaches beyond where the bleed ends, so that it has to be clipped. Hundreds of
 * copies without a clip are drawn much faster. In an outline that bulges outwards, and only these come
 * here, what has its points inside lies inside.
 */
function overflows(bleed: Path, elements: readonly PlacedElement[]): boolean {
  const rings = flatten(bleed);
  return elements.some((one) => {
    const points = extent(one);
    return one.maps.some((map) => points.some((point) => !isInside(apply(map, point), rings)));
  });
}

/** Points around what an element draws, about its own centre. */
function extent({ element, compiled }: PlacedElement): readonly Point[] {
  const { words, reach = 0 } = compiled;
  if (words) return reach && words.ink ? corners(grown(words.ink, reach)) : words.outline;
  if (element.kind === 'plate')
    return flatten(shapePath(element.shape, (element.line?.width ?? 0) / 2)).flat();
  return corners(grown(boxAbout({ x: 0, y: 0 }, compiled.width, compiled.height), reach));
}

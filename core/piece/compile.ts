import type { Art } from '../art/index.ts';
import { isSame, isSameItems, latestFor, onceForEach } from '../base/index.ts';
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
  type Ring,
} from '../geometry/index.ts';
import {
  creaseLines,
  edgeRings,
  isConvex,
  joinedEdges,
  placeEdge,
  shapePath,
  type EdgeRings,
  type EdgeShape,
} from '../shape/index.ts';
import { foldsOf, type Fold, type Thing } from '../things/index.ts';
import { artOfFill, findPaint, type FillSource } from './fill.ts';
import { artOfElement } from './element-fills.ts';
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
import { pieceSize, thingOf, type Piece } from './piece.ts';
import { differences, FIRST_COPY, filledFor, variantKeyOf, type CopyInList } from './copy-fill.ts';
import type { List } from './list.ts';

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
  /** The edges of stickers in it, which are kiss-cut within its own edge. */
  readonly kissCuts: EdgeRings;
  /** Where it is folded: open lines. */
  readonly creases: EdgeRings;
  readonly ground: DrawingNode | undefined;
  readonly elements: readonly PlacedElement[];
  /** All that prints, clipped where the bleed ends. */
  readonly nodes: readonly DrawingNode[];
  readonly needs: readonly Need[];
  /** Whether each of its copies is another: it counts up, or a list fills it. */
  readonly numbered: boolean;
  /** What tells this copy from others of the piece; nothing where all are alike. */
  readonly look: string;
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
  /** @param copy which copy of the piece it is; only pieces that count up or are filled differ by it */
  compile(piece: Piece, source: PieceSource, copy?: CopyInList): CompiledPiece;
}

interface ElementCacheEntry {
  readonly dependencies: readonly unknown[];
  readonly placed: PlacedElement;
}

interface DrawingCacheEntry {
  readonly dependencies: readonly unknown[];
  readonly look: object;
  readonly compiled: CompiledElement;
}

interface PieceCacheEntry {
  readonly dependencies: readonly unknown[];
  readonly compiled: CompiledPiece;
}

/** How deep a piece lies in others, and which copy it is. */
interface CompileContext extends CopyInList {
  readonly depth: number;
}

const NESTING = 8;

/**
 * A compiler over resources. Elements are compiled anew only when they, or what they use, are other
 * values than before; the same piece with the same elements gives the same value again.
 */
export function createCompiler(resources: Resources): PieceCompiler {
  const elements = new WeakMap<PieceElement, Map<string, ElementCacheEntry>>();
  const pieces = new WeakMap<Piece, Map<string, PieceCacheEntry>>();
  /** What was drawn last of each element of a piece: one that only moves is drawn alike. */
  const drawings = new Map<string, DrawingCacheEntry>();

  const compile = (piece: Piece, of: PieceSource, context: CompileContext): CompiledPiece => {
    const source = piece.guest?.job === undefined ? of : withoutList(of);
    const differs = differences(piece, source);
    const numbered = differs.counts || differs.fields;
    // Within another piece it is counted as that one is.
    const copy = numbered || context.depth > 0 ? context : { ...FIRST_COPY, depth: context.depth };
    const look = variantKeyOf(copy, differs);
    const placedElements = piece.elements
      .filter(({ hidden }) => !hidden)
      .map((element) => place(element, source, { ...copy, piece: piece.id }));
    const all = pieces.get(piece) ?? new Map<string, PieceCacheEntry>();
    pieces.set(piece, all);
    const key = context.depth > 0 ? `${copy.number} ${copy.row?.key ?? ''}` : look;
    const known = all.get(key);
    const thing = thingOf(piece, source.thing);
    const folds = [...(thing ? foldsOf(thing, piece.edge) : []), ...ownCreases(piece)];
    const grounds = artOfFill(piece.ground).flatMap((id) => [source.art[id], resources.vector(id)]);
    const dependencies = [...placedElements, ...folds, ...grounds, numbered];
    if (known && isSameItems(known.dependencies, dependencies)) return known.compiled;
    const compiled = assemble(piece, placedElements, {
      folds,
      numbered,
      look,
      context: { art: (id) => source.art[id], vector: resources.vector },
    });
    all.set(key, { dependencies, compiled });
    return compiled;
  };

  const place = (
    element: PieceElement,
    source: PieceSource,
    { depth, piece, ...copy }: CompileContext & { readonly piece: string },
  ): PlacedElement => {
    const filled = filledFor(element, source, copy);
    const inner =
      element.kind === 'piece' && depth < NESTING
        ? source.pieces.find(({ id }) => id === element.piece)
        : undefined;
    const part = inner && compile(inner, source, { ...copy, depth: depth + 1 });
    const dependencies = dependenciesOf(element, source, resources, part);
    // What counts up is another drawing for each copy; everything else is one.
    const own = elements.get(element) ?? new Map<string, ElementCacheEntry>();
    elements.set(element, own);
    const known = own.get(filled?.key ?? '');
    if (known && isSameItems(known.dependencies, dependencies)) return known.placed;
    const key = `${piece}/${element.id}`;
    const look = drawingKey(element);
    const last = filled ? undefined : drawings.get(key);
    const compiled =
      last && isSameItems(last.dependencies, dependencies) && isSame(last.look, look)
        ? last.compiled
        : compileElement(filled?.element ?? element, {
            ...resources,
            art: (id) => source.art[id],
            part: (): CompiledPart | undefined => part,
          });
    if (!filled) drawings.set(key, { dependencies, look, compiled });
    const maps = elementMaps(element);
    const made: PlacedElement = { element, compiled, maps, node: drawnAt(maps, compiled, element) };
    own.set(filled?.key ?? '', { dependencies, placed: made });
    return made;
  };

  return {
    compile: (piece, source, copy = FIRST_COPY) => compile(piece, source, { ...copy, depth: 0 }),
  };
}

/** What fills guests from other jobs: they were filled where they come from. */
function withoutList({ list, ...source }: PieceSource): PieceSource {
  void list;
  return source;
}

/** An element without what only says where and how clearly it is drawn. */
function drawingKey(element: PieceElement): object {
  const { x, y, angle, flip, repeat, opacity, locked, name, group, adapt, acrossFolds, ...look } =
    element;
  void [x, y, angle, flip, repeat, opacity, locked, name, group, adapt, acrossFolds];
  return look;
}

/** The creases of a piece as far as they lie in it; the same value for the same creases and edge. */
function ownCreases({ creases, edge }: Piece): readonly Fold[] {
  return creases ? clippedCreases(creases, edge) : [];
}

const clippedCreases = latestFor(
  (creases: NonNullable<Piece['creases']>, edge: EdgeShape): readonly Fold[] => {
    const rings = flatten(shapePath(edge));
    return creases.flatMap((crease) => insideParts(crease, rings));
  },
);

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

function dependenciesOf(
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
  {
    folds,
    context,
    ...copy
  }: { folds: readonly Fold[]; numbered: boolean; look: string; context: FillSource },
): CompiledPiece {
  const lines = linesOf(piece);
  const { bleed } = lines;
  const ground = groundOf(piece, bleed, context);
  const children = [...(ground ? [ground] : []), ...elements.map(({ node }) => node)];
  return {
    piece,
    ...pieceSize(piece),
    trim: lines.trim,
    bleed,
    safe: lines.safe,
    rings: lines.rings,
    kissCuts: joinedEdges(elements.flatMap(kissCutsOf)),
    creases: creaseLines(folds),
    ...copy,
    ground,
    elements,
    nodes:
      !isConvex(piece.edge) || elements.some((one) => overflows(one, lines))
        ? [{ kind: 'group', clip: bleed, children }]
        : children,
    needs: [
      ...(ground ? [] : artOfFill(piece.ground).map((id): Need => ({ kind: 'art', id }))),
      ...elements.flatMap(({ compiled }) => compiled.needs),
    ],
  };
}

const grounds = new WeakMap<
  Piece,
  { dependencies: readonly unknown[]; node: DrawingNode | undefined }
>();

/** The ground of a piece: the same node for all of its copies. */
function groundOf(piece: Piece, bleed: Path, context: FillSource): DrawingNode | undefined {
  const { ground } = piece;
  if (ground === null) return undefined;
  const dependencies = [
    bleed,
    ...artOfFill(ground).flatMap((id) => [context.art(id), context.vector(id)]),
  ];
  const known = grounds.get(piece);
  if (known && isSameItems(known.dependencies, dependencies)) return known.node;
  const { width, height } = pieceSize(piece);
  const box = { width: width + 2 * piece.bleed, height: height + 2 * piece.bleed };
  const paint = findPaint(ground, box, context);
  const node: DrawingNode | undefined = paint && { kind: 'path', path: bleed, fill: paint };
  grounds.set(piece, { dependencies, node });
  return node;
}

/** The edges that are kiss-cut in an element, at each of its places in the piece. */
const kissCutsOf = ({ compiled: { kissCuts }, maps }: PlacedElement): readonly EdgeRings[] =>
  kissCuts?.length ? maps.map((map) => placeEdge(kissCuts, map)) : [];

/** The lines around a piece, worked out once for an edge. */
interface EdgeLines {
  readonly trim: Path;
  readonly bleed: Path;
  readonly safe: Path;
  readonly rings: EdgeRings;
  /** Where the bleed ends, as rings. */
  readonly outer: readonly Ring[];
}

const linesOf = ({ edge, bleed, safe }: Piece): EdgeLines => linesAround(edge, `${bleed},${safe}`);

const linesAround = onceForEach((edge: EdgeShape, bleedAndSafe: string): EdgeLines => {
  const [bleed = 0, safe = 0] = bleedAndSafe.split(',').map(Number);
  const outline = shapePath(edge, bleed);
  return {
    trim: shapePath(edge),
    bleed: outline,
    safe: shapePath(edge, -safe),
    rings: edgeRings(edge),
    outer: flatten(outline),
  };
});

/**
 * Whether an element reaches beyond where the bleed ends, so that it has to be clipped. Hundreds of
 * copies without a clip are drawn much faster. In an outline that bulges outwards, and only these come
 * here, what has its points inside lies inside.
 */
const overflows = latestFor((one: PlacedElement, lines: EdgeLines): boolean => {
  // Where the corners of a box around it lie inside, so does all of it.
  const ink = one.compiled.words?.ink;
  const box = ink && grown(ink, one.compiled.reach ?? 0);
  const all = (some: readonly Point[], map: Affine): boolean =>
    some.every((point) => isInside(apply(map, point), lines.outer));
  return one.maps.some((map) => !(box && all(corners(box), map)) && !all(extent(one), map));
});

/** Points around what an element draws, about its own centre. */
function extent({ element, compiled }: PlacedElement): readonly Point[] {
  const { words, reach = 0 } = compiled;
  if (words) return reach && words.ink ? corners(grown(words.ink, reach)) : words.outline;
  if (element.kind === 'plate')
    return flatten(shapePath(element.shape, (element.line?.width ?? 0) / 2)).flat();
  return corners(grown(boxAbout({ x: 0, y: 0 }, compiled.width, compiled.height), reach));
}

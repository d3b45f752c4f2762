import { isProblem, type Problem } from '../base/index.ts';
import { adapted, alongEdge, scaledElement, type Piece } from '../piece/index.ts';
import {
  buildEdge,
  resizedShape,
  shapeSize,
  type EdgeBuild,
  type EdgeShape,
} from '../shape/index.ts';

/**
 * A piece with another edge; its artwork is scaled with it. An edge that was built keeps its shape
 * and becomes as large as the other one's box takes.
 */
export function withEdge(piece: Piece, edge: EdgeShape): Piece {
  if (piece.build) {
    const { width, height } = shapeSize(edge);
    const made = withBuiltSize(piece, piece.build, { width, height });
    return isProblem(made) ? piece : made;
  }
  const [before, after] = [shapeSize(piece.edge), shapeSize(edge)];
  const scale = Math.min(after.width / before.width, after.height / before.height);
  if (before.width === after.width && before.height === after.height) return { ...piece, edge };
  return {
    ...piece,
    edge,
    elements: piece.elements.map((element) => adapted(element, before, after)),
    ...withCreases(piece, ({ x, y }) => ({ x: x * scale, y: y * scale })),
    ...(piece.guides
      ? {
          guides: piece.guides.map(({ axis, at }) => ({
            axis,
            at:
              axis === 'x'
                ? (at * after.width) / before.width
                : (at * after.height) / before.height,
          })),
        }
      : {}),
  };
}

/** A piece with an edge built anew. What is in it stays where it is over the build. */
export function withBuild(piece: Piece, build: EdgeBuild): Piece | Problem {
  const built = buildEdge(build);
  if (!built.ok) return built.problem;
  const { shape, centre } = built.value;
  const { build: before, ...plain } = movedArtwork(piece, -centre.x, -centre.y);
  void before;
  // A shape that nothing is done to says all by itself.
  const [part] = build.parts;
  if (part?.shape === shape && shape.kind !== 'outline') return { ...plain, edge: shape };
  return {
    ...plain,
    edge: shape,
    build: {
      ...build,
      parts: build.parts.map((part) => ({ ...part, x: part.x - centre.x, y: part.y - centre.y })),
      punched: build.punched.map((hole) => ({
        ...hole,
        x: hole.x - centre.x,
        y: hole.y - centre.y,
      })),
    },
  };
}

const ROUNDS = 8;

/**
 * A piece whose built edge fits a width and height in mm, whichever it meets first. Its shapes and
 * artwork are scaled; offsets, radii and punched holes keep their mm.
 */
export function withBuiltSize(
  piece: Piece,
  build: EdgeBuild,
  wanted: { readonly width: number; readonly height: number },
): Piece | Problem {
  const ratio = ({ edge }: Piece): number => {
    const { width, height } = shapeSize(edge);
    return Math.min(wanted.width / width, wanted.height / height);
  };
  const made = withBuild(piece, build);
  return isProblem(made) ? made : scaledUntil(made, ratio);
}

/**
 * A piece scaled until a ratio of what is wanted to what it has is 1, which takes a few rounds: offsets, radii
 * and punched holes of a built edge keep their mm. What is wanted grows with the piece's sides.
 */
export function scaledUntil(piece: Piece, ratio: (piece: Piece) => number): Piece | Problem {
  let now: Piece | Problem = piece;
  for (let round = 0; round < ROUNDS && !isProblem(now); round++) {
    const by = ratio(now);
    if (!(Math.abs(by - 1) > 1e-5)) break;
    now = scaledPiece(now, withoutRim(now, by));
  }
  return now;
}

/** By how much what lies within the rim is scaled so that the whole is scaled by so much. */
function withoutRim({ edge, build }: Piece, by: number): number {
  const { width, height } = shapeSize(edge);
  const rim = 2 * (build?.offset ?? 0);
  const side = Math.min(width, height);
  const scale = (side * by - rim) / (side - rim);
  return rim > 0 && scale > 0 ? scale : by;
}

function scaledPiece(piece: Piece, scale: number): Piece | Problem {
  const { build, edge } = piece;
  if (build) return withBuild(scaledArtwork(piece, scale), scaledBuild(build, scale));
  const { width, height } = shapeSize(edge);
  return withEdge(piece, resizedShape(edge, width * scale, height * scale));
}

function scaledBuild(build: EdgeBuild, scale: number): EdgeBuild {
  return {
    ...build,
    parts: build.parts.map((part) => {
      const { width, height } = shapeSize(part.shape);
      const shape = resizedShape(part.shape, width * scale, height * scale);
      return { ...part, shape, x: part.x * scale, y: part.y * scale };
    }),
    punched: build.punched.map((hole) => ({ ...hole, x: hole.x * scale, y: hole.y * scale })),
  };
}

function scaledArtwork(piece: Piece, scale: number): Piece {
  if (Math.abs(scale - 1) < 1e-9) return piece;
  return {
    ...piece,
    elements: piece.elements.map((element) => scaledElement(element, scale)),
    ...withCreases(piece, ({ x, y }) => ({ x: x * scale, y: y * scale })),
  };
}

function movedArtwork(piece: Piece, x: number, y: number): Piece {
  if (Math.hypot(x, y) < 1e-9) return piece;
  return {
    ...piece,
    elements: piece.elements.map((one) => ({ ...one, x: one.x + x, y: one.y + y })),
    ...withCreases(piece, (at) => ({ x: at.x + x, y: at.y + y })),
  };
}

type End = NonNullable<Piece['creases']>[number][0];

function withCreases({ creases }: Piece, map: (at: End) => End): Pick<Piece, 'creases'> {
  return creases ? { creases: creases.map(([from, to]) => [map(from), map(to)]) } : {};
}

/** A piece whose elements that follow its edge do so. */
export function followEdge(piece: Piece): Piece {
  const elements = piece.elements.map((one) => alongEdge(one, piece.edge));
  return elements.every((one, at) => one === piece.elements[at]) ? piece : { ...piece, elements };
}

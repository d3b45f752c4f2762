import {
  apply,
  boxesMeet,
  intersectionOf,
  flatten,
  signedArea,
  strokedRegion,
  unionOf,
  type Ring,
} from '../../geometry/index.ts';
import type { DrawingNode } from '../../drawing/index.ts';
import { elementTitle, seenBox, type PlacedElement } from '../../piece/index.ts';
import type { Finding, FindingKind } from '../finding.ts';
import { allWords, letterBoxes, place, wordsOn, type SetElement } from '../words-in-piece.ts';

const LEAST = 0.02; // share of the words' ink boxes that counts as touched
const MOST = 0.97; // beyond that they stand on it on purpose

/** Words that run into an ornament, a drawn line, a picture or a code: they stand half on it. */
export const wordsOverlap: FindingKind = {
  code: 'words-run-into',
  check: (context) =>
    allWords(context).flatMap((found): Finding[] => {
      const met = found.piece.elements.find((other) => overlaps(found, other));
      if (!met) return [];
      const title = elementTitle(met.element, (id) => context.compiled.job.art[id]);
      return [
        {
          code: 'words-run-into',
          severity: 'warning',
          where: place(found),
          values: { ...wordsOn(found, context), title },
        },
      ];
    }),
};

function overlaps(found: SetElement, other: PlacedElement): boolean {
  const { element } = other;
  if (!['ornament', 'line', 'picture', 'code'].includes(element.kind)) return false;
  if (plateBetween(found, other) || !boxesMeet(seenBox(found), wholeBox(other))) return false;
  const letters = letterBoxes(found);
  const area = areaOf(letters);
  if (area === 0) return false;
  const share = areaOf(intersectionOf(letters, coverOf(other))) / area;
  return share > LEAST && share < MOST;
}

/** A filled plate that lies between, under all of the words. */
function plateBetween(found: SetElement, other: PlacedElement): boolean {
  const { piece, element } = found;
  const own = seenBox(found);
  const order = piece.piece.elements;
  const [from, to] = [order.indexOf(other.element), order.indexOf(element)];
  return piece.elements.some((one) => {
    const at = order.indexOf(one.element);
    const plate = one.element.kind === 'plate' && one.element.fill !== null;
    return plate && at > from && at < to && boxesMeet(seenBox(one), own);
  });
}

/** Repeated elements reach further than their own box. */
function wholeBox(placed: PlacedElement) {
  const own = seenBox(placed);
  if (placed.maps.length === 1) return own;
  return { left: -1e4, top: -1e4, right: 1e4, bottom: 1e4 };
}

/** What an element covers, wherever it is drawn. */
function coverOf({ element, compiled, maps }: PlacedElement): Ring[] {
  const whole = element.kind === 'picture' || element.kind === 'code';
  const [w, h] = [compiled.width / 2, compiled.height / 2];
  const own: Ring[] = whole
    ? [
        [
          { x: -w, y: -h },
          { x: w, y: -h },
          { x: w, y: h },
          { x: -w, y: h },
        ],
      ]
    : coverOfNodes(compiled.nodes);
  return unionOf(...maps.map((map) => own.map((ring) => ring.map((point) => apply(map, point)))));
}

function coverOfNodes(nodes: readonly DrawingNode[]): Ring[] {
  return unionOf(
    ...nodes.map((node): Ring[] => {
      if (node.kind === 'group') {
        const inner = coverOfNodes(node.children);
        const { transform } = node;
        return transform
          ? inner.map((ring) => ring.map((point) => apply(transform, point)))
          : inner;
      }
      if (node.kind !== 'path') return [];
      const rings = flatten(node.path, 0.05);
      const filled = node.fill ? rings : [];
      const lined = node.stroke
        ? strokedRegion(rings, {
            width: node.stroke.width,
            closed: false,
            cap: 'butt',
            corners: 'round',
          })
        : [];
      return unionOf(filled, lined);
    }),
  );
}

const areaOf = (rings: readonly Ring[]): number =>
  Math.abs(rings.reduce((sum, ring) => sum + signedArea(ring), 0));

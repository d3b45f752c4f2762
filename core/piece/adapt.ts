import { withinLimits } from '../base/index.ts';
import {
  elementSchema,
  elementSize,
  resizedElement,
  scaledElement,
  type PieceElement,
} from './elements/index.ts';

interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * An element of a piece that was `before` large, as it stands in one that is `after` large; mm. What
 * would be larger or smaller than an element can be stops at the limit.
 */
export function adapted(element: PieceElement, before: Size, after: Size): PieceElement {
  return withinLimits(elementSchema, fitted(element, before, after));
}

function fitted(element: PieceElement, before: Size, after: Size): PieceElement {
  const across = after.width / before.width;
  const down = after.height / before.height;
  switch (element.adapt) {
    case 'edge':
      return {
        ...element,
        x: besideEdge(element.x, before.width, after.width),
        y: besideEdge(element.y, before.height, after.height),
      };
    case 'room': {
      const { width, height } = elementSize(element);
      const made = resizedElement(element, width * across, height * down);
      return { ...refitted(made, across, down), x: element.x * across, y: element.y * down };
    }
    case undefined:
      return scaledElement(element, Math.min(across, down));
  }
}

const MIDDLE = 0.1; // of a side: what is nearer to the middle stays there

/** A place along a side that keeps its distance to the nearer end, or its share about the middle. */
function besideEdge(at: number, before: number, after: number): number {
  if (Math.abs(at) < MIDDLE * before) return (at * after) / before;
  return at + (Math.sign(at) * (after - before)) / 2;
}

/** Words that shrink are set as large as the better side allows, and find their size in the room. */
function refitted(element: PieceElement, across: number, down: number): PieceElement {
  if (element.kind !== 'words') return element;
  const shrinks = element.fit === 'shrink' || element.fit === 'wrap-shrink';
  const factor = shrinks ? Math.max(across, down) : Math.min(across, down);
  return { ...element, size: element.size * factor };
}

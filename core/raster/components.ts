/** A patch of connected pixels. */
export interface Component {
  readonly area: number;
  /** Centroid in pixels, weighted by the mask's values; (0.5, 0.5) is the middle of the first. */
  readonly x: number;
  readonly y: number;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * The 4-connected patches of a mask whose weight is over a threshold.
 * @param weights one value a pixel, row by row
 */
export function components(
  weights: ArrayLike<number>,
  width: number,
  threshold: number,
): Component[] {
  const count = weights.length;
  const seen = new Uint8Array(count);
  const stack: number[] = [];
  const found: Component[] = [];
  for (let start = 0; start < count; start++) {
    if (seen[start] || (weights[start] ?? 0) <= threshold) continue;
    const patch = new Patch(width);
    seen[start] = 1;
    stack.push(start);
    for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
      patch.add(at, weights[at] ?? 0);
      const x = at % width;
      const next = [x > 0 ? at - 1 : -1, x + 1 < width ? at + 1 : -1, at - width, at + width];
      for (const beside of next) {
        if (beside < 0 || beside >= count || seen[beside] || (weights[beside] ?? 0) <= threshold) {
          continue;
        }
        seen[beside] = 1;
        stack.push(beside);
      }
    }
    found.push(patch.component());
  }
  return found;
}

class Patch {
  private readonly width: number;
  private area = 0;
  private weight = 0;
  private sumX = 0;
  private sumY = 0;
  private left = Infinity;
  private top = Infinity;
  private right = -Infinity;
  private bottom = -Infinity;

  constructor(width: number) {
    this.width = width;
  }

  add(at: number, weight: number): void {
    const x = at % this.width;
    const y = (at - x) / this.width;
    this.area++;
    this.weight += weight;
    this.sumX += (x + 0.5) * weight;
    this.sumY += (y + 0.5) * weight;
    this.left = Math.min(this.left, x);
    this.right = Math.max(this.right, x + 1);
    this.top = Math.min(this.top, y);
    this.bottom = Math.max(this.bottom, y + 1);
  }

  component(): Component {
    const { area, left, top, right, bottom } = this;
    return {
      area,
      left,
      top,
      right,
      bottom,
      x: this.sumX / this.weight,
      y: this.sumY / this.weight,
    };
  }
}

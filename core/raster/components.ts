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
 * @param labels takes for each pixel the number of its patch, from 1; 0 where there is none
 */
export function components(
  weights: ArrayLike<number>,
  width: number,
  threshold: number,
  labels: Int32Array = new Int32Array(weights.length),
): Component[] {
  const count = weights.length;
  const stack = new Int32Array(count);
  const found: Component[] = [];
  for (let start = 0; start < count; start++) {
    if (labels[start] !== 0 || (weights[start] as number) <= threshold) continue;
    const number = found.length + 1;
    let [area, weight, sumX, sumY] = [0, 0, 0, 0];
    let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
    let high = 1;
    stack[0] = start;
    labels[start] = number;
    while (high > 0) {
      const at = stack[--high] as number;
      const x = at % width;
      const y = (at - x) / width;
      const value = weights[at] as number;
      area++;
      weight += value;
      sumX += (x + 0.5) * value;
      sumY += (y + 0.5) * value;
      if (x < left) left = x;
      if (x >= right) right = x + 1;
      if (y < top) top = y;
      if (y >= bottom) bottom = y + 1;
      // Left, right, above, below: written out, since this runs for every pixel.
      if (x > 0 && labels[at - 1] === 0 && (weights[at - 1] as number) > threshold) {
        labels[at - 1] = number;
        stack[high++] = at - 1;
      }
      if (x + 1 < width && labels[at + 1] === 0 && (weights[at + 1] as number) > threshold) {
        labels[at + 1] = number;
        stack[high++] = at + 1;
      }
      const above = at - width;
      if (above >= 0 && labels[above] === 0 && (weights[above] as number) > threshold) {
        labels[above] = number;
        stack[high++] = above;
      }
      const below = at + width;
      if (below < count && labels[below] === 0 && (weights[below] as number) > threshold) {
        labels[below] = number;
        stack[high++] = below;
      }
    }
    found.push({ area, left, top, right, bottom, x: sumX / weight, y: sumY / weight });
  }
  return found;
}

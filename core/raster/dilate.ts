/**
 * The pixels of a mask and all within `radius` pixels of one, by the exact distance transform.
 * @param mask one byte a pixel, row by row; not 0 is inside
 * @returns a mask of the same size, 1 inside
 * Source: P. Felzenszwalb, D. Huttenlocher, Distance Transforms of Sampled Functions (2012).
 */
export function dilateMask(mask: Uint8Array, width: number, radius: number): Uint8Array {
  const height = mask.length / width;
  const far = width * width + height * height;
  const field = Float64Array.from(mask, (value) => (value ? 0 : far));
  const line = new Lower(Math.max(width, height));
  for (let x = 0; x < width; x++) line.transform(field, x, width, height);
  for (let y = 0; y < height; y++) line.transform(field, y * width, 1, width);
  return Uint8Array.from(field, (squared) => (squared <= radius * radius ? 1 : 0));
}

/** The lower envelope of parabolas along one line, with its arrays kept between lines. */
class Lower {
  private readonly values: Float64Array;
  private readonly places: Int32Array;
  private readonly bounds: Float64Array;

  constructor(longest: number) {
    this.values = new Float64Array(longest);
    this.places = new Int32Array(longest);
    this.bounds = new Float64Array(longest + 1);
  }

  transform(field: Float64Array, start: number, step: number, length: number): void {
    const { values, places, bounds } = this;
    for (let i = 0; i < length; i++) values[i] = field[start + i * step] ?? 0;
    let last = 0;
    places[0] = 0;
    bounds[0] = -Infinity;
    bounds[1] = Infinity;
    for (let i = 1; i < length; i++) {
      let meet = this.meeting(i, places[last] ?? 0);
      while (meet <= (bounds[last] ?? 0)) meet = this.meeting(i, places[--last] ?? 0);
      places[++last] = i;
      bounds[last] = meet;
      bounds[last + 1] = Infinity;
    }
    for (let i = 0, at = 0; i < length; i++) {
      while ((bounds[at + 1] ?? Infinity) < i) at++;
      const place = places[at] ?? 0;
      field[start + i * step] = (i - place) ** 2 + (values[place] ?? 0);
    }
  }

  private meeting(i: number, j: number): number {
    return ((this.values[i] ?? 0) + i * i - (this.values[j] ?? 0) - j * j) / (2 * i - 2 * j);
  }
}

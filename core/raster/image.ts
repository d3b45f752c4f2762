const { max, min, round, floor } = Math;

/** A picture of pixels with straight alpha. */
export interface RgbaImage {
  readonly width: number;
  readonly height: number;
  /** Red, green, blue, alpha of each pixel, row by row from the top. */
  readonly data: Uint8ClampedArray;
}

/** An image filled with one colour, transparent black unless given. */
export function blankImage(
  width: number,
  height: number,
  fill: readonly [number, number, number, number] = [0, 0, 0, 0],
): RgbaImage {
  const data = new Uint8ClampedArray(width * height * 4);
  if (fill.some((value) => value !== 0)) {
    new Uint32Array(data.buffer).fill(
      (fill[0] | (fill[1] << 8) | (fill[2] << 16) | (fill[3] << 24)) >>> 0,
    );
  }
  return { width, height, data };
}

/** How dark each pixel is on white paper, 0 (paper) to 255 (black), by Rec. 709 weights. */
export function darkness({ width, height, data }: RgbaImage): Uint8Array {
  const dark = new Uint8Array(width * height);
  for (let at = 0, from = 0; at < dark.length; at++, from += 4) {
    const light =
      0.2126 * (data[from] ?? 0) + 0.7152 * (data[from + 1] ?? 0) + 0.0722 * (data[from + 2] ?? 0);
    dark[at] = ((255 - light) * (data[from + 3] ?? 0)) / 255;
  }
  return dark;
}

/** A part of an image; what lies outside the image is transparent. */
export function cropImage(
  image: RgbaImage,
  area: { left: number; top: number; width: number; height: number },
): RgbaImage {
  const part = blankImage(area.width, area.height);
  const left = max(0, -area.left);
  const right = min(area.width, image.width - area.left);
  for (let y = 0; y < area.height; y++) {
    const row = y + area.top;
    if (row < 0 || row >= image.height || right <= left) continue;
    const from = (row * image.width + area.left + left) * 4;
    part.data.set(
      image.data.subarray(from, from + (right - left) * 4),
      (y * area.width + left) * 4,
    );
  }
  return part;
}

/** An image so many times smaller; each pixel is the mean of those that it stands for, by their cover. */
export function shrunkImage({ width, height, data }: RgbaImage, by: number): RgbaImage {
  const small = blankImage(max(1, round(width / by)), max(1, round(height / by)));
  const across = width / small.width;
  const down = height / small.height;
  for (let y = 0, to = 0; y < small.height; y++) {
    const top = floor(y * down);
    const bottom = max(top + 1, floor((y + 1) * down));
    for (let x = 0; x < small.width; x++, to += 4) {
      const left = floor(x * across);
      const right = max(left + 1, floor((x + 1) * across));
      let [r, g, b, alpha] = [0, 0, 0, 0];
      for (let row = top; row < bottom; row++) {
        for (let at = (row * width + left) * 4; at < (row * width + right) * 4; at += 4) {
          const share = data[at + 3] as number;
          r += (data[at] as number) * share;
          g += (data[at + 1] as number) * share;
          b += (data[at + 2] as number) * share;
          alpha += share;
        }
      }
      if (alpha === 0) continue;
      small.data[to] = r / alpha;
      small.data[to + 1] = g / alpha;
      small.data[to + 2] = b / alpha;
      small.data[to + 3] = alpha / ((bottom - top) * (right - left));
    }
  }
  return small;
}

/** Whether nothing of a picture is clear. */
export function isOpaque({ data }: RgbaImage): boolean {
  for (let at = 3; at < data.length; at += 4) if ((data[at] as number) < 255) return false;
  return true;
}

/** How little a colour may change so that nobody sees it, bytes. */
const UNSEEN = 3;

/** Whether a picture is of one colour all over, or clear. */
export function isOneColor({ data }: RgbaImage): boolean {
  for (let at = 4; at < data.length; at++)
    if (Math.abs((data[at] as number) - (data[at % 4] as number)) > UNSEEN) return false;
  return true;
}

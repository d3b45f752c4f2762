const { abs } = Math;

/** How far pixels are from the nearest other kind, in steps to the side and slanted, up to a most. */
export function stepsFromBorder(kinds: Uint8Array, width: number, most: number): Uint8Array {
  const height = kinds.length / width;
  const steps = new Uint8Array(kinds.length).fill(most + 1);
  let border: number[] = [];
  for (let pixel = 0; pixel < kinds.length; pixel++) {
    const x = pixel % width;
    const isBorder =
      (x > 0 && kinds[pixel - 1] !== kinds[pixel]) ||
      (x < width - 1 && kinds[pixel + 1] !== kinds[pixel]) ||
      (pixel >= width && kinds[pixel - width] !== kinds[pixel]) ||
      (pixel < width * (height - 1) && kinds[pixel + width] !== kinds[pixel]);
    if (!isBorder) continue;
    steps[pixel] = 1;
    border.push(pixel);
  }
  for (let step = 2; step <= most && border.length; step++) {
    const next: number[] = [];
    for (const pixel of border) {
      const x = pixel % width;
      for (let dy = -width; dy <= width; dy += width)
        for (let dx = -1; dx <= 1; dx++) {
          const to = pixel + dy + dx;
          if (to < 0 || to >= kinds.length || abs(((to + width) % width) - x) > 1) continue;
          if ((steps[to] as number) <= step) continue;
          steps[to] = step;
          next.push(to);
        }
    }
    border = next;
  }
  return steps;
}

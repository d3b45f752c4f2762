/** A connected patch of one kind. */
export interface Patch {
  readonly pixels: number;
  /** A pixel of it. */
  readonly first: number;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** The connected patches of a kind, by sides, and which of them each pixel is in (-1: none). */
export function patchesOf(
  kinds: Uint8Array,
  width: number,
  kind: number,
): { readonly patches: Patch[]; readonly of: Int32Array } {
  const of = new Int32Array(kinds.length).fill(-1);
  const patches: Patch[] = [];
  const queue = new Int32Array(kinds.length);
  for (let start = 0; start < kinds.length; start++) {
    if (kinds[start] !== kind || of[start] !== -1) continue;
    const own = patches.length;
    let [read, written] = [0, 0];
    let [left, right] = [width, 0];
    let [top, bottom] = [kinds.length, 0];
    of[start] = own;
    queue[written++] = start;
    while (read < written) {
      const pixel = queue[read++] as number;
      const x = pixel % width;
      const y = (pixel - x) / width;
      if (x < left) left = x;
      if (x >= right) right = x + 1;
      if (y < top) top = y;
      if (y >= bottom) bottom = y + 1;
      for (let side = 0; side < 4; side++) {
        if ((side === 0 && x === 0) || (side === 1 && x === width - 1)) continue;
        const to = pixel + (side === 0 ? -1 : side === 1 ? 1 : side === 2 ? -width : width);
        if (to < 0 || to >= kinds.length || kinds[to] !== kind || of[to] !== -1) continue;
        of[to] = own;
        queue[written++] = to;
      }
    }
    patches.push({ pixels: written, first: start, left, top, right, bottom });
  }
  return { patches, of };
}

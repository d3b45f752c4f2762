import { stepsFromBorder, type RgbaImage } from '../raster/index.ts';
import type { FoundSubject } from './subject.ts';

const { ceil, floor, max, min, sqrt } = Math;

/** How far a colour is taken from, in widths of the band, where nothing nearer is certain. */
const FAR = 3;
/** How much spread of colours makes them doubtful. */
const DOUBT = 1.5;
/** Squared distance of colours, in bytes, below which they say little. */
const LITTLE = 300;
/** Where colours are doubtful the edge is so wide, in pixels to each side. */
const PLAIN_EDGE = 1;
/** How much alike neighbours are that smooth each other, bytes. */
const SMOOTH = 18;

/** Which pixels of a picture are the subject: what was found, at the picture's own size. */
export function enlarged(found: FoundSubject, { width, height }: RgbaImage): Uint8Array {
  const { labels, width: wide, height: high } = found;
  if (wide === width && high === height) return labels.slice();
  const made = new Uint8Array(width * height);
  const places = Array.from({ length: width }, (_, x) => ((x + 0.5) * wide) / width - 0.5);
  for (let y = 0; y < height; y++) {
    const place = max(0, min(high - 1, ((y + 0.5) * high) / height - 0.5));
    const [top, low] = [floor(place) * wide, min(high - 1, floor(place) + 1) * wide];
    const down = place - floor(place);
    for (let x = 0; x < width; x++) {
      const across = max(0, min(wide - 1, places[x] as number));
      const [left, right] = [floor(across), min(wide - 1, floor(across) + 1)];
      const share = across - left;
      const above =
        (labels[top + left] as number) * (1 - share) + (labels[top + right] as number) * share;
      const below =
        (labels[low + left] as number) * (1 - share) + (labels[low + right] as number) * share;
      made[y * width + x] = above * (1 - down) + below * down >= 0.5 ? 1 : 0;
    }
  }
  return made;
}

/** The pixels at the edge, of which it is asked how much of each is the subject. */
interface Band {
  readonly pixels: Int32Array;
  /** The place of each pixel of the picture among them; -1 for all others. */
  readonly places: Int32Array;
  /** How many pixels each is inside the outline, below zero outside. */
  readonly inside: Int8Array;
  /** The nearest pixel of the subject, and of the ground, that is certain; -1 where none is near. */
  readonly subject: Int32Array;
  readonly ground: Int32Array;
}

/**
 * Frees a subject: what is outside becomes clear, what lies at its edge has a share between, and of these
 * the colour of the ground is taken out. How much of a pixel is the subject follows from where its colour
 * lies between those that are certain nearby (as in K. He, J. Sun, X. Tang, Guided Image Filtering, 2010, a
 * line of colours); where those are alike, from its distance to the outline.
 * @param width of the band to each side of the outline, pixels of this image
 */
export function freedImage(image: RgbaImage, labels: Uint8Array, width: number): RgbaImage {
  const made: RgbaImage = { ...image, data: image.data.slice() };
  const reach = max(1, min(100, ceil(width)));
  const band = bandOf(labels, image.width, reach);
  for (let pixel = 0; pixel < labels.length; pixel++)
    if (!labels[pixel]) made.data[pixel * 4 + 3] = 0;
  const sides = [band.subject, band.ground].map((sources, at) =>
    meansOf(image, { sources, labels, wanted: at === 0 ? 1 : 0, reach, places: band.places }),
  ) as [Means, Means];
  const shares = smoothed(image, band, sharesOf(image, band, sides));
  put(made, { band, sides, shares });
  return made;
}

function bandOf(labels: Uint8Array, width: number, reach: number): Band {
  const steps = stepsFromBorder(labels, width, reach);
  let count = 0;
  for (let pixel = 0; pixel < steps.length; pixel++) if ((steps[pixel] as number) <= reach) count++;
  const pixels = new Int32Array(count);
  const places = new Int32Array(labels.length).fill(-1);
  const inside = new Int8Array(count);
  for (let pixel = 0, place = 0; pixel < steps.length; pixel++) {
    const step = steps[pixel] as number;
    if (step > reach) continue;
    pixels[place] = pixel;
    inside[place] = labels[pixel] ? step : 1 - step;
    places[pixel] = place++;
  }
  const from = (wanted: number): Int32Array =>
    nearestOf({ labels, wanted, width, pixels, places, most: reach * FAR });
  return { pixels, places, inside, subject: from(1), ground: from(0) };
}

/** For each pixel of the band the nearest certain one of a side, step by step from these. */
function nearestOf(of: {
  labels: Uint8Array;
  wanted: number;
  width: number;
  pixels: Int32Array;
  places: Int32Array;
  most: number;
}): Int32Array {
  const { labels, wanted, width, pixels, places, most } = of;
  const sources = new Int32Array(pixels.length).fill(-1);
  const around = (pixel: number): number[] => {
    const x = pixel % width;
    return [
      ...(x > 0 ? [pixel - 1] : []),
      ...(x < width - 1 ? [pixel + 1] : []),
      ...(pixel >= width ? [pixel - width] : []),
      ...(pixel + width < labels.length ? [pixel + width] : []),
    ];
  };
  let border: number[] = [];
  for (let place = 0; place < pixels.length; place++) {
    const source = around(pixels[place] as number).find(
      (to) => places[to] === -1 && labels[to] === wanted,
    );
    if (source === undefined) continue;
    sources[place] = source;
    border.push(place);
  }
  for (let step = 0; step < most && border.length; step++) {
    const next: number[] = [];
    for (const place of border)
      for (const to of around(pixels[place] as number)) {
        const other = places[to] as number;
        if (other < 0 || sources[other] !== -1) continue;
        sources[other] = sources[place] as number;
        next.push(other);
      }
    border = next;
  }
  return sources;
}

/** For each pixel of the band a colour of one side: three means, and how much they vary. */
type Means = Float32Array;

function meansOf(
  { width, height, data }: RgbaImage,
  of: {
    sources: Int32Array;
    labels: Uint8Array;
    wanted: number;
    reach: number;
    places: Int32Array;
  },
): Means {
  const { sources, labels, wanted, places } = of;
  const window = min(6, max(2, of.reach));
  const means = new Float32Array(sources.length * 4);
  const known = new Map<number, number>();
  for (let place = 0; place < sources.length; place++) {
    const source = sources[place] as number;
    if (source < 0) continue;
    const before = known.get(source);
    if (before !== undefined) {
      means.copyWithin(place * 4, before * 4, before * 4 + 4);
      continue;
    }
    known.set(source, place);
    const x = source % width;
    const y = (source - x) / width;
    let [count, r, g, b, squares] = [0, 0, 0, 0, 0];
    for (let row = max(0, y - window); row <= min(height - 1, y + window); row++)
      for (let column = max(0, x - window); column <= min(width - 1, x + window); column++) {
        const pixel = row * width + column;
        if (places[pixel] !== -1 || labels[pixel] !== wanted) continue;
        const [red, green, blue] = [
          data[pixel * 4] as number,
          data[pixel * 4 + 1] as number,
          data[pixel * 4 + 2] as number,
        ];
        count++;
        r += red;
        g += green;
        b += blue;
        squares += red * red + green * green + blue * blue;
      }
    [r, g, b] = [r / count, g / count, b / count];
    means.set([r, g, b, max(0, squares / count - r * r - g * g - b * b)], place * 4);
  }
  return means;
}

/** How much of each pixel of the band is the subject. */
function sharesOf(
  { data }: RgbaImage,
  { pixels, inside, subject, ground }: Band,
  [fore, back]: readonly [Means, Means],
): Float32Array {
  return Float32Array.from(pixels, (pixel, place) => {
    const depth = inside[place] as number;
    const plain = max(0, min(1, 0.5 + (depth - 0.5) / (2 * PLAIN_EDGE)));
    if ((subject[place] as number) < 0 || (ground[place] as number) < 0) return plain;
    let [along, long] = [0, 0];
    for (let c = 0; c < 3; c++) {
      const from = back[place * 4 + c] as number;
      const way = (fore[place * 4 + c] as number) - from;
      along += ((data[pixel * 4 + c] as number) - from) * way;
      long += way * way;
    }
    const spread = (fore[place * 4 + 3] as number) + (back[place * 4 + 3] as number);
    const trust = long / (long + DOUBT * spread + LITTLE);
    const share = max(0, min(1, along / max(1, long)));
    return trust * share + (1 - trust) * plain;
  });
}

/** Shares with those of neighbours of like colour: grain goes, hairs stay. */
function smoothed({ width, data }: RgbaImage, band: Band, shares: Float32Array): Float32Array {
  const { pixels, places, inside } = band;
  return shares.map((own, place) => {
    const pixel = pixels[place] as number;
    let [sum, weight] = [own, 1];
    for (let dy = -width; dy <= width; dy += width)
      for (let dx = -1; dx <= 1; dx++) {
        const to = pixel + dy + dx;
        if (to === pixel || to < 0 || to >= places.length) continue;
        const other = places[to] as number;
        const there =
          other < 0 ? ((inside[place] as number) > 0 ? 1 : 0) : (shares[other] as number);
        let apart = 0;
        for (let c = 0; c < 3; c++)
          apart += ((data[pixel * 4 + c] as number) - (data[to * 4 + c] as number)) ** 2;
        const like = 1 / (1 + apart / SMOOTH ** 2);
        sum += there * like;
        weight += like;
      }
    return sum / weight;
  });
}

/** Shares that are nearly none or all are. */
const NEARLY = 0.04;

function put(
  made: RgbaImage,
  { band, sides, shares }: { band: Band; sides: readonly [Means, Means]; shares: Float32Array },
): void {
  const { data } = made;
  const [fore, back] = sides;
  for (let place = 0; place < shares.length; place++) {
    const at = (band.pixels[place] as number) * 4;
    const raw = shares[place] as number;
    const share = raw < NEARLY ? 0 : raw > 1 - NEARLY ? 1 : raw;
    const own = data[at + 3] as number;
    data[at + 3] = share === 0 ? 0 : Math.round(share * (own === 0 ? 255 : own));
    if (share === 0 || share === 1 || (band.ground[place] as number) < 0) continue;
    // Of a faint pixel hardly anything is left to un-mix: there the subject's colour nearby is taken.
    const trust =
      (band.subject[place] as number) < 0 ? 1 : sqrt(max(0, min(1, (share - 0.1) / 0.8)));
    for (let c = 0; c < 3; c++) {
      const ground = back[place * 4 + c] as number;
      const unmixed = ground + ((data[at + c] as number) - ground) / share;
      data[at + c] = trust * unmixed + (1 - trust) * (fore[place * 4 + c] as number);
    }
  }
}

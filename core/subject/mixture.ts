/** A mixture of Gaussians over colours: what a colour costs, the less the likelier it is. */
export interface Mixture {
  /** The negative logarithm of how likely a colour is. */
  cost(l: number, a: number, b: number): number;
}

interface Part {
  /** Weight, sums and sums of products: 1, l, a, b, ll, la, lb, aa, ab, bb. */
  readonly sums: Float64Array;
}

interface Gaussian {
  readonly mean: readonly [number, number, number];
  /** The inverse of its covariance: ll, la, lb, aa, ab, bb. */
  readonly inverse: readonly [number, number, number, number, number, number];
  /** What it costs to be of it, at its mean. */
  readonly base: number;
}

/** Spread that no Gaussian goes below in any direction: the noise of cameras. */
const LEAST = 0.012 ** 2;
const ROUNDS = 4;
/** What a colour costs at most: beyond that all are as unlikely. */
const MOST_COST = 18;

/**
 * Fits a mixture to weighted colours: split along the longest axis, then assigned and estimated in turns.
 * Source: C. Rother, V. Kolmogorov, A. Blake, GrabCut (2004); M. Orchard, C. Bouman (1991).
 * @param colors three numbers each
 */
export function fitMixture(colors: Float64Array, weights: Float64Array, count: number): Mixture {
  const owners = new Uint8Array(weights.length);
  let parts: Part[] = [gathered(colors, weights, owners, 1)[0] as Part];
  while (parts.length < count) {
    const spreads = parts.map(({ sums }) => {
      const [variance] = longestAxis(sums);
      return variance * (sums[0] as number);
    });
    const widest = spreads.indexOf(Math.max(...spreads));
    const sums = (parts[widest] as Part).sums;
    const [variance, axis] = longestAxis(sums);
    if (variance < LEAST) break;
    const mean = meanOf(sums);
    for (let at = 0; at < owners.length; at++)
      if (owners[at] === widest) {
        let along = 0;
        for (let c = 0; c < 3; c++)
          along += ((colors[at * 3 + c] as number) - (mean[c] as number)) * (axis[c] as number);
        if (along > 0) owners[at] = parts.length;
      }
    parts = gathered(colors, weights, owners, parts.length + 1);
  }
  let gaussians = gaussiansOf(parts);
  for (let round = 0; round < ROUNDS; round++) {
    for (let at = 0; at < owners.length; at++)
      owners[at] = nearest(
        gaussians,
        colors[at * 3] as number,
        colors[at * 3 + 1] as number,
        colors[at * 3 + 2] as number,
      );
    gaussians = gaussiansOf(gathered(colors, weights, owners, gaussians.length));
  }
  return {
    cost(l, a, b) {
      let likely = 0;
      for (const gaussian of gaussians) likely += Math.exp(-costOf(gaussian, l, a, b));
      return Math.min(MOST_COST, -Math.log(Math.max(1e-12, likely)));
    },
  };
}

function gathered(
  colors: Float64Array,
  weights: Float64Array,
  owners: Uint8Array,
  count: number,
): Part[] {
  const parts = Array.from({ length: count }, () => ({ sums: new Float64Array(10) }));
  for (let at = 0; at < weights.length; at++) {
    const weight = weights[at] as number;
    if (weight === 0) continue;
    const { sums } = parts[owners[at] as number] as Part;
    const [l, a, b] = [
      colors[at * 3] as number,
      colors[at * 3 + 1] as number,
      colors[at * 3 + 2] as number,
    ];
    [1, l, a, b, l * l, l * a, l * b, a * a, a * b, b * b].forEach(
      (value, sum) => (sums[sum] = (sums[sum] as number) + value * weight),
    );
  }
  return parts;
}

const meanOf = (sums: Float64Array): [number, number, number] => {
  const weight = (sums[0] as number) || 1;
  return [(sums[1] as number) / weight, (sums[2] as number) / weight, (sums[3] as number) / weight];
};

function covarianceOf(sums: Float64Array): [number, number, number, number, number, number] {
  const weight = (sums[0] as number) || 1;
  const [l, a, b] = meanOf(sums);
  const of = (sum: number, one: number, other: number): number =>
    (sums[sum] as number) / weight - one * other;
  return [of(4, l, l), of(5, l, a), of(6, l, b), of(7, a, a), of(8, a, b), of(9, b, b)];
}

/** The largest variance and its direction, by iterated multiplication. */
function longestAxis(sums: Float64Array): [number, [number, number, number]] {
  const [ll, la, lb, aa, ab, bb] = covarianceOf(sums);
  let axis: [number, number, number] = [1, 0.7, 0.4];
  let variance = 0;
  for (let round = 0; round < 20; round++) {
    const [x, y, z] = axis;
    const made: [number, number, number] = [
      ll * x + la * y + lb * z,
      la * x + aa * y + ab * z,
      lb * x + ab * y + bb * z,
    ];
    variance = Math.hypot(...made);
    if (variance === 0) break;
    axis = [made[0] / variance, made[1] / variance, made[2] / variance];
  }
  return [variance, axis];
}

function gaussiansOf(parts: readonly Part[]): Gaussian[] {
  const whole = parts.reduce((sum, { sums }) => sum + (sums[0] as number), 0) || 1;
  return parts
    .filter(({ sums }) => (sums[0] as number) > whole * 1e-4)
    .map(({ sums }) => {
      const covariance = covarianceOf(sums);
      const [la, lb, ab] = [covariance[1], covariance[2], covariance[4]];
      const [ll, aa, bb] = [covariance[0] + LEAST, covariance[3] + LEAST, covariance[5] + LEAST];
      const determinant =
        ll * (aa * bb - ab * ab) - la * (la * bb - ab * lb) + lb * (la * ab - aa * lb);
      const share = (sums[0] as number) / whole;
      return {
        mean: meanOf(sums),
        inverse: [
          (aa * bb - ab * ab) / determinant,
          (lb * ab - la * bb) / determinant,
          (la * ab - lb * aa) / determinant,
          (ll * bb - lb * lb) / determinant,
          (la * lb - ll * ab) / determinant,
          (ll * aa - la * la) / determinant,
        ],
        base: 0.5 * Math.log(determinant) - Math.log(share) - OFFSET,
      } satisfies Gaussian;
    });
}

/** What the narrowest Gaussian costs at its mean, so that costs begin at about none. */
const OFFSET = 1.5 * Math.log(LEAST);

function costOf({ mean, inverse, base }: Gaussian, l: number, a: number, b: number): number {
  const [x, y, z] = [l - mean[0], a - mean[1], b - mean[2]];
  const [ll, la, lb, aa, ab, bb] = inverse;
  return base + 0.5 * (ll * x * x + aa * y * y + bb * z * z) + la * x * y + lb * x * z + ab * y * z;
}

function nearest(gaussians: readonly Gaussian[], l: number, a: number, b: number): number {
  let best = 0;
  let least = Infinity;
  for (let at = 0; at < gaussians.length; at++) {
    const cost = costOf(gaussians[at] as Gaussian, l, a, b);
    if (cost >= least) continue;
    least = cost;
    best = at;
  }
  return best;
}

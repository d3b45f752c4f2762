import * as z from 'zod';

/** What tells the cuts of a family apart. */
export const cutSchema = z.object({
  /** 400 is regular, 700 bold. */
  weight: z.number().min(1).max(1000),
  /** Of the family’s usual width, percent. */
  width: z.number().min(10).max(1000),
  italic: z.boolean(),
});
export type Cut = Readonly<z.infer<typeof cutSchema>>;

export const REGULAR: Cut = { weight: 400, width: 100, italic: false };

/** From this weight on letters are bold: they may be smaller or paler and are still read. */
const BOLD = 600;
export const isBold = ({ weight }: Pick<Cut, 'weight'>): boolean => weight >= BOLD;

/**
 * The cut that is nearest to one that is wanted: first by width, then by slope, then by weight; of equal
 * ones the first. Undefined only where there is none. Source: CSS Fonts Level 4, 5.2 (font matching).
 */
export function nearestCut<C extends Cut>(cuts: readonly C[], wanted: Cut): C | undefined {
  const byWidth = among(cuts, ({ width }) => farFromWidth(width, wanted.width));
  const bySlope = among(byWidth, ({ italic }) => (italic === wanted.italic ? 0 : 1));
  return among(bySlope, ({ weight }) => farFromWeight(weight, wanted.weight))[0];
}

/** Those of which a distance is least. */
function among<C>(cuts: readonly C[], distance: (cut: C) => number): C[] {
  const least = Math.min(...cuts.map(distance));
  return cuts.filter((cut) => distance(cut) === least);
}

const BEYOND = 10_000;

/** Towards the narrow from the usual width on down, and towards the wide from a wide one. */
function farFromWidth(width: number, wanted: number): number {
  const far = Math.abs(width - wanted);
  const isPreferred = wanted <= 100 ? width <= wanted : width >= wanted;
  return isPreferred ? far : BEYOND + far;
}

/** Light ones give way to lighter, bold ones to bolder; regular and medium first to each other. */
function farFromWeight(weight: number, wanted: number): number {
  const far = Math.abs(weight - wanted);
  if (far === 0) return 0;
  if (wanted >= 400 && wanted <= 500) {
    if (weight > wanted && weight <= 500) return far;
    return weight < wanted ? BEYOND + far : 2 * BEYOND + far;
  }
  const isPreferred = wanted < 400 ? weight < wanted : weight > wanted;
  return isPreferred ? far : BEYOND + far;
}

/** Cuts in the order in which people look for them: the usual width first, thin to heavy, upright before italic. */
export const inOrder = <C extends Cut>(cuts: readonly C[]): C[] =>
  [...cuts].sort(
    (one, other) =>
      Number(one.width !== 100) - Number(other.width !== 100) ||
      one.width - other.width ||
      one.weight - other.weight ||
      Number(one.italic) - Number(other.italic),
  );

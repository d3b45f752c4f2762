type Place = [number, number];

/** Places of a stroke or line that are kept with a picture at most. */
const MOST = 4000;

/** A line of as many places as can be kept: of more only every so many, and always the last. */
export function thinned(points: readonly Place[]): Place[] {
  const every = Math.ceil(points.length / MOST);
  return points.filter((_, at) => at % every === 0 || at === points.length - 1);
}

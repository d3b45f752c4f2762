/** Whether two plain values hold the same, whatever order their keys were written in. */
export function isSame(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || !one || !other) return false;
  if (Array.isArray(one) !== Array.isArray(other)) return false;
  const [mine, theirs] = [one as Record<string, unknown>, other as Record<string, unknown>];
  const keys = Object.keys(mine);
  return (
    keys.length === Object.keys(theirs).length &&
    keys.every((key) => key in theirs && isSame(mine[key], theirs[key]))
  );
}

/** A plain value with the keys of its records in order, so that alike values are written alike. */
export function sortedKeys(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sortedKeys);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([one], [other]) => (one < other ? -1 : 1))
      .map(([key, inner]) => [key, sortedKeys(inner)]),
  );
}

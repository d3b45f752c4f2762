/** Values never change, so what is made of one is made once, and for as long as it is the same value. */
export function onceFor<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const made = new WeakMap<K, { readonly value: V }>();
  return (key) => {
    const known = made.get(key);
    if (known) return known.value;
    const value = make(key);
    made.set(key, { value });
    return value;
  };
}

/** The same for a value and a number or text beside it: all that were asked for are kept with the value. */
export function onceForEach<K extends object, P extends string | number, V>(
  make: (key: K, beside: P) => V,
): (key: K, beside: P) => V {
  const tables = onceFor<K, Map<P, V>>(() => new Map());
  return (key, beside) => {
    const known = tables(key);
    const found = known.get(beside);
    if (found !== undefined || known.has(beside)) return found as V;
    const value = make(key, beside);
    known.set(beside, value);
    return value;
  };
}

/**
 * What is made of a value with others beside it: kept while all of those stay the same values, and made
 * anew when one is another. Only the latest is kept.
 */
export function latestFor<K extends object, D extends readonly unknown[], V>(
  make: (key: K, ...dependencies: D) => V,
): (key: K, ...dependencies: D) => V {
  const made = new WeakMap<K, { readonly dependencies: D; readonly value: V }>();
  return (key, ...dependencies) => {
    const known = made.get(key);
    if (known && isSameItems(known.dependencies, dependencies)) return known.value;
    const value = make(key, ...dependencies);
    made.set(key, { dependencies, value });
    return value;
  };
}

/** Whether two lists hold the very same values. */
export function isSameItems(one: readonly unknown[], other: readonly unknown[]): boolean {
  return one.length === other.length && one.every((item, at) => Object.is(item, other[at]));
}

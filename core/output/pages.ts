import { err, ok, type Result } from '../base/index.ts';

/** Reads which sheets are meant, `1-3, 5`, as numbers from 0 in their order; an empty text means all. */
export function parsePages(text: string, count: number): Result<number[]> {
  if (text.trim() === '') return ok(Array.from({ length: count }, (_, at) => at));
  const wanted = new Set<number>();
  for (const part of text.split(/[,;\s]+/).filter(Boolean)) {
    const found = /^(\d{1,4})(?:[-–](\d{1,4}))?$/.exec(part);
    const [first, last] = [Number(found?.[1]), Number(found?.[2] ?? found?.[1])];
    if (!found || first < 1 || last < first || last > count)
      return err('output/pages', { part, count });
    for (let page = first; page <= last; page++) wanted.add(page - 1);
  }
  return ok([...wanted].sort((one, other) => one - other));
}

import { copyId, madeOf, type CopyId, type Plan } from '../sheet/index.ts';
import type { Job } from './schema.ts';

/** A plan that wants its spares by number, so that single copies can be added and taken away. */
export function withoutSpares(job: Job): Plan {
  const { spares, ...plan } = job.plan;
  if (!spares) return plan;
  const wanted = job.pieces.map(({ id }) => [id, madeOf(job.plan, id)] as const);
  return { ...plan, wanted: Object.fromEntries(wanted) };
}

/**
 * A plan without some copies: so many fewer are wanted. Those that were nested or moved stay where they
 * are; they are counted on without a gap.
 */
export function withoutCopies(job: Job, copies: readonly CopyId[]): Plan {
  const plan = withoutSpares(job);
  const wanted = { ...plan.wanted };
  const moved: Plan['moved'] = {};
  const away = new Set<string>(copies);
  const dropped = new Map<string, Set<number>>();
  for (const { id } of job.pieces) {
    const count = wanted[id] ?? 0;
    let [next, nested] = [1, 0];
    const gone = new Set<number>();
    for (let number = 1; number <= count; number++) {
      const name = copyId(id, number);
      const place = plan.moved[name];
      const own = place?.pinned ? undefined : nested++;
      if (!away.has(name)) {
        if (place) moved[copyId(id, next)] = place;
        next++;
      } else if (own !== undefined) gone.add(own);
    }
    wanted[id] = next - 1;
    dropped.set(id, gone);
  }
  const seen = new Map<string, number>();
  const kept = plan.nested?.map((sheet) =>
    sheet.filter(({ piece }) => {
      const at = seen.get(piece) ?? 0;
      seen.set(piece, at + 1);
      return !dropped.get(piece)?.has(at);
    }),
  );
  return { ...plan, wanted, moved, ...(kept ? { nested: kept } : {}) };
}

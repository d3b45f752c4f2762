import {
  copyId,
  copyParts,
  findCopy,
  isByRow,
  copyIds,
  copyCount,
  type CopyId,
  type Plan,
} from '../sheet/index.ts';
import { withOneOffs } from './one-offs.ts';
import type { Job } from './schema.ts';

/** A plan that wants its spares by number, so that single copies can be added and taken away. */
export function withoutSpares(job: Job): Plan {
  const { spares, ...plan } = job.plan;
  if (!spares) return plan;
  const wanted = job.pieces.map(
    ({ id }) => [id, isByRow(job, id) ? (plan.wanted[id] ?? 0) : copyCount(job, id)] as const,
  );
  return { ...plan, wanted: Object.fromEntries(wanted) };
}

/**
 * A plan without some copies: so many fewer are wanted. Those that were nested or moved stay where they
 * are; they are counted on without a gap.
 */
export function withoutCopies(job: Job, copies: readonly CopyId[]): Plan {
  const plan = withoutSpares(job);
  const wanted = { ...plan.wanted };
  const handPlaces: Plan['handPlaces'] = Object.fromEntries(
    Object.entries(plan.handPlaces).filter(([copy]) => isByRow(job, copyParts(copy).piece)),
  );
  const away = new Set<string>(copies);
  const dropped = new Map<string, Set<number>>();
  for (const { id } of job.pieces) {
    if (isByRow(job, id)) continue;
    const count = wanted[id] ?? 0;
    let [next, nested] = [1, 0];
    const gone = new Set<number>();
    for (let number = 1; number <= count; number++) {
      const name = copyId(id, number);
      const place = plan.handPlaces[name];
      const own = place?.pinned ? undefined : nested++;
      if (!away.has(name)) {
        if (place) handPlaces[copyId(id, next)] = place;
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
  return { ...plan, wanted, handPlaces, ...(kept ? { nested: kept } : {}) };
}

/**
 * The job without copies that rows of its list give: a row of which every copy goes is switched off; of
 * others single places stay empty.
 */
export function withoutRows(job: Job, copies: readonly CopyId[]): Job {
  const away = new Set<string>(copies.filter((copy) => isByRow(job, copyParts(copy).piece)));
  if (!job.list || away.size === 0) return job;
  const stays = new Set(
    job.pieces
      .filter(({ id }) => isByRow(job, id))
      .flatMap(({ id }) => copyIds(job, id))
      .filter((copy) => !away.has(copy))
      .map((copy) => findCopy(job, copy)?.row),
  );
  const gone = new Set(
    [...away].map((copy) => findCopy(job, copy as CopyId)?.row).filter((row) => !stays.has(row)),
  );
  const list = {
    ...job.list,
    rows: job.list.rows.map((row) => (gone.has(row) ? { ...row, off: true as const } : row)),
  };
  const empty = [...away].filter((copy) => !gone.has(findCopy(job, copy as CopyId)?.row));
  const out = empty.map((copy) => [copy, { ...job.oneOffs?.[copy], out: true as const }] as const);
  const next = gone.size ? { ...job, list } : job;
  return out.length ? withOneOffs(next, { ...job.oneOffs, ...Object.fromEntries(out) }) : next;
}

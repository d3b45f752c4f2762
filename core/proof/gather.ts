import type { Finding } from './finding.ts';

/** Findings of one kind in several pieces, or one alone. */
export interface GatheredFindings {
  /** In the order in which they were found; at least one. */
  readonly findings: readonly [Finding, ...Finding[]];
  /** In how many pieces they are. */
  readonly pieces: number;
}

/** Findings of one kind and severity that are in more than one piece together, each other one by itself, in order. */
export function gatherFindings(findings: readonly Finding[]): GatheredFindings[] {
  const kinds = new Map<string, Finding[]>();
  for (const finding of findings) {
    const kind = `${finding.severity} ${finding.code}`;
    kinds.set(kind, [...(kinds.get(kind) ?? []), finding]);
  }
  return [...kinds.values()].flatMap((all): GatheredFindings[] => {
    const pieces = new Set(all.flatMap(({ where }) => where.piece ?? [])).size;
    const [first, ...others] = all;
    if (!first) return [];
    return pieces > 1
      ? [{ findings: [first, ...others], pieces }]
      : all.map((one) => ({ findings: [one], pieces: 1 }));
  });
}

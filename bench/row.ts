/** One figure of the table. */
export interface Row {
  readonly what: string;
  readonly measured: number;
  readonly unit: string;
  readonly baseline?: number;
  readonly wanted: string;
}

/** The middle of several measurements. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length / 2)] ?? NaN;
}

/** The value that 95 % of measurements do not exceed. */
export function percentile95(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * 0.95))] ?? NaN;
}

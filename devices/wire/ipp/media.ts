/** Sizes of paper that printers call by name (PWG 5101.1), mm. */
const NAMED: readonly (readonly [string, number, number])[] = [
  ['iso_a3_297x420mm', 297, 420],
  ['iso_a4_210x297mm', 210, 297],
  ['iso_a5_148x210mm', 148, 210],
  ['iso_a6_105x148mm', 105, 148],
  ['na_letter_8.5x11in', 215.9, 279.4],
  ['na_legal_8.5x14in', 215.9, 355.6],
  ['na_index-4x6_4x6in', 101.6, 152.4],
];

const TOLERANCE = 0.6; // mm

const trimmed = (value: number): string => String(Math.round(value * 100) / 100);

/** The name of a size of paper: of the standard where it has one, else one that says the size itself. */
export function mediaName(width: number, height: number): string {
  const known = NAMED.find(
    ([, wide, high]) => Math.abs(wide - width) < TOLERANCE && Math.abs(high - height) < TOLERANCE,
  );
  const size = `${trimmed(width)}x${trimmed(height)}mm`;
  return known?.[0] ?? `custom_${size}_${size}`;
}

/** The size that a self-describing name of paper says, mm; undefined for other names. */
export function findMediaSize(name: string): { width: number; height: number } | undefined {
  const [, wide, high, unit] = /_(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?)(mm|in)$/.exec(name) ?? [];
  const by = unit === 'in' ? 25.4 : 1;
  return wide && high ? { width: Number(wide) * by, height: Number(high) * by } : undefined;
}

/** Writes a number for a file: at most `digits` decimals (up to six), no exponent, no idle zeros, no −0. */
export function written(value: number, digits = 4): string {
  const whole = 10 ** digits;
  const rounded = Math.round(value * whole) / whole;
  return rounded === 0 ? '0' : String(rounded);
}

/** Several numbers, parted by spaces. */
export function writtenAll(values: readonly number[], digits = 4): string {
  return values.map((value) => written(value, digits)).join(' ');
}

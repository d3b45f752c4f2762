/** Writes a number for a file: at most `digits` decimals, no exponent, no idle zeros, no −0. */
export function written(value: number, digits = 4): string {
  const text = value.toFixed(digits);
  const plain = text.includes('.') ? text.replace(/\.?0+$/, '') : text;
  return plain === '-0' || plain === '' ? '0' : plain;
}

/** Several numbers, parted by spaces. */
export function writtenAll(values: readonly number[], digits = 4): string {
  return values.map((value) => written(value, digits)).join(' ');
}

/** A point on a turned ray from a centre: angle in degrees clockwise from straight up. */
export function ray(x: number, y: number, angle: number, length: number): [number, number] {
  const turn = (angle * Math.PI) / 180;
  return [round(x + Math.sin(turn) * length), round(y - Math.cos(turn) * length)];
}

/** A slim pointed petal from a base outwards. */
export function petal(
  base: readonly [number, number],
  angle: number,
  { length, width, belly = 0.55 }: { length: number; width: number; belly?: number },
): string {
  const [x, y] = base;
  const tip = ray(x, y, angle, length);
  const middle = ray(x, y, angle, length * belly);
  const left = ray(middle[0], middle[1], angle - 90, width / 2);
  const right = ray(middle[0], middle[1], angle + 90, width / 2);
  return `M${x} ${y}Q${left.join(' ')} ${tip.join(' ')}Q${right.join(' ')} ${x} ${y}Z`;
}

/** One filled shape. */
export function shape(d: string, fill: string, more = ''): string {
  return `<path d="${d}" fill="${fill}"${more}/>`;
}

/** One line. */
export function stroke(d: string, color: string, width: number): string {
  return `<path d="${d}" fill="none" stroke="${color}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round"/>`;
}

/** A drawing of a size in mm; its units are mm. */
export function picture(width: number, height: number, parts: readonly string[]): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">${parts.join('')}</svg>`;
}

/** Two decimals are finer than any printer. */
export function round(value: number): number {
  return Math.round(value * 100) / 100;
}

import { picture, ray, round, shape, stroke } from './svg.ts';

const spot = (x: number, y: number, r: number, fill: string, squash = 0.8): string =>
  `<ellipse cx="${x}" cy="${y}" rx="${r}" ry="${round(r * squash)}" fill="${fill}"/>`;

/** A toadstool with a small one beside it, 40 x 40 mm. */
export function mushroom(cap: string, shade: string, stem: string, moss: string): string {
  return picture(40, 40, [
    shape('M3 36.6C8 31.6 32 31.6 37 36.6C31 39 9 39 3 36.6Z', moss),
    shape(
      'M13.4 35C15 29.4 15 24 14.6 18.6H22.8C22.4 24 22.6 29.4 24.4 35C20.6 36.4 17 36.4 13.4 35Z',
      stem,
    ),
    shape(
      'M19.6 35.8C20.6 29.4 20.6 24 20.2 18.6H22.8C22.4 24 22.6 29.4 24.4 35C22.8 35.6 21.2 35.9 19.6 35.8Z',
      '#d9c8ab',
    ),
    shape(
      'M3.4 19.6C4.6 9.4 11 3.2 18.8 3.2C26.6 3.2 33 9.4 34.2 19.6C28.6 22.6 9 22.6 3.4 19.6Z',
      cap,
    ),
    shape(
      'M3.4 19.6C9 22.6 28.6 22.6 34.2 19.6C33.8 17.4 33.4 16.4 33 15.4C26 19 11.6 19 4.6 15.4C4.2 16.4 3.8 17.4 3.4 19.6Z',
      shade,
    ),
    spot(13, 9.4, 2.5, '#fdf6e8'),
    spot(21.4, 6.6, 1.6, '#fdf6e8'),
    spot(25.6, 12.4, 2.7, '#fdf6e8'),
    spot(17.2, 14.6, 1.7, '#fdf6e8'),
    spot(8.2, 14.2, 1.5, '#fdf6e8'),
    shape(
      'M28 36C28.8 33.4 28.8 31.6 28.6 29.6H32.2C32 31.6 32.2 33.4 33 36C31.4 36.8 29.6 36.8 28 36Z',
      stem,
    ),
    shape(
      'M24.6 30C25.2 26 27.4 23.8 30.4 23.8C33.4 23.8 35.6 26 36.2 30C33.6 31.4 27.2 31.4 24.6 30Z',
      cap,
    ),
    spot(29.2, 26.6, 0.9, '#fdf6e8'),
    spot(32.4, 28, 0.8, '#fdf6e8'),
  ]);
}

/** A broad leaf with its veins, 30 x 44 mm. */
export function broadLeaf(blade: string, light: string, stalk: string): string {
  const veins = [12, 18, 24, 30].flatMap((y, index) => {
    const reach = [7, 9.4, 9.2, 6.6][index] ?? 8;
    return [-1, 1].map((side) => {
      const [x2, y2] = ray(15, y, side * 52, reach);
      return stroke(`M15 ${y}L${x2} ${y2}`, light, 0.5);
    });
  });
  return picture(30, 44, [
    stroke('M15 34C15 37.6 14.4 40.4 13 43', stalk, 1.3),
    shape(
      'M15 1.4C22.4 6.8 28.2 13.6 28.2 21.4C28.2 29.4 22.6 34.6 15 35.4C7.4 34.6 1.8 29.4 1.8 21.4C1.8 13.6 7.6 6.8 15 1.4Z',
      blade,
    ),
    shape(
      'M15 1.4C22.4 6.8 28.2 13.6 28.2 21.4C28.2 29.4 22.6 34.6 15 35.4Z',
      light,
      ' fill-opacity="0.28"',
    ),
    stroke('M15 5V35', light, 0.8),
    ...veins,
  ]);
}

/** A fern frond that bends to one side, 30 x 44 mm. */
export function frond(leaf: string, light: string): string {
  const parts = [stroke('M12 43C13.4 33 15 18 21 3', leaf, 1)];
  for (let at = 0; at < 10; at++) {
    const share = at / 10;
    const [x, y] = [12 + 9 * share * share + 0.8 * share, 38 - 33 * share];
    const length = 10.4 * (1 - 0.72 * share);
    for (const side of [-1, 1]) {
      const angle = 18 + side * (62 - 20 * share);
      const tip = ray(x, y, angle, length);
      const belly = ray(x, y, angle - side * 16, length * 0.55);
      const back = ray(x, y, angle + side * 18, length * 0.5);
      parts.push(
        shape(
          `M${round(x)} ${round(y)}Q${belly.join(' ')} ${tip.join(' ')}Q${back.join(' ')} ${round(x)} ${round(y)}Z`,
          side < 0 ? leaf : light,
        ),
      );
    }
  }
  return picture(30, 44, parts);
}

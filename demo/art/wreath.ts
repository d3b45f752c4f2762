import { petal, picture, ray, round, shape, stroke } from './svg.ts';

/** Two leafy twigs that meet at the foot of a round label, 36 x 36 mm. */
export function wreath(leaf: string, light: string, berry: string): string {
  const parts: string[] = [];
  for (const side of [-1, 1]) {
    const points = Array.from({ length: 9 }, (_, index) =>
      ray(18, 18, side * (176 - index * 17), 14.2),
    );
    parts.push(stroke(`M${points.map((point) => point.join(' ')).join('L')}`, leaf, 0.5));
    points.forEach(([x, y], index) => {
      if (index === 0) return;
      const along = side * (176 - index * 17) - side * 90;
      const length = 5.4 - index * 0.28;
      parts.push(shape(petal([x, y], along - side * 34, { length, width: length * 0.5 }), leaf));
      parts.push(
        shape(
          petal([x, y], along + side * 34, { length: length * 0.86, width: length * 0.44 }),
          light,
        ),
      );
      if (index % 3 === 1) {
        const [bx, by] = ray(x, y, along + side * 78, 2.1);
        parts.push(`<circle cx="${round(bx)}" cy="${round(by)}" r="0.75" fill="${berry}"/>`);
      }
    });
  }
  return picture(36, 36, parts);
}

/** A seedling with two leaves in a little soil, 20 x 20 mm. */
export function seedling(leaf: string, light: string, soil: string): string {
  return picture(20, 20, [
    shape('M3 17.2C5.6 14.8 14.4 14.8 17 17.2C14 18.8 6 18.8 3 17.2Z', soil),
    stroke('M10 16.4C10.2 12.6 9.8 10.4 10 8', leaf, 0.9),
    shape('M10 9C4.6 9.4 2.2 6.6 1.8 2.2C6.6 2 9.6 4.4 10 9Z', leaf),
    shape('M10 9C15.4 9.4 17.8 6.6 18.2 2.2C13.4 2 10.4 4.4 10 9Z', light),
    stroke('M9.4 8.2C7.6 6 5.6 4.4 3.6 3.4', light, 0.35),
    stroke('M10.6 8.2C12.4 6 14.4 4.4 16.4 3.4', leaf, 0.35),
  ]);
}

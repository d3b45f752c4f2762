import { between, line, maker, name, picture, stack, WHOLE } from '../stack.ts';
import type { Design } from '../design.ts';

const CAPITALS = { case: 'upper', tracking: 12 } as const;

/** Designs that are built about a middle, with words along the rim where that is round. */
const seal: Design = {
  uses: ['food', 'shop', 'gifts', 'plants'],
  make: (l) => {
    const { room } = l.given;
    if (room.radius === undefined)
      return {
        elements: [
          l.ring(0),
          ...stack(
            l,
            l.isWide
              ? [maker(), name({}, 1, 3), line(CAPITALS)]
              : [maker(), picture(3.2, 0.6), name({ wrap: l.isTall }, 1, 2), line(CAPITALS)],
            { ...WHOLE, w: 0.88, h: 0.84 },
          ),
        ],
      };
    return {
      elements: [
        l.ring(0),
        ...l.around('maker', { side: 'top', inset: 0.05, h: 0.2 }, { case: 'upper', tracking: 14 }),
        ...l.around(
          'line',
          { side: 'bottom', inset: 0.07, h: 0.13 },
          { case: 'upper', tracking: 10 },
        ),
        l.picture({ y: -0.12, w: 0.5, h: 0.44 }),
        ...l.says('name', { y: 0.21, w: 0.76, h: 0.2 }),
      ],
    };
  },
};

const beaded: Design = {
  uses: ['gifts', 'celebrations', 'care', 'food'],
  make: (l) => {
    const { colors, room } = l.given;
    const inks = [colors.accent, colors.accent] as const;
    const beads =
      room.radius === undefined
        ? l.ring(0, { style: 'dotted', width: l.hair * 1.6, color: colors.accent })
        : l.ornament('beads', l.aroundRim(room.radius), { inks, weight: l.hair * 1.1, count: 60 });
    return {
      elements: [
        beads,
        ...stack(
          l,
          [
            maker({ tracking: 16 }),
            name({ wrap: !l.isWide }, 1, 3),
            between('scroll', { inks }, 0.4, 0.8),
            line({}, 0.74),
          ],
          { ...WHOLE, w: 0.88, h: 0.84 },
        ),
      ],
    };
  },
};

const burstSeal: Design = {
  uses: ['shop', 'celebrations', 'children', 'food'],
  make: (l) => {
    const { colors, room } = l.given;
    const reach = room.radius === undefined ? 1.04 : (room.radius * 2) / l.least;
    if (room.bent) return { elements: stack(l, [maker(), name(), line()]) };
    if (l.isWide) {
      const side = Math.min(0.34, (0.96 * l.height) / l.width);
      const x = (side - 1) / 2;
      const letter = [...l.said('name')][0] ?? '';
      return {
        elements: [
          l.ornament(
            'burst',
            { x, w: side, h: 1 },
            { inks: [colors.accent, colors.accent], count: 24 },
          ),
          ...l.text(
            letter,
            { x, w: side * 0.5, h: (side * 0.5 * l.width) / l.height },
            { case: 'upper', color: l.readable(colors.ground, colors.accent) },
          ),
          ...stack(l, [maker(), name({}, 1, 3), line()], {
            ...{ x: side / 2 + 0.02, y: 0, w: 0.94 - side, h: 0.9 },
          }),
        ],
      };
    }
    return {
      elements: [
        l.ornament('burst', l.square({ w: reach, h: reach }), {
          inks: [colors.ink, colors.ink],
          count: 30,
        }),
        ...l.plate('circle', l.square({ w: reach * 0.78, h: reach * 0.78 }), colors.ground),
        ...stack(
          l,
          [
            maker({}, 0.66),
            name({ wrap: true }, 1, 2.6),
            line({ color: l.readable(colors.accent) }, 0.7),
          ],
          { ...WHOLE, ...l.square({ w: reach * 0.7, h: reach * 0.54 }) },
        ),
      ],
    };
  },
};

const roped: Design = {
  uses: ['food', 'shop', 'home', 'gifts'],
  make: (l) => {
    const { colors, room } = l.given;
    const inks = [colors.accent, colors.accent] as const;
    if (room.radius === undefined)
      return {
        elements: [
          l.ring(0, { width: l.hair * 2.4, style: 'dashed', color: colors.accent }),
          l.ring(0.045, { width: l.hair * 0.6 }),
          ...stack(l, [maker(), name({ wrap: !l.isWide }, 1, 3), line(CAPITALS, 0.84, 0.9)], {
            ...WHOLE,
            w: 0.84,
            h: 0.78,
          }),
        ],
      };
    return {
      elements: [
        l.ornament('rope', l.aroundRim(room.radius), { inks, weight: l.hair * 1.5 }),
        ...l.around('maker', { side: 'top', inset: 0.14, h: 0.17 }, CAPITALS),
        ...l.says('name', { y: 0.02, w: 0.9, h: 0.36 }, { wrap: true }),
        ...l.around(
          'line',
          { side: 'bottom', inset: 0.15, h: 0.12 },
          { case: 'upper', tracking: 8 },
        ),
      ],
    };
  },
};

const monogram: Design = {
  uses: ['gifts', 'celebrations', 'home', 'shop'],
  make: (l) => {
    const { colors, room } = l.given;
    const letter = [...l.said('name')][0] ?? '';
    const color = l.readable(colors.accent);
    const rings = [l.ring(0, { width: l.hair * 2 }), l.ring(0.045, { width: l.hair * 0.6 })];
    if (room.radius === undefined)
      return {
        elements: [
          ...rings,
          ...(l.isWide
            ? [
                ...l.text(letter, { x: -0.34, w: 0.2, h: 0.76 }, { case: 'upper', color }),
                ...stack(l, [name({ ...CAPITALS, face: 'text' }, 1, 2.2), line(), maker()], {
                  ...{ x: 0.13, y: 0, w: 0.62, h: 0.72 },
                }),
              ]
            : [
                ...l.text(letter, { y: -0.12, w: 0.7, h: 0.44 }, { case: 'upper', color }),
                ...stack(l, [name({ ...CAPITALS, face: 'text' }, 1, 1.6), line(), maker()], {
                  ...{ x: 0, y: 0.27, w: 0.82, h: 0.26 },
                }),
              ]),
        ],
      };
    return {
      elements: [
        ...rings,
        ...l.around('name', { side: 'top', inset: 0.13, h: 0.15 }, { case: 'upper', tracking: 16 }),
        ...l.text(letter, { y: 0.02, w: 0.6, h: 0.62 }, { case: 'upper', color }),
        ...l.around(
          'line',
          { side: 'bottom', inset: 0.15, h: 0.11 },
          { case: 'upper', tracking: 10 },
        ),
      ],
    };
  },
};

/** Dashes between fine lines around it, the picture in the middle, as a stamp in ink. */
const stamped: Design = {
  uses: ['shop', 'food', 'gifts', 'plants'],
  make: (l) => {
    const { colors, room } = l.given;
    const ink = l.readable(colors.accent);
    const look = { color: ink };
    if (room.radius === undefined)
      return {
        elements: [
          l.ring(0.01, { color: ink, width: l.hair * 1.6 }),
          ...stack(
            l,
            [
              maker(look),
              name({ ...look, case: 'upper', wrap: !l.isWide }, 1, 3),
              between('divider', { inks: [ink, ink] }, 0.4, 0.5),
              line(look, 0.84, 1),
            ],
            { ...WHOLE, w: 0.86, h: 0.8 },
          ),
        ],
      };
    return {
      elements: [
        l.ornament('dashes', l.aroundRim(room.radius), { inks: [ink, ink], count: 44 }),
        ...l.around('maker', { side: 'top', inset: 0.17, h: 0.14 }, { ...CAPITALS, ...look }),
        ...l.says('name', { y: 0, w: 0.84, h: 0.3 }, { ...look, case: 'upper', wrap: true }),
        ...l.around('line', { side: 'bottom', inset: 0.18, h: 0.11 }, { ...CAPITALS, ...look }),
      ],
    };
  },
};

/** Built about a middle, the first that is offered first. */
export const SEALS = { seal, roped, stamped, beaded, burstSeal, monogram };

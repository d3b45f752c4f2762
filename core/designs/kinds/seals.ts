import type { Design } from '../layout.ts';

const SMALL_CAPITALS = { face: 'text', case: 'upper', tracking: 12 } as const;

/** Designs that are built about a middle, with words along the rim. */
export const seal: Design = {
  hollow: true,
  make(l) {
    const { words, room } = l.given;
    const round = room.radius !== undefined;
    const rim = [
      l.ring(0),
      ...l.around(
        words.maker,
        { side: 'top', inset: 0.05, h: 0.2 },
        { case: 'upper', tracking: 14 },
      ),
      ...l.around(
        words.line,
        { side: 'bottom', inset: 0.07, h: 0.13 },
        { case: 'upper', tracking: 10 },
      ),
    ];
    if (room.hollow) return { elements: [...rim, l.ring(0.32, { width: l.hair * 0.7 })] };
    return {
      elements: [
        ...rim,
        l.picture(round ? { y: -0.12, w: 0.5, h: 0.44 } : { y: -0.1, w: 0.5, h: 0.34 }),
        ...l.text(words.name, { y: round ? 0.21 : 0.19, w: round ? 0.76 : 0.86, h: 0.2 }),
      ],
    };
  },
};

export const beaded: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    const beads =
      room.radius === undefined
        ? [l.ring(0, { style: 'dotted', width: l.hair * 1.6, color: colors.accent })]
        : [
            l.ornament(
              'beads',
              { w: (room.radius * 2) / l.width, h: (room.radius * 2) / l.height },
              {
                inks: [colors.accent, colors.accent],
                weight: l.hair * 1.1,
                count: 60,
              },
            ),
          ];
    return {
      elements: [
        ...beads,
        ...l.text(
          words.maker,
          { y: -0.34, w: 0.7, h: 0.09 },
          { face: 'text', case: 'upper', tracking: 16 },
        ),
        ...l.text(words.name, { y: -0.03, w: 0.98, h: 0.34 }, { wrap: true }),
        l.ornament(
          'scroll',
          { y: 0.24, w: 0.5, h: 0.12 },
          { inks: [colors.accent, colors.accent] },
        ),
        ...l.text(words.line, { y: 0.39, w: 0.7, h: 0.1 }, { face: 'text' }),
      ],
    };
  },
};

export const laurelled: Design = {
  make(l) {
    const { words, colors } = l.given;
    const inks = [colors.accent, colors.accent] as const;
    if (l.isWide)
      return {
        elements: [
          l.ornament('sprig', { x: -0.42, w: 0.16, h: 0.9 }, { inks, angle: -8, count: 6 }),
          l.ornament(
            'sprig',
            { x: 0.42, w: 0.16, h: 0.9 },
            { inks, angle: 8, flip: 'across', count: 6 },
          ),
          ...l.text(words.name, { y: -0.06, w: 0.64, h: 0.5 }),
          ...l.text(words.line, { y: 0.34, w: 0.6, h: 0.16 }, SMALL_CAPITALS),
        ],
      };
    return {
      elements: [
        l.ornament('laurel', l.square({ w: 1.12, h: 1.12 }), { inks, count: 11 }),
        ...l.text(words.maker, l.square({ y: -0.27, w: 0.5, h: 0.09 }), SMALL_CAPITALS),
        ...l.text(words.name, l.square({ y: 0, w: 0.72, h: 0.34 }), { wrap: true }),
        ...l.text(words.line, l.square({ y: 0.27, w: 0.48, h: 0.1 }), { face: 'text' }),
      ],
    };
  },
};

export const wreathed: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    const wide = room.radius === undefined ? 1 : (room.radius * 2) / l.width;
    if (l.isWide || l.isTall)
      return {
        elements: [
          l.ornament(
            'branch',
            { y: -0.41, w: 0.8, h: 0.17 },
            { inks: [colors.ink, colors.accent] },
          ),
          ...l.text(words.name, { y: -0.02, w: 0.94, h: 0.4 }, { wrap: l.isTall }),
          ...l.text(words.line, { y: 0.23, w: 0.8, h: 0.11 }, { face: 'text' }),
          l.ornament(
            'branch',
            { y: 0.42, w: 0.8, h: 0.17 },
            { inks: [colors.ink, colors.accent], flip: 'both' },
          ),
        ],
      };
    return {
      elements: [
        l.ornament(
          'wreath',
          { w: wide, h: wide * (l.width / l.height) },
          { inks: [colors.ink, colors.accent], count: 26 },
        ),
        ...l.text(words.name, { y: -0.03, w: 0.6, h: 0.3 }, { wrap: true }),
        ...l.text(words.line, { y: 0.22, w: 0.56, h: 0.1 }, { face: 'text' }),
      ],
    };
  },
};

export const burstSeal: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    const reach = room.radius === undefined ? 1.04 : (room.radius * 2) / l.least;
    const [whole, inner] = [reach, reach * 0.78].map((side) => l.square({ w: side, h: side }));
    return {
      elements: [
        l.ornament('burst', whole ?? {}, { inks: [colors.ink, colors.ink], count: 30 }),
        ...l.plate('circle', inner ?? {}, colors.ground),
        ...l.text(words.maker, l.square({ y: -0.22, w: 0.52, h: 0.09 }), SMALL_CAPITALS),
        ...l.text(words.name, l.square({ y: 0.01, w: 0.74, h: 0.32 }), { wrap: true }),
        ...l.text(words.line, l.square({ y: 0.24, w: 0.5, h: 0.09 }), {
          face: 'text',
          color: colors.accent,
        }),
      ],
    };
  },
};

export const roped: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    const rim =
      room.radius === undefined
        ? [l.ring(0, { width: l.hair * 2.4, style: 'dashed', color: colors.accent })]
        : [
            l.ornament(
              'rope',
              { w: (room.radius * 2) / l.width, h: (room.radius * 2) / l.height },
              {
                inks: [colors.accent, colors.accent],
                weight: l.hair * 1.5,
              },
            ),
          ];
    return {
      elements: [
        ...rim,
        ...l.around(
          words.maker,
          { side: 'top', inset: 0.14, h: 0.17 },
          { case: 'upper', tracking: 12 },
        ),
        ...l.text(words.name, { y: 0.02, w: 0.9, h: 0.36 }, { wrap: true }),
        ...l.around(
          words.line,
          { side: 'bottom', inset: 0.15, h: 0.12 },
          { case: 'upper', tracking: 8 },
        ),
      ],
    };
  },
};

export const monogram: Design = {
  make(l) {
    const { words, colors } = l.given;
    const letter = [...words.name.trim()][0] ?? '';
    return {
      elements: [
        l.ring(0, { width: l.hair * 2 }),
        l.ring(0.045, { width: l.hair * 0.6 }),
        ...l.around(
          words.name,
          { side: 'top', inset: 0.13, h: 0.15 },
          { case: 'upper', tracking: 16 },
        ),
        ...l.text(letter, { y: 0.02, w: 0.6, h: 0.62 }, { case: 'upper', color: colors.accent }),
        ...l.around(
          words.line,
          { side: 'bottom', inset: 0.15, h: 0.11 },
          { case: 'upper', tracking: 10 },
        ),
      ],
    };
  },
};

import type { Design } from '../layout.ts';

/** Designs for gifts and days. */
export const party: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    return {
      elements: [
        ...(room.bent
          ? []
          : [
              l.ornament(
                'bunting',
                { y: -0.34, w: 1, h: 0.3 },
                { inks: [colors.accent, colors.ink] },
              ),
            ]),
        ...l.text(words.name, { y: 0.04, w: 0.96, h: 0.36 }, { wrap: true }),
        ...l.text(words.line, { y: 0.33, w: 0.8, h: 0.12 }, { face: 'text' }),
      ],
    };
  },
};

export const love: Design = {
  make(l) {
    const { words, colors } = l.given;
    return {
      elements: [
        l.ornament(
          'hearts',
          { y: -0.3, w: 0.7, h: 0.16 },
          { inks: [colors.accent, colors.accent] },
        ),
        ...l.text(words.name, { y: 0, w: 0.96, h: 0.34 }, { wrap: l.isTall }),
        ...l.text(words.line, { y: 0.25, w: 0.8, h: 0.12 }, { face: 'text' }),
        ...l.text(
          words.maker,
          { y: 0.4, w: 0.6, h: 0.08 },
          { face: 'text', case: 'upper', tracking: 12, color: colors.accent },
        ),
      ],
    };
  },
};

export const leafRing: Design = {
  hollow: true,
  make(l) {
    const { words, colors, room } = l.given;
    const { radius } = room;
    const sprigs =
      radius === undefined
        ? [
            l.ornament(
              'branch',
              { y: -0.36, w: 0.9, h: 0.24 },
              { inks: [colors.ink, colors.accent] },
            ),
          ]
        : [
            {
              ...l.ornament(
                'sprig',
                { w: 0.2, h: (radius * 0.36) / l.height },
                {
                  inks: [colors.ink, colors.accent],
                  count: 3,
                  repeat: { kind: 'around', times: 12, x: 0, y: 0, turned: true },
                },
              ),
              x: 0,
              y: -radius * 0.84,
              angle: 24,
            },
          ];
    const centre = room.hollow
      ? []
      : [
          ...l.text(
            words.name,
            {
              y: radius === undefined ? 0.06 : -0.02,
              w: radius === undefined ? 0.94 : 0.58,
              h: 0.32,
            },
            { wrap: true },
          ),
          ...l.text(
            words.line,
            { y: radius === undefined ? 0.35 : 0.22, w: 0.6, h: 0.1 },
            { face: 'text' },
          ),
        ];
    return { elements: [...sprigs, ...centre] };
  },
};

export const toFrom: Design = {
  make(l) {
    const { words, colors } = l.given;
    const rule = (y: number) =>
      l.ornament('divider', { y, w: 0.84, h: 0.06 }, { inks: [colors.accent, colors.accent] });
    return {
      elements: [
        l.ring(0, { style: 'double', color: colors.accent }),
        ...l.text(words.name, { y: -0.22, w: 0.84, h: 0.3 }),
        rule(0),
        ...l.text(words.line, { y: 0.16, w: 0.8, h: 0.14 }, { face: 'text' }),
        ...l.text(
          words.maker,
          { y: 0.34, w: 0.7, h: 0.1 },
          { face: 'text', case: 'upper', tracking: 10 },
        ),
      ],
    };
  },
};

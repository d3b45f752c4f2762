import { mixed } from '../../color/index.ts';
import type { Design } from '../layout.ts';

/** Designs of type, rules and a picture. */
export const quiet: Design = {
  make(l) {
    const { words, colors } = l.given;
    return {
      elements: [
        ...l.text(
          words.maker,
          { y: -0.3, w: 0.7, h: 0.1 },
          { face: 'text', case: 'upper', tracking: 18, mayWiden: true },
        ),
        ...l.text(words.name, { y: 0, w: 0.98, h: 0.4 }, { wrap: l.isTall }),
        l.ornament(
          'divider',
          { y: 0.23, w: 0.55, h: 0.1 },
          { inks: [colors.accent, colors.accent] },
        ),
        ...l.text(words.line, { y: 0.36, w: 0.8, h: 0.11 }, { face: 'text' }),
      ],
    };
  },
};

export const apothecary: Design = {
  make(l) {
    const { words } = l.given;
    return {
      elements: [
        l.ring(0, { width: l.hair * 2 }),
        l.ring(0.05, { width: l.hair * 0.6 }),
        ...l.text(
          words.maker,
          { y: -0.3, w: 0.74, h: 0.1 },
          { face: 'text', case: 'upper', tracking: 8 },
        ),
        l.ornament('divider', { y: -0.17, w: 0.7, h: 0.07 }),
        ...l.text(words.name, { y: 0.02, w: 0.86, h: 0.26 }, { case: 'upper', tracking: 4 }),
        l.ornament('divider', { y: 0.2, w: 0.7, h: 0.07 }),
        ...l.text(words.line, { y: 0.32, w: 0.74, h: 0.1 }, { face: 'text' }),
      ],
    };
  },
};

export const botanical: Design = {
  make(l) {
    const { words, colors } = l.given;
    if (l.isWide)
      return {
        elements: [
          l.picture({ x: -0.34, w: 0.3, h: 0.94 }),
          ...l.text(words.name, { x: 0.16, y: -0.12, w: 0.62, h: 0.44 }, { align: 'left' }),
          ...l.text(
            words.line,
            { x: 0.16, y: 0.2, w: 0.62, h: 0.16 },
            { face: 'text', align: 'left' },
          ),
          ...l.text(
            words.maker,
            { x: 0.16, y: 0.4, w: 0.62, h: 0.12 },
            { face: 'text', case: 'upper', tracking: 10, align: 'left', color: colors.accent },
          ),
        ],
      };
    return {
      elements: [
        l.picture({ y: -0.18, w: 0.9, h: 0.58 }),
        ...l.text(words.name, { y: 0.22, w: 0.98, h: 0.2 }),
        ...l.text(words.line, { y: 0.37, w: 0.86, h: 0.1 }, { face: 'text' }),
        ...l.text(
          words.maker,
          { y: 0.46, w: 0.6, h: 0.07 },
          { face: 'text', case: 'upper', tracking: 10, color: colors.accent, mayWiden: true },
        ),
      ],
    };
  },
};

export const halves: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    const sky = mixed(colors.ground, colors.soft, 0.4);
    return {
      ground: {
        kind: 'gradient',
        shape: 'linear',
        angle: room.bent ? 0 : 90,
        stops: [
          { at: 0, color: sky },
          { at: 0.58, color: sky },
          { at: 0.5801, color: colors.ink },
          { at: 1, color: colors.ink },
        ],
      },
      elements: room.bent
        ? l.text(words.name, { x: -0.2, w: 0.5, h: 0.5 })
        : [
            l.picture({ y: -0.2, w: 0.7, h: 0.5 }),
            ...l.text(words.name, { y: 0.24, w: 0.9, h: 0.22 }, { color: colors.ground }),
            ...l.text(
              words.line,
              { y: 0.41, w: 0.66, h: 0.1 },
              { face: 'text', color: colors.ground },
            ),
          ],
    };
  },
};

export const ribbon: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    return {
      elements: [
        l.picture({ y: -0.22, w: 0.7, h: 0.52 }),
        ...l.plate('banner', { y: 0.18, w: 1.06, h: 0.24 }, colors.ink),
        ...l.text(
          words.name,
          { y: 0.18, w: 0.74, h: 0.2 },
          { color: room.bent ? colors.ink : colors.ground },
        ),
        ...l.text(words.line, { y: 0.4, w: 0.7, h: 0.1 }, { face: 'text' }),
      ],
    };
  },
};

export const cornered: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    const side = Math.min(0.32, (l.least * 0.34) / l.width);
    const down = (side * l.width) / l.height;
    const reach = room.radius === undefined ? 0.5 : 0.43;
    const corner = l.ornament(
      'corner',
      { x: side / 2 - reach, y: down / 2 - reach, w: side, h: down },
      {
        inks: [colors.ink, colors.accent],
        weight: l.hair,
        repeat: { kind: 'mirror', axes: 'both', ...room.centre },
      },
    );
    return {
      elements: [
        ...(room.bent ? [] : [corner]),
        ...l.text(
          words.maker,
          { y: -0.28, w: 0.5, h: 0.09 },
          { face: 'text', case: 'upper', tracking: 14 },
        ),
        ...l.text(words.name, { y: 0, w: 0.9, h: 0.32 }, { wrap: l.isTall }),
        ...l.text(words.line, { y: 0.27, w: 0.56, h: 0.1 }, { face: 'text' }),
      ],
    };
  },
};

export const ticketed: Design = {
  make(l) {
    const { words, colors } = l.given;
    return {
      elements: [
        l.ring(0, { style: 'dashed', color: colors.accent, width: l.hair * 1.4 }),
        ...l.text(
          words.name,
          { y: -0.08, w: 0.94, h: 0.5 },
          { case: 'upper', face: 'text', wrap: l.isTall },
        ),
        ...l.text(words.line, { y: 0.28, w: 0.9, h: 0.16 }, { face: 'text', tracking: 6 }),
      ],
    };
  },
};

export const sunrise: Design = {
  make(l) {
    const { words, colors, room } = l.given;
    const reach = (Math.hypot(l.width, l.height) * 1.6) / l.width;
    return {
      ground: colors.soft,
      elements: [
        ...(room.bent
          ? []
          : [
              l.ornament(
                'rays',
                { w: reach, h: (reach * l.width) / l.height },
                {
                  inks: [colors.ground, colors.ground],
                  count: 18,
                },
              ),
            ]),
        ...l.plate(
          'circle',
          { y: 0, w: (l.least * 0.98) / l.width, h: (l.least * 0.98) / l.height },
          colors.ground,
          {
            color: colors.ink,
            width: l.hair * 1.3,
            style: 'solid',
          },
        ),
        ...l.text(
          words.name,
          { y: 0, w: (l.least * 0.84) / l.width, h: (l.least * 0.34) / l.height },
          { wrap: true },
        ),
        ...l.text(
          words.line,
          {
            y: (0.27 * l.least) / l.height,
            w: (l.least * 0.6) / l.width,
            h: (l.least * 0.1) / l.height,
          },
          { face: 'text', color: colors.accent },
        ),
      ],
    };
  },
};

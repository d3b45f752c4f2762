import { between, flourish, line, maker, name, picture, stack, WHOLE } from '../stack.ts';
import type { Design } from '../design.ts';

/** Words that something stands beside keep to their width. */
const BESIDE = { mayWiden: false };

/** Designs with leaves, or with the picture of a plant. */
const botanical: Design = {
  uses: ['plants', 'food', 'care', 'gifts'],
  make: (l) => {
    const accent = l.readable(l.given.colors.accent);
    if (l.isWide)
      return {
        elements: [
          l.picture({ x: -0.34, w: 0.28, h: 0.94 }),
          ...stack(
            l,
            [
              name({ align: 'left' }, 1),
              line({ align: 'left' }, 1),
              maker({ align: 'left', color: accent }, 1),
            ],
            { x: 0.17, y: 0, w: 0.64, h: 0.84 },
          ),
        ],
      };
    return {
      elements: stack(l, [
        picture(5.2),
        name({ wrap: l.isTall }, 0.98, 2),
        line({}, 0.86, 0.9),
        maker({ color: accent }, 0.6, 0.6),
      ]),
    };
  },
};

/** A specimen on its sheet: the picture framed, what it is below on the left. */
const herbarium: Design = {
  uses: ['plants', 'home', 'gifts', 'food'],
  make: (l) => {
    const { colors, room } = l.given;
    const frame = { color: colors.ink, width: l.hair * 0.8, style: 'solid' as const };
    if (l.isWide)
      return {
        elements: [
          ...l.plate('rectangle', { x: -0.34, w: 0.3, h: 0.98 }, colors.soft, frame),
          l.picture({ x: -0.34, w: 0.25, h: 0.84 }),
          ...stack(
            l,
            [
              maker({ align: 'left' }, 1),
              name({ align: 'left', wrap: true }, 1),
              line({ align: 'left' }, 1),
            ],
            { x: 0.18, y: 0, w: 0.62, h: 0.9 },
          ),
        ],
      };
    const isRound = room.radius !== undefined;
    const [w, y, h] = isRound ? [0.66, -0.18, 0.56] : [0.96, -0.17, 0.64];
    const align = isRound || room.bent ? {} : { align: 'left' as const };
    return {
      elements: [
        ...l.plate('rectangle', { y, w, h }, colors.soft, frame),
        l.picture({ y, w: w * 0.84, h: h * 0.88 }),
        ...stack(
          l,
          [
            name({ ...align, wrap: l.isTall }, 1, 2.2),
            line(align, 1, 1),
            maker(align, isRound ? 0.6 : 1, 0.7),
          ],
          { x: 0, y: isRound ? 0.31 : 0.33, w: isRound ? 0.84 : 0.94, h: isRound ? 0.34 : 0.3 },
        ),
      ],
    };
  },
};

const laurelled: Design = {
  uses: ['food', 'gifts', 'celebrations', 'care'],
  make: (l) => {
    const { colors, room } = l.given;
    const inks = [colors.accent, colors.accent] as const;
    if (l.isWide || room.bent) {
      const side = { w: 0.15, h: 0.9 };
      return {
        elements: [
          l.ornament('sprig', { x: -0.42, ...side }, { inks, angle: -8, count: 6 }),
          l.ornament('sprig', { x: 0.42, ...side }, { inks, angle: 8, flip: 'across', count: 6 }),
          ...stack(
            l,
            [name({}, 1), line({ case: 'upper', tracking: 12 }, 0.9), maker(BESIDE, 0.7)],
            {
              ...WHOLE,
              w: 0.64,
              h: 0.86,
            },
          ),
        ],
      };
    }
    const [reach, within] = [l.square({ w: 1.12, h: 1.12 }), l.square({ w: 0.74, h: 0.72 })];
    return {
      elements: [
        l.ornament('laurel', reach, { inks, count: 11 }),
        ...stack(l, [maker(BESIDE, 0.74), name({ wrap: true }, 1, 2.8), line({}, 0.7)], {
          ...WHOLE,
          ...within,
        }),
      ],
    };
  },
};

const wreathed: Design = {
  uses: ['plants', 'gifts', 'celebrations', 'home'],
  make: (l) => {
    const { colors, room } = l.given;
    const inks = [colors.ink, colors.accent] as const;
    if (l.isWide || l.isTall || room.bent)
      return {
        elements: stack(l, [
          flourish('branch', { inks }, 0.7, 1.5),
          name({ wrap: l.isTall }, 0.96, 3),
          line({}, 0.8, 1),
          maker({}, 0.6, 0.6),
          flourish('branch', { inks, flip: 'both' }, 0.7, 1.5),
        ]),
      };
    const reach =
      room.radius === undefined ? l.square({ w: 1.06, h: 1.06 }) : l.aroundRim(room.radius);
    return {
      elements: [
        l.ornament('wreath', reach, { inks, count: 26 }),
        ...stack(l, [maker(BESIDE, 0.7, 0.7), name({ wrap: true }, 0.96, 2.8), line({}, 0.7)], {
          ...WHOLE,
          ...l.square({ w: 0.6, h: 0.52 }),
        }),
      ],
    };
  },
};

/** Sprigs all around, or a branch above the words. */
const leafRing: Design = {
  uses: ['plants', 'care', 'food', 'celebrations'],
  make: (l) => {
    const { colors, room } = l.given;
    const { radius } = room;
    const inks = [colors.ink, colors.accent] as const;
    if (radius === undefined)
      return {
        elements: [
          l.ring(0, { width: l.hair * 0.7 }),
          ...stack(
            l,
            [
              name({ wrap: l.isTall }, 1, 3),
              between('branch', { inks }, l.isWide ? 0.34 : 0.6, 1.2),
              line({}, 0.9, 1.1),
              maker({}, 0.7, 0.8),
            ],
            { ...WHOLE, w: 0.88, h: 0.84 },
          ),
        ],
      };
    return {
      elements: [
        {
          ...l.ornament(
            'sprig',
            { w: 0.2, h: (radius * 0.36) / l.height },
            { inks, count: 3, repeat: { kind: 'around', times: 12, x: 0, y: 0, turned: true } },
          ),
          x: 0,
          y: -radius * 0.84,
          angle: 24,
        },
        ...stack(l, [maker(BESIDE, 0.7), name({ wrap: true }, 1, 3), line({}, 0.9)], {
          ...WHOLE,
          w: 0.66,
          h: 0.62,
        }),
      ],
    };
  },
};

/** A row of sprigs that stands on the lower side, words above. */
const sill: Design = {
  uses: ['plants', 'home', 'children', 'gifts'],
  make: (l) => {
    const { colors, room } = l.given;
    const isRound = room.radius !== undefined;
    const high = l.isWide ? 0.34 : isRound ? 0.2 : 0.22;
    const tall = (high * l.height) / l.width;
    const times = Math.max(3, Math.min(15, Math.floor((isRound ? 0.7 : 0.94) / (tall * 0.62))));
    const step = ((isRound ? 0.7 : 0.94) - tall * 0.5) / Math.max(1, times - 1);
    const y = (isRound ? 0.44 : 0.5) - high / 2;
    const sprigs = Array.from({ length: times }, (_, at) =>
      l.ornament(
        'sprig',
        { x: (at - (times - 1) / 2) * step, y, w: tall * 0.6, h: high },
        { inks: [colors.ink, colors.accent], count: at % 2 ? 2 : 3 },
      ),
    );
    const h = 0.96 - high - (isRound ? 0.12 : 0.06);
    return {
      elements: [
        ...stack(l, [maker(), name({ wrap: !l.isWide }, 1, 3.2), line()], {
          ...{ x: 0, w: isRound ? 0.9 : 0.96, h },
          y: (isRound ? -0.44 : -0.48) + h / 2,
        }),
        ...sprigs,
      ],
    };
  },
};

/** Two branches in opposite corners. */
const trellis: Design = {
  uses: ['plants', 'care', 'gifts', 'celebrations'],
  make: (l) => {
    const { colors, room } = l.given;
    const inks = [colors.accent, colors.ink] as const;
    const isRound = room.radius !== undefined;
    const wide = (0.62 * l.least) / l.width;
    const x = isRound ? 0.17 : 0.5 - wide / 2;
    const down = (wide * l.width) / 3.4 / l.height;
    const y = (isRound ? 0.42 : 0.49) - down / 2;
    const spot = { w: wide, h: down };
    return {
      elements: [
        l.ornament('branch', { x: -x, y: -y, ...spot }, { inks }),
        l.ornament('branch', { x, y, ...spot }, { inks, flip: 'both' }),
        ...stack(l, [maker(), name({ wrap: l.isTall }, 1, 3), line()], {
          ...WHOLE,
          w: l.isWide ? 0.9 : 0.94,
          h: (l.isWide ? 0.96 : isRound ? 0.76 : 0.9) - 2 * down,
        }),
      ],
    };
  },
};

/** With leaves or the picture of a plant, the first that is offered first. */
export const BOTANICAL = { botanical, laurelled, sill, wreathed, herbarium, leafRing, trellis };

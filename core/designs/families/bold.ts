import { mixed } from '../../color/index.ts';
import type { PieceElement } from '../../piece/index.ts';
import type { Design } from '../design.ts';
import type { Layout } from '../layout.ts';
import { line, maker, name, picture, stack, WHOLE } from '../stack.ts';

/** Designs of blocks of colour. On a bent label their words stand on its ground. */
const halves: Design = {
  uses: ['food', 'plants', 'shop', 'children'],
  make: (l) => {
    const { colors, room } = l.given;
    const sky = mixed(colors.ground, colors.soft, 0.4);
    if (room.bent) return { ground: sky, elements: stack(l, [name(), line(), maker()]) };
    const on = { color: colors.ground };
    const from = l.isWide ? -0.02 : 0.06;
    return {
      ground: sky,
      blocks: true,
      elements: [
        ...l.block({ from, to: 0.5 }, colors.ink),
        ...(l.isWide
          ? stack(l, [maker()], { ...WHOLE, y: -0.28, h: 0.3 })
          : [l.picture({ y: -0.22, w: 0.7, h: 0.48 })]),
        ...stack(l, [name({ ...on, wrap: l.isTall }), line(on, 0.7, 1.2)], {
          ...WHOLE,
          y: l.isWide ? 0.24 : 0.27,
          w: room.radius === undefined ? 0.94 : 0.86,
          h: l.isWide ? 0.42 : 0.34,
        }),
      ],
    };
  },
};

const ribbon: Design = {
  uses: ['gifts', 'celebrations', 'food', 'care'],
  make: (l) => {
    const { colors, room } = l.given;
    if (room.bent) return { elements: stack(l, [maker(), name(), line()]) };
    const h = l.isWide ? 0.46 : 0.24;
    const y = l.isWide ? -0.04 : 0.16;
    return {
      elements: [
        ...(l.isWide
          ? stack(l, [maker()], { ...WHOLE, y: -0.39, h: 0.16 })
          : [l.picture({ y: -0.24, w: 0.7, h: 0.5 })]),
        ...l.plate('banner', { y, w: 1.04, h }, colors.ink),
        ...l.says('name', { y, w: 0.74, h: h * 0.8 }, { color: colors.ground }),
        ...stack(l, l.isWide ? [line()] : [line(), maker({}, 0.7, 0.7)], {
          ...{ x: 0, y: l.isWide ? 0.36 : 0.39, w: 0.8, h: l.isWide ? 0.2 : 0.18 },
        }),
      ],
    };
  },
};

/** The ground in the ink, the name as large as it goes. */
const poster: Design = {
  uses: ['shop', 'food', 'home', 'celebrations'],
  make: (l) => {
    const { colors, room } = l.given;
    const soft = { color: l.readable(colors.accent, colors.ink) };
    return {
      ground: colors.ink,
      colors: { ...colors, ground: colors.ink, ink: colors.ground },
      elements: stack(
        l,
        [
          line({ ...soft, case: 'upper', tracking: 10 }, 0.9, 0.9),
          name({ color: colors.ground, wrap: !l.isWide }, 1, 4.4),
          maker(soft, 0.8, 0.6),
        ],
        { ...WHOLE, h: room.radius === undefined ? 0.96 : 0.88 },
      ),
    };
  },
};

/** A bar along the lower side that says the line; the name stands above it. */
const bar: Design = {
  uses: ['food', 'shop', 'plants', 'home'],
  make: (l) => {
    const { colors, room } = l.given;
    if (room.bent) return { elements: stack(l, [maker(), name(), line()]) };
    const isRound = room.radius !== undefined;
    const from = l.isWide ? 0.2 : isRound ? 0.18 : 0.28;
    const high = (isRound ? 0.36 : 0.5) - from;
    const foot = l.said('line') ? 'line' : 'maker';
    return {
      blocks: true,
      elements: [
        ...l.block({ from, to: 0.5 }, colors.accent),
        ...stack(l, [...(foot === 'line' ? [maker()] : []), name({ wrap: !l.isWide }, 1, 3.4)], {
          ...{ x: 0, w: isRound ? 0.9 : 0.96, y: (from - 0.5) / 2 + 0.01, h: from + 0.42 },
        }),
        ...l.says(
          foot,
          {
            y: from + (isRound ? 0.02 : 0) + high / 2,
            w: isRound ? 0.66 : 0.92,
            h: Math.min(high * 0.62, 0.2),
          },
          { face: 'text', color: l.readable(colors.ground, colors.accent) },
        ),
      ],
    };
  },
};

/** A part of the label in the ink with the picture on it, words on the rest. */
const parted: Design = {
  uses: ['food', 'plants', 'care', 'gifts'],
  make: (l) => {
    const { colors, room } = l.given;
    if (room.bent)
      return {
        elements: [
          l.picture({ x: -0.32, w: 0.2, h: 0.9 }),
          ...stack(l, [name(), line(), maker()], { x: 0.13, y: 0, w: 0.66, h: 0.9 }),
        ],
      };
    if (l.isWide)
      return {
        blocks: true,
        elements: [
          ...l.block({ from: -0.5, to: -0.17, across: true }, colors.soft),
          l.picture({ x: -0.335, w: 0.27, h: 0.86 }),
          ...stack(l, [name({}, 1), line({}, 0.94), maker({}, 0.86)], {
            x: 0.18,
            y: 0,
            w: 0.62,
            h: 0.88,
          }),
        ],
      };
    const isRound = room.radius !== undefined;
    return {
      blocks: true,
      elements: [
        ...l.block({ from: -0.5, to: 0.02 }, colors.soft),
        l.picture({ y: -0.24, w: 0.7, h: 0.44 }),
        ...stack(l, [name({ wrap: l.isTall }, 1, 2.6), line({}, 0.9), maker({}, 0.7)], {
          ...WHOLE,
          y: isRound ? 0.24 : 0.27,
          w: isRound ? 0.88 : 0.94,
          h: isRound ? 0.38 : 0.42,
        }),
      ],
    };
  },
};

/** A great dot of colour behind the name. */
const dot: Design = {
  uses: ['children', 'shop', 'home', 'food'],
  make: (l) => {
    const { colors, room } = l.given;
    if (room.bent) return { elements: stack(l, [maker(), name(), line()]) };
    const side = l.isWide ? 1.3 : 0.92;
    const behind: PieceElement[] = l.plate(
      'circle',
      {
        ...l.square({ w: side, h: side }),
        ...(l.isWide ? { x: -0.5 + (0.5 * l.height) / l.width } : {}),
      },
      colors.soft,
    );
    return {
      blocks: l.isWide,
      elements: [...behind, ...wordsOnDot(l)],
    };
  },
};

const wordsOnDot = (l: Layout): PieceElement[] =>
  stack(
    l,
    [
      maker({ color: l.readable(l.given.colors.ink, l.given.colors.soft) }),
      name({ wrap: !l.isWide }, 1, 4),
      line({}, 0.8, 1.1),
    ],
    { ...WHOLE, w: l.isWide ? 0.92 : 0.94, h: 0.78 },
  );

/** The picture large, the name on a strip of colour below it. */
const strip: Design = {
  uses: ['plants', 'gifts', 'children', 'celebrations'],
  make: (l) => {
    const { colors, room } = l.given;
    if (room.bent || l.isWide)
      return {
        elements: [
          l.picture({ x: 0.34, w: 0.28, h: 0.96 }),
          ...stack(
            l,
            [
              maker({ align: 'left' }, 1),
              name({ align: 'left' }, 1, 3.4),
              line({ align: 'left' }, 1),
            ],
            {
              ...{ x: -0.17, y: 0, w: 0.62, h: 0.9 },
            },
          ),
        ],
      };
    const isRound = room.radius !== undefined;
    return {
      blocks: true,
      elements: [
        ...stack(l, [picture(1, 1)], { ...WHOLE, y: -0.16, h: 0.66 }),
        ...l.block({ from: 0.2, to: isRound ? 0.4 : 0.42 }, colors.accent),
        ...l.says(
          'name',
          { y: isRound ? 0.3 : 0.31, w: isRound ? 0.84 : 0.94, h: 0.17 },
          { color: l.readable(colors.ground, colors.accent) },
        ),
        ...l.says(
          'line',
          { y: isRound ? 0.45 : 0.455, w: isRound ? 0.5 : 0.9, h: 0.07 },
          { face: 'text' },
        ),
      ],
    };
  },
};

/** Of blocks of colour, the first that is offered first. */
export const BOLD = { halves, strip, ribbon, parted, poster, bar, dot };

import { between, line, maker, name, picture, stack, WHOLE } from '../stack.ts';
import type { Design } from '../design.ts';
import type { Layout } from '../layout.ts';

/** What is left within a frame. */
const FRAMED = { ...WHOLE, w: 0.86, h: 0.8 };

/** Designs with frames and rules, as they stand on old bottles and boxes. */
const apothecary: Design = {
  uses: ['care', 'food', 'home'],
  make: (l) => ({
    elements: [
      l.ring(0, { width: l.hair * 2 }),
      l.ring(0.05, { width: l.hair * 0.6 }),
      ...stack(
        l,
        [
          maker({ tracking: 8 }, 0.8),
          between('divider', {}, 0.7, 0.5),
          name({ case: 'upper', tracking: 4, wrap: l.isTall }, 1, 2.8),
          between('divider', {}, 0.7, 0.5),
          line({}, 0.8),
        ],
        FRAMED,
      ),
    ],
  }),
};

const cornered: Design = {
  uses: ['gifts', 'care', 'celebrations', 'food'],
  make: (l) => {
    const { colors, room } = l.given;
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
        ...stack(
          l,
          [
            maker({ tracking: 14, mayWiden: false }, 0.6),
            name({ wrap: l.isTall }, 1, 2.8),
            line({}, 0.66),
          ],
          { ...WHOLE, w: l.isWide ? 0.72 : 0.86, h: 0.7 },
        ),
      ],
    };
  },
};

/** A dark plate with cut corners and a fine line in it. */
const plaque: Design = {
  uses: ['care', 'home', 'food', 'gifts'],
  make: (l) => {
    const { colors, room } = l.given;
    const on = room.bent ? {} : { color: colors.ground };
    const accent = room.bent ? l.readable(colors.accent) : l.readable(colors.soft, colors.ink);
    const isRound = room.radius !== undefined;
    const h = isRound ? 0.66 : 0.96;
    return {
      elements: [
        ...l.plate('ticket', { w: isRound ? 1 : 0.98, h }, colors.ink),
        ...l.plate('ticket', { w: isRound ? 0.93 : 0.92, h: h * 0.88 }, null, {
          ...{ color: colors.accent, style: 'solid' },
          width: l.hair,
        }),
        ...stack(
          l,
          [
            maker({ color: accent }, 0.84),
            name({ ...on, wrap: l.isTall }, 1, 2.6),
            line({ color: accent }, 0.9),
          ],
          { ...WHOLE, w: 0.74, h: h * 0.66 },
        ),
      ],
    };
  },
};

/** A double frame, the name between two scrolls. */
const scrolled: Design = {
  uses: ['food', 'gifts', 'celebrations', 'care'],
  make: (l) => {
    const { accent } = l.given.colors;
    const scroll = (flip: boolean) =>
      between('scroll', { inks: [accent, accent], ...(flip ? { flip: 'down' } : {}) }, 0.42, 0.9);
    return {
      elements: [
        l.ring(0, { style: 'double', width: l.hair * 1.4 }),
        ...stack(
          l,
          [maker(), scroll(false), name({ wrap: l.isTall }, 1, 2.8), scroll(true), line({}, 0.8)],
          FRAMED,
        ),
      ],
    };
  },
};

/** The picture as a mark above the name, between fine lines. */
const crest: Design = {
  uses: ['food', 'shop', 'care', 'gifts'],
  make: (l) => {
    const { colors, room } = l.given;
    if (l.isWide)
      return {
        elements: [
          l.ring(0, { width: l.hair * 0.8 }),
          ...pictured(l, { x: -0.35, h: 0.8, w: 0.22 }),
          ...l.rule({ x: -0.2, h: 0.66, upright: true }, colors.ink, 0.7),
          ...stack(l, [maker({}, 0.9), name({}, 1), line({}, 0.9)], {
            ...{ x: 0.14, y: 0, w: 0.6, h: 0.78 },
          }),
        ],
      };
    const isRound = room.radius !== undefined;
    return {
      elements: [
        l.ring(0, { width: l.hair * 0.8 }),
        l.ring(0.03, { width: l.hair * 0.4 }),
        ...stack(
          l,
          [
            picture(3.4, 0.5),
            name({ wrap: l.isTall }, isRound ? 0.96 : 1, 2.2),
            between('divider', { inks: [colors.accent, colors.accent] }, 0.5, 0.5),
            line({}, 0.8),
            maker({}, 0.56),
          ],
          { ...FRAMED, h: isRound ? 0.88 : 0.86 },
        ),
      ],
    };
  },
};

const pictured = (l: Layout, spot: { x: number; w: number; h: number }) => [l.picture(spot)];

/** A ticket with a dashed line and large plain letters. */
const ticketed: Design = {
  uses: ['shop', 'gifts', 'children', 'celebrations'],
  make: (l) => ({
    elements: [
      l.ring(0, { style: 'dashed', color: l.given.colors.accent, width: l.hair * 1.4 }),
      ...stack(
        l,
        [
          name({ case: 'upper', face: 'text', wrap: l.isTall }, 1, 3.6),
          line({ tracking: 6 }, 0.94, 1.2),
          maker({ color: l.readable(l.given.colors.accent) }, 0.7, 0.7),
        ],
        { ...WHOLE, w: 0.88, h: 0.8 },
      ),
    ],
  }),
};

/** With frames and rules, the first that is offered first. */
export const CLASSIC = { apothecary, plaque, cornered, crest, scrolled, ticketed };

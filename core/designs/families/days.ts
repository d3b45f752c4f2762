import { between, flourish, line, maker, name, picture, rule, stack, WHOLE } from '../stack.ts';
import type { Design } from '../design.ts';

/** Designs for gifts, children and days that are kept. */
const party: Design = {
  uses: ['celebrations', 'children', 'gifts'],
  make: (l) => {
    const { colors, room } = l.given;
    const inks = [colors.accent, colors.ink] as const;
    const high = l.isWide ? 0.34 : 0.24;
    const top = room.radius === undefined ? -0.5 : -0.46;
    const flags = l.ornament(
      'bunting',
      { y: top + high / 2, w: 1, h: high },
      { inks, count: l.isWide ? 11 : 7 },
    );
    const used = room.bent ? 0 : Math.min(high, l.width / 4 / l.height) + 0.02;
    return {
      elements: [
        ...(room.bent ? [] : [flags]),
        ...stack(l, [name({ wrap: !l.isWide }, 1, 3), line(), maker({}, 0.7, 0.7)], {
          ...{ x: 0, w: 0.96, h: 0.94 + top + 0.5 - used },
          y: used / 2 + (top + 0.5) / 2,
        }),
      ],
    };
  },
};

const love: Design = {
  uses: ['celebrations', 'gifts', 'children'],
  make: (l) => {
    const { accent } = l.given.colors;
    return {
      elements: stack(l, [
        flourish('hearts', { inks: [accent, accent] }, 0.6, 1.1),
        name({ wrap: l.isTall }, 0.98, 3),
        between('hearts', { inks: [accent, accent], count: 3 }, 0.3, 0.7),
        line({}, 0.84, 1),
        maker({ color: l.readable(accent) }, 0.7, 0.7),
      ]),
    };
  },
};

const toFrom: Design = {
  uses: ['gifts', 'celebrations', 'children'],
  make: (l) => {
    const { accent } = l.given.colors;
    return {
      elements: [
        l.ring(0, { style: 'double', color: accent }),
        ...stack(
          l,
          [
            name({ wrap: l.isTall }, 0.94, 2.4),
            between('divider', { inks: [accent, accent] }, 0.84, 0.6),
            line({}, 0.9, 1.3),
            maker({ tracking: 10 }, 0.8),
          ],
          { ...WHOLE, w: 0.88, h: 0.8 },
        ),
      ],
    };
  },
};

const sunrise: Design = {
  uses: ['children', 'food', 'plants', 'celebrations'],
  make: (l) => {
    const { colors, room } = l.given;
    const color = l.readable(colors.accent, colors.soft);
    if (room.bent)
      return { ground: colors.soft, elements: stack(l, [maker(), name(), line({ color })]) };
    const reach = (Math.hypot(l.width, l.height) * 1.6) / l.width;
    const rays = l.ornament(
      'rays',
      { w: reach, h: (reach * l.width) / l.height },
      { inks: [colors.ground, colors.ground], count: 18 },
    );
    const frame = { color: colors.ink, width: l.hair * 1.3, style: 'solid' as const };
    const disc = l.isWide ? { w: 0.78, h: 0.94 } : l.square({ w: 0.98, h: 0.98 });
    return {
      ground: colors.soft,
      blocks: true,
      elements: [
        ...(room.zoned ? [] : [rays]),
        ...l.plate(l.isWide ? 'ellipse' : 'circle', disc, colors.ground, frame),
        ...stack(
          l,
          [
            maker({}, 0.66),
            name({ wrap: !l.isWide }, 1, 3),
            line({ color: l.readable(colors.accent) }, 0.76),
          ],
          { ...WHOLE, w: (disc.w ?? 1) * 0.78, h: (disc.h ?? 1) * 0.66 },
        ),
      ],
    };
  },
};

/** A band of colour at the top that says who, the name in large letters below. */
const named: Design = {
  uses: ['children', 'home', 'shop', 'gifts'],
  make: (l) => {
    const { colors, room } = l.given;
    if (room.bent) return { elements: stack(l, [line(), name(), maker()]) };
    const isRound = room.radius !== undefined;
    const to = l.isWide ? -0.18 : isRound ? -0.2 : -0.26;
    const top = isRound ? -0.42 : -0.5;
    const head = l.said('line') ? 'line' : 'maker';
    return {
      blocks: true,
      elements: [
        ...l.block({ from: -0.5, to }, colors.ink),
        ...l.says(
          head,
          { y: (to + top) / 2, w: isRound ? 0.62 : 0.92, h: Math.min(0.2, (to - top) * 0.6) },
          { face: 'text', case: 'upper', tracking: 8, color: colors.ground },
        ),
        ...stack(l, [name({ wrap: !l.isWide }, 1, 3.4), ...(head === 'line' ? [maker()] : [])], {
          ...{ x: 0, w: isRound ? 0.9 : 0.94, y: (to + 0.5) / 2, h: 0.44 - to },
        }),
      ],
    };
  },
};

/** Spots above and below, the name between them. */
const confetti: Design = {
  uses: ['celebrations', 'children', 'gifts', 'food'],
  make: (l) => {
    const { colors, room } = l.given;
    const spots = l.pattern('spots', [colors.accent, colors.ink], colors.soft, 0.9);
    const words = [name({ wrap: !l.isWide }, 1, 3.2), line(), maker({}, 0.7, 0.7)];
    if (room.bent || room.hollow) return { ground: spots, elements: stack(l, words) };
    const part = l.isWide ? 0.34 : 0.3;
    return {
      blocks: true,
      elements: [
        ...l.block({ from: -0.5, to: -part }, spots),
        ...l.block({ from: part, to: 0.5 }, spots),
        ...stack(l, words, { ...WHOLE, w: 0.96, h: 2 * part - 0.06 }),
      ],
    };
  },
};

/** The picture small, as on a greeting, with words around it. */
const greeting: Design = {
  uses: ['gifts', 'celebrations', 'children', 'plants'],
  make: (l) => {
    const { colors } = l.given;
    if (l.isWide || l.given.room.bent)
      return {
        elements: [
          ...stack(l, [line({ wrap: true }, 1, 2), maker({}, 1)], {
            ...{ x: -0.29, y: 0, w: 0.38, h: 0.7 },
          }),
          l.picture({ w: 0.16, h: 0.86 }),
          ...l.says('name', { x: 0.29, w: 0.38, h: 0.6 }, { wrap: true }),
        ],
      };
    return {
      elements: stack(l, [
        line({ case: 'upper', tracking: 10 }, 0.8, 0.8),
        picture(3.4, 0.6),
        name({ wrap: l.isTall }, 0.98, 2.2),
        rule(colors.accent, 0.2),
        maker({}, 0.7, 0.7),
      ]),
    };
  },
};

/** For gifts, children and days that are kept, the first that is offered first. */
export const DAYS = { party, greeting, love, sunrise, named, confetti, toFrom };

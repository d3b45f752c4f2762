import type { PatternName } from '../../art/index.ts';
import type { BoxedKind } from '../../shape/index.ts';
import type { Design } from '../design.ts';
import type { LabelUse } from '../label-uses.ts';
import type { Layout } from '../layout.ts';
import { line, maker, name, stack, WHOLE } from '../stack.ts';

interface Cloth {
  readonly name: PatternName;
  readonly inks: readonly string[];
  readonly ground: string;
  readonly scale?: number;
}

/** How much of a plate's width and height words may take. */
const WITHIN: Readonly<Partial<Record<BoxedKind, readonly [number, number]>>> = {
  ellipse: [0.78, 0.66],
  circle: [0.78, 0.62],
  scallop: [0.72, 0.6],
  banner: [0.68, 0.8],
  ticket: [0.82, 0.78],
};

/** Designs with a pattern as their ground and a plate for the words. */
function onPattern(
  uses: readonly LabelUse[],
  pattern: (l: Layout) => Cloth,
  plate: { kind: BoxedKind; w: number; h: number; line?: boolean },
  look: { tracking?: number; upper?: boolean } = {},
): Design {
  return {
    uses,
    make: (l) => {
      const { colors, room } = l.given;
      const { name: called, inks, ground, scale = 1 } = pattern(l);
      const frame = plate.line
        ? ({ color: colors.ink, width: l.hair * 1.2, style: 'double' } as const)
        : null;
      // A plate that is low beside its width would leave too little for words.
      const h = l.isWide ? Math.min(0.9, plate.h * 1.3) : plate.h;
      const { kind } = plate;
      const wide: BoxedKind = l.isWide && kind === 'scallop' ? 'rectangle' : kind;
      const [w, high] = WITHIN[wide] ?? [0.86, 0.8];
      const title = {
        tracking: look.tracking ?? 0,
        ...(look.upper ? { case: 'upper' as const } : {}),
      };
      return {
        ground: l.pattern(called, inks, ground, scale),
        elements: [
          ...l.plate(wide, { w: plate.w, h }, colors.ground, frame),
          ...stack(
            l,
            [
              maker({}, 0.8, 0.8),
              name({ ...title, wrap: l.isTall }, 1, 2.8),
              line({ color: l.readable(colors.accent) }, 0.9),
            ],
            room.bent ? WHOLE : { ...WHOLE, w: plate.w * w, h: h * high },
          ),
        ],
      };
    },
  };
}

const gingham = onPattern(
  ['food', 'home', 'children', 'gifts'],
  ({ given: { colors } }) => ({
    name: 'check',
    inks: [colors.accent, colors.accent],
    ground: colors.ground,
    scale: 1.1,
  }),
  { kind: 'ellipse', w: 0.98, h: 0.74, line: true },
);

const tweed = onPattern(
  ['food', 'care', 'home'],
  ({ given: { colors } }) => ({
    name: 'herringbone',
    inks: [colors.ink, colors.accent],
    ground: colors.soft,
    scale: 0.8,
  }),
  { kind: 'rectangle', w: 0.98, h: 0.62, line: true },
  { upper: true, tracking: 6 },
);

const terrazzo = onPattern(
  ['care', 'home', 'shop'],
  ({ given: { colors } }) => ({
    name: 'terrazzo',
    inks: [colors.accent, colors.ink, colors.soft],
    ground: '#fffdf9',
    scale: 0.8,
  }),
  { kind: 'rectangle', w: 0.94, h: 0.56 },
);

const awning = onPattern(
  ['food', 'shop', 'celebrations'],
  ({ given: { colors } }) => ({
    name: 'stripes',
    inks: [colors.accent, colors.ink],
    ground: colors.soft,
  }),
  { kind: 'scallop', w: 1, h: 0.86, line: true },
);

const pond = onPattern(
  ['care', 'home', 'gifts'],
  ({ given: { colors } }) => ({
    name: 'scales',
    inks: [colors.ink, colors.accent],
    ground: colors.soft,
  }),
  { kind: 'banner', w: 1.02, h: 0.5 },
);

const meadow = onPattern(
  ['plants', 'gifts', 'children', 'celebrations'],
  ({ given: { colors } }) => ({
    name: 'flowers',
    inks: [colors.accent, colors.ground],
    ground: colors.ink,
    scale: 0.8,
  }),
  { kind: 'ticket', w: 0.98, h: 0.56, line: true },
);

const hedge = onPattern(
  ['plants', 'care', 'gifts'],
  ({ given: { colors } }) => ({
    name: 'leaves',
    inks: [colors.ink, colors.accent],
    ground: colors.soft,
    scale: 0.9,
  }),
  { kind: 'ellipse', w: 0.98, h: 0.7 },
);

const tiles = onPattern(
  ['home', 'food', 'shop'],
  ({ given: { colors } }) => ({
    name: 'diamonds',
    inks: [colors.accent, colors.ink],
    ground: colors.soft,
    scale: 0.9,
  }),
  { kind: 'rectangle', w: 0.96, h: 0.6, line: true },
);

/** A narrow border of dots around a plain middle. */
const dotted: Design = {
  uses: ['children', 'food', 'gifts', 'home'],
  make: (l) => {
    const { colors, room } = l.given;
    const isRound = room.radius !== undefined;
    const reach = isRound ? l.aroundRim((room.radius ?? 0) * 0.86) : { w: 0.94, h: 0.9 };
    return {
      ground: l.pattern('dots', [colors.ground], colors.accent, 0.9),
      elements: [
        ...l.plate(isRound ? 'circle' : 'rectangle', reach, colors.ground),
        ...stack(l, [maker(), name({ wrap: l.isTall }, 1, 3), line()], {
          ...WHOLE,
          w: room.bent ? 1 : 0.82,
          h: room.bent ? 1 : 0.74,
        }),
      ],
    };
  },
};

/** Stars around a plain middle, in a fine ring. */
const night: Design = {
  uses: ['celebrations', 'care', 'children', 'gifts'],
  make: (l) => {
    const { colors, room } = l.given;
    const isRound = room.radius !== undefined;
    return {
      ground: l.pattern('stars', [colors.accent, colors.soft], colors.ground, 1.1),
      elements: [
        l.ring(0, { color: colors.accent, width: l.hair * 1.4 }),
        ...l.plate('ellipse', { w: isRound ? 0.96 : 0.88, h: 0.78 }, colors.ground),
        ...stack(l, [name({ wrap: l.isTall }, 1, 3), line({}, 0.9, 1), maker({}, 0.7, 0.7)], {
          ...WHOLE,
          w: room.bent ? 0.9 : 0.7,
          h: room.bent ? 0.84 : 0.54,
        }),
      ],
    };
  },
};

/** On a pattern, the first that is offered first. */
export const CLOTH = {
  gingham,
  terrazzo,
  meadow,
  dotted,
  tweed,
  awning,
  hedge,
  pond,
  night,
  tiles,
};

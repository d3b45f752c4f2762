import { line, maker, name, rule, stack, between, WHOLE } from '../stack.ts';
import type { Design } from '../design.ts';

/** Quiet designs of nothing but type, rules and room. */
const quiet: Design = {
  uses: ['food', 'care', 'home', 'shop'],
  make: (l) => {
    const { accent } = l.given.colors;
    return {
      elements: stack(l, [
        maker({ tracking: 18 }, 0.7),
        name({ wrap: l.isTall }),
        between('divider', { inks: [accent, accent] }),
        line({}, 0.8),
      ]),
    };
  },
};

/** All of it at the left, along an upright rule. */
const margin: Design = {
  uses: ['food', 'care', 'shop', 'home'],
  make: (l) => {
    const { colors, room } = l.given;
    const isRound = room.radius !== undefined;
    const region = isRound
      ? { x: 0.06, y: 0, w: 0.78, h: 0.84 }
      : { x: 0.04, y: 0, w: 0.9, h: 0.92 };
    const left = { align: 'left' as const };
    return {
      elements: [
        ...l.rule(
          { x: isRound ? -0.4 : -0.47, h: isRound ? 0.62 : 0.92, upright: true },
          colors.accent,
          3,
        ),
        ...stack(
          l,
          [
            name({ ...left, wrap: true }, 1),
            line(left, 1),
            maker({ ...left, color: l.readable(colors.accent) }, 1),
          ],
          region,
        ),
      ],
    };
  },
};

/** Ruled rows, as in a ledger. */
const ledger: Design = {
  uses: ['food', 'plants', 'shop', 'home'],
  make: (l) => {
    const { colors } = l.given;
    return {
      elements: stack(l, [
        maker({ tracking: 20 }, 0.8),
        rule(colors.ink, 0.94),
        name({ wrap: l.isTall }, 0.94, 3.4),
        rule(colors.ink, 0.94),
        line({ case: 'upper', tracking: 10 }, 0.8, 0.9),
      ]),
    };
  },
};

/** A typed slip with dashed lines. */
const slip: Design = {
  uses: ['shop', 'plants', 'home', 'food'],
  make: (l) => {
    const { colors } = l.given;
    return {
      elements: [
        l.ring(0, { style: 'dashed', color: colors.accent, width: l.hair * 0.9 }),
        ...stack(
          l,
          [
            maker({ tracking: 6 }),
            name({ face: 'text', wrap: l.isTall }, 0.96, 2.2),
            rule(colors.accent, 0.3),
            line({}, 0.9),
          ],
          { ...WHOLE, w: 0.88, h: 0.84 },
        ),
      ],
    };
  },
};

/** The name in a large initial's company: a letter first, all of it beside. */
const initial: Design = {
  uses: ['gifts', 'care', 'home', 'celebrations'],
  make: (l) => {
    const { colors } = l.given;
    const letter = [...l.said('name')][0] ?? '';
    const ink = l.readable(colors.accent);
    if (l.isWide)
      return {
        elements: [
          ...l.text(letter, { x: -0.36, w: 0.26, h: 0.96 }, { case: 'upper', color: ink }),
          ...l.rule({ x: -0.2, h: 0.6, upright: true }, colors.accent),
          ...stack(l, [name({}, 1), line({}, 0.9), maker({}, 0.8)], {
            x: 0.16,
            y: 0,
            w: 0.66,
            h: 0.9,
          }),
        ],
      };
    return {
      elements: [
        ...l.text(letter, { y: -0.22, w: 0.7, h: 0.44 }, { case: 'upper', color: ink }),
        ...stack(l, [name({ wrap: true }), line(), maker()], { x: 0, y: 0.24, w: 0.92, h: 0.46 }),
      ],
    };
  },
};

/** The name very large, everything else very small. */
const headline: Design = {
  uses: ['shop', 'food', 'children', 'home'],
  make: (l) => {
    const { colors, room } = l.given;
    const h = room.radius === undefined ? 0.94 : 0.86;
    return {
      elements: stack(
        l,
        [
          name({ wrap: !l.isWide, case: 'upper' }, 0.96, 5),
          line({ color: l.readable(colors.accent) }, 0.9, 0.9),
          maker({}, 0.8, 0.6),
        ],
        { ...WHOLE, h },
      ),
    };
  },
};

/** Of type and rules alone, the first that is offered first. */
export const TYPESET = { quiet, margin, initial, ledger, headline, slip };

import type { PatternName } from '../../art/index.ts';
import type { BoxedKind } from '../../shape/index.ts';
import type { Design, Layout } from '../layout.ts';

/** How much of a plate's width a name may take. */
const TITLE: Readonly<Partial<Record<BoxedKind, number>>> & { readonly rectangle: number } = {
  rectangle: 0.84,
  scallop: 0.68,
  banner: 0.66,
};

/** Designs with a pattern as their ground and a plate for the words. */
function onPattern(
  pattern: (l: Layout) => {
    name: PatternName;
    inks: readonly string[];
    ground: string;
    scale?: number;
  },
  plate: { kind: BoxedKind; w: number; h: number; line?: boolean },
  look: { tracking?: number; upper?: boolean } = {},
): Design {
  return {
    make(l) {
      const { words, colors, room } = l.given;
      const { name, inks, ground, scale = 1 } = pattern(l);
      const line = plate.line
        ? ({ color: colors.ink, width: l.hair * 1.2, style: 'double' } as const)
        : null;
      // On a bent band there is no plate: the pattern stays close to its ground.
      const fill = room.bent
        ? l.pattern(
            name,
            inks.map(() => colors.soft),
            colors.ground,
            scale,
          )
        : l.pattern(name, inks, ground, scale);
      const title = look.upper ? { case: 'upper' as const } : {};
      return {
        ground: fill,
        elements: [
          ...l.plate(plate.kind, plate, colors.ground, line),
          ...l.text(
            words.maker,
            { y: -plate.h * 0.3, w: plate.w * 0.62, h: plate.h * 0.12 },
            { face: 'text', case: 'upper', tracking: 12 },
          ),
          ...l.text(
            words.name,
            { y: 0, w: plate.w * (TITLE[plate.kind] ?? TITLE.rectangle), h: plate.h * 0.38 },
            { ...title, tracking: look.tracking ?? 0 },
          ),
          ...l.text(
            words.line,
            { y: plate.h * 0.29, w: plate.w * 0.66, h: plate.h * 0.13 },
            { face: 'text', color: colors.accent },
          ),
        ],
      };
    },
  };
}

export const gingham = onPattern(
  (l) => ({
    name: 'check',
    inks: [l.given.colors.accent, l.given.colors.accent],
    ground: l.given.colors.ground,
    scale: 1.1,
  }),
  { kind: 'ellipse', w: 0.98, h: 0.74, line: true },
);

export const tweed = onPattern(
  (l) => ({
    name: 'herringbone',
    inks: [l.given.colors.ink, l.given.colors.accent],
    ground: l.given.colors.soft,
    scale: 0.8,
  }),
  { kind: 'rectangle', w: 1, h: 0.62, line: true },
  { upper: true, tracking: 6 },
);

export const terrazzo = onPattern(
  (l) => ({
    name: 'terrazzo',
    inks: [l.given.colors.accent, l.given.colors.ink, l.given.colors.soft],
    ground: '#fffdf9',
    scale: 0.8,
  }),
  { kind: 'rectangle', w: 0.94, h: 0.56 },
);

export const awning = onPattern(
  (l) => ({
    name: 'stripes',
    inks: [l.given.colors.accent, l.given.colors.ink],
    ground: l.given.colors.soft,
  }),
  { kind: 'scallop', w: 1, h: 0.86, line: true },
);

export const pond = onPattern(
  (l) => ({
    name: 'scales',
    inks: [l.given.colors.ink, l.given.colors.accent],
    ground: l.given.colors.soft,
  }),
  { kind: 'banner', w: 1.04, h: 0.5 },
);

export const meadow = onPattern(
  (l) => ({
    name: 'flowers',
    inks: [l.given.colors.accent, l.given.colors.ground],
    ground: l.given.colors.ink,
    scale: 0.8,
  }),
  { kind: 'ticket', w: 0.98, h: 0.56, line: true },
);

export const night: Design = {
  make(l) {
    const { words, colors } = l.given;
    return {
      ground: l.pattern('stars', [colors.accent, colors.soft], colors.ground, 1.1),
      elements: [
        l.ring(0, { color: colors.accent, width: l.hair * 1.4 }),
        ...l.text(words.name, { y: -0.02, w: 0.92, h: 0.4 }, { wrap: l.isTall, halo: true }),
        ...l.text(words.line, { y: 0.3, w: 0.8, h: 0.12 }, { face: 'text', halo: true }),
      ],
    };
  },
};

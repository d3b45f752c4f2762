import { BOLD } from './families/bold.ts';
import { BOTANICAL } from './families/botanical.ts';
import { CLASSIC } from './families/classic.ts';
import { CLOTH } from './families/cloth.ts';
import { DAYS } from './families/days.ts';
import { SEALS } from './families/seals.ts';
import { TYPESET } from './families/typeset.ts';
import type { Design } from './design.ts';
import type { LabelUse } from './label-uses.ts';

/** All designs by their families, in the order in which they are offered; adding one touches its file alone. */
const FAMILIES = {
  seals: SEALS,
  typeset: TYPESET,
  botanical: BOTANICAL,
  classic: CLASSIC,
  cloth: CLOTH,
  bold: BOLD,
  days: DAYS,
} satisfies Record<string, Record<string, Design>>;

type Families = typeof FAMILIES;

/** A manner that several designs share. */
export type DesignFamily = keyof Families;
export const DESIGN_FAMILIES = Object.keys(FAMILIES) as readonly DesignFamily[];

export type DesignName = { [F in DesignFamily]: keyof Families[F] }[DesignFamily];

interface Listed {
  readonly name: DesignName;
  readonly family: DesignFamily;
  readonly design: Design;
}

const LISTED: readonly Listed[] = DESIGN_FAMILIES.flatMap((family) =>
  Object.entries<Design>(FAMILIES[family]).map(([name, design]) => ({
    ...{ name: name as DesignName, family, design },
  })),
);

/** How designs are looked for: by what is labelled, by their manner, by both, or by nothing. */
export interface DesignSearch {
  readonly use?: LabelUse | undefined;
  readonly family?: DesignFamily | undefined;
}

/** The names of designs: one of each family, then another of each, so that the first are unlike each other. */
export function designsFor({ use, family }: DesignSearch = {}): DesignName[] {
  const suitable = LISTED.filter(
    (one) => (!family || one.family === family) && (!use || one.design.uses.includes(use)),
  );
  const place = (one: Listed): number =>
    suitable.filter((other) => other.family === one.family).indexOf(one);
  return suitable
    .map((one) => ({ one, at: place(one) }))
    .sort((left, right) => left.at - right.at)
    .map(({ one }) => one.name);
}

/** A design by its name. */
export function designOf(name: DesignName): Design {
  const found = LISTED.find((one) => one.name === name);
  if (!found) throw new Error(`There is no design ${name}.`);
  return found.design;
}

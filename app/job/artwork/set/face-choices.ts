import type { FaceRole } from '../../../../core/piece/index.ts';
import {
  FAMILIES,
  findFace,
  nearestFace,
  ownFamilies,
  REGULAR,
  type OwnTypeface,
} from '../../../../core/type/index.ts';

/** The weight that a typeface usually has for what it does, and the slope. */
const WEIGHTS: Readonly<Record<FaceRole, number>> = { title: 600, text: 400, small: 400 };

/** A typeface to choose: one of each family, and the one that is chosen, whatever its cut. */
export function faceChoices(
  role: FaceRole,
  chosen: string | undefined,
  own: readonly OwnTypeface[],
): readonly { readonly id: string; readonly name: string }[] {
  const now = chosen === undefined ? undefined : findFace(chosen, own);
  return [...ownFamilies(own), ...FAMILIES].map((family) => ({
    name: family.name,
    id:
      now?.family.name === family.name
        ? now.id
        : nearestFace(family, { ...REGULAR, weight: WEIGHTS[role] }),
  }));
}

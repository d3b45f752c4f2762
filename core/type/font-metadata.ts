import type { Face } from 'harfbuzzjs';
import { onceFor } from '../base/index.ts';
import type { Axis } from './axes.ts';
import type { Cut } from './cuts.ts';

/** What a font says of itself. */
export interface FontMetadata extends Cut {
  /** Empty where it says none. */
  readonly family: string;
  /** Whether it may stand in files: not at all, in those to be read and printed, or in those to be changed too. */
  readonly embedding: 'none' | 'print' | 'edit';
  /** Whether it may only stand in files as a whole. */
  readonly wholeOnly: boolean;
  /** Whether its outlines are of a kind that printed files have no place for. */
  readonly outlinesOnly: boolean;
  /** Those that people move; none unless it is variable. */
  readonly axes: readonly Axis[];
}

const RESTRICTED = 2;
const PREVIEW_AND_PRINT = 4;
const EDITABLE = 8;
const NO_SUBSETTING = 0x100;
const BITMAPS_ONLY = 0x200;
const ITALIC = 1;
const OBLIQUE = 1 << 9;
const HIDDEN = 1;
const NAMES = { family: 1, fullName: 4, typographicFamily: 16 } as const;
const WIDTHS = [50, 62.5, 75, 87.5, 100, 112.5, 125, 150, 200]; // percent, of the classes 1 to 9
const MOST_AXES = 16;

/**
 * Reads names, cut, permissions and axes. Of several permissions the most generous counts.
 * Source: OpenType 1.9, tables `name`, `OS/2` (usWeightClass, usWidthClass, fsType, fsSelection) and `fvar`.
 */
export function readFontMetadata(face: Face): FontMetadata {
  const table = face.referenceTable('OS/2');
  const os2 =
    table && table.length >= 64
      ? new DataView(table.buffer, table.byteOffset, table.byteLength)
      : undefined;
  const type = os2?.getUint16(8) ?? 0;
  const name = nameOf(face, NAMES.typographicFamily);
  const cut = cutOf(os2);
  return {
    family: name || withoutCut(nameOf(face, NAMES.family), cut),
    ...cut,
    embedding: embeddingOf(type),
    wholeOnly: (type & NO_SUBSETTING) !== 0,
    outlinesOnly: face.referenceTable('CFF2') !== undefined,
    axes: axesOf(face),
  };
}

function cutOf(os2: DataView | undefined): Cut {
  const weight = os2?.getUint16(4) ?? 400;
  const selection = os2?.getUint16(62) ?? 0;
  return {
    // Some old files count from 1 to 9.
    weight: weight < 10 ? Math.max(1, weight) * 100 : Math.min(1000, weight),
    width: WIDTHS[(os2?.getUint16(6) ?? 5) - 1] ?? 100,
    italic: (selection & (ITALIC | OBLIQUE)) !== 0,
  };
}

const WEIGHT_WORDS =
  /[ -](?:(?:extra|ultra|semi|demi)[ -]?)?(?:hairline|thin|light|book|medium|demi|bold|black|heavy)$/i;
const WIDTH_WORDS =
  /[ -](?:(?:extra|ultra|semi)[ -]?)?(?:condensed|compressed|narrow|expanded|wide)$/i;

/** Files that name no family above their four styles have their weight and width in its name. */
function withoutCut(name: string, { weight, width }: Cut): string {
  const plain = weight === 400 || weight === 700 ? name : name.replace(WEIGHT_WORDS, '');
  return (width === 100 ? plain : plain.replace(WIDTH_WORDS, '')) || name;
}

function axesOf(face: Face): Axis[] {
  return Object.values(face.getAxisInfos())
    .filter(({ flags, min, max }) => (flags & HIDDEN) === 0 && min < max)
    .slice(0, MOST_AXES)
    .map(({ tag, nameId, min, default: usual, max }) => ({
      ...{ tag, min, usual, max },
      name: nameOf(face, nameId).slice(0, 60) || tag,
    }));
}

/** The features of a font that exchange glyphs, with what its maker calls them; empty where it does not say. */
export const readFeatures = onceFor((face: Face): ReadonlyMap<string, string> => {
  const found = new Map<string, string>();
  for (const [at, tag] of face.getTableFeatureTags('GSUB').entries()) {
    if (found.get(tag)) continue;
    const label = face.getFeatureNameIds('GSUB', at)?.uiLabelNameId;
    found.set(tag, label === undefined ? '' : nameOf(face, label));
  }
  return found;
});

function embeddingOf(type: number): FontMetadata['embedding'] {
  if (type & BITMAPS_ONLY) return 'none';
  if (type & EDITABLE) return 'edit';
  if (type & PREVIEW_AND_PRINT) return 'print';
  return type & RESTRICTED ? 'none' : 'edit';
}

/** A name by its number, in English where there is one; empty where there is none. */
function nameOf(face: Face, id: number): string {
  const named = face.listNames().filter(({ nameId }) => nameId === id);
  const found = named.find(({ language }) => language.startsWith('en')) ?? named[0];
  return found ? face.getName(id, found.language).trim() : '';
}

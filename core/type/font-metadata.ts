import type { Face } from 'harfbuzzjs';

/** A cut of a family. */
export type FaceStyle = 'regular' | 'italic' | 'bold' | 'bold-italic';

/** What a font says of itself. */
export interface FontMetadata {
  /** Empty where it says none. */
  readonly family: string;
  readonly style: FaceStyle;
  /** Whether it may stand in files: not at all, in those to be read and printed, or in those to be changed too. */
  readonly embedding: 'none' | 'print' | 'edit';
  /** Whether it may only stand in files as a whole. */
  readonly wholeOnly: boolean;
}

const RESTRICTED = 2;
const PREVIEW_AND_PRINT = 4;
const EDITABLE = 8;
const NO_SUBSETTING = 0x100;
const BITMAPS_ONLY = 0x200;
const ITALIC = 1;
const BOLD = 1 << 5;
const NAMES = { family: 1, typographicFamily: 16 } as const;

/**
 * Reads names, style and permissions. Of several permissions the most generous counts.
 * Source: OpenType 1.9, tables `name` and `OS/2` (fsType, fsSelection).
 */
export function readFontMetadata(face: Face): FontMetadata {
  const table = face.referenceTable('OS/2');
  const os2 =
    table && table.length >= 64
      ? new DataView(table.buffer, table.byteOffset, table.byteLength)
      : undefined;
  const type = os2?.getUint16(8) ?? 0;
  const selection = os2?.getUint16(62) ?? 0;
  const weight = os2?.getUint16(4) ?? 400;
  const bold = (selection & BOLD) !== 0 || weight >= 600;
  const italic = (selection & ITALIC) !== 0;
  return {
    family: nameOf(face),
    style: bold ? (italic ? 'bold-italic' : 'bold') : italic ? 'italic' : 'regular',
    embedding: embeddingOf(type),
    wholeOnly: (type & NO_SUBSETTING) !== 0,
  };
}

function embeddingOf(type: number): FontMetadata['embedding'] {
  if (type & BITMAPS_ONLY) return 'none';
  if (type & EDITABLE) return 'edit';
  if (type & PREVIEW_AND_PRINT) return 'print';
  return type & RESTRICTED ? 'none' : 'edit';
}

function nameOf(face: Face): string {
  const named = face.listNames();
  const language = (id: number): string | undefined =>
    named.find((one) => one.nameId === id && one.language.startsWith('en'))?.language ??
    named.find((one) => one.nameId === id)?.language;
  for (const id of [NAMES.typographicFamily, NAMES.family]) {
    const said = language(id);
    const name = said === undefined ? '' : face.getName(id, said).trim();
    if (name) return name;
  }
  return '';
}

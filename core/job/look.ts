import * as z from 'zod';
import { contrastRatio, luminance, rgbOf } from '../color/index.ts';
import {
  colorsOfPieces,
  color,
  COLOR_ROLES,
  FACE_ROLES,
  fieldsSaid,
  isPlain,
  LABEL_FIELDS,
  type ColorRole,
  type FaceRole,
  type LabelField,
  type Piece,
  type PieceElement,
  type Words,
} from '../piece/index.ts';
import { textChanges } from '../type/index.ts';

const TYPEFACE_LETTERS = 200;

const roleColorsSchema = z.partialRecord(z.enum(COLOR_ROLES), color);
const roleFacesSchema = z.partialRecord(z.enum(FACE_ROLES), z.string().max(TYPEFACE_LETTERS));

/** What the labels of a set share: a change of it is one of all labels that have no value of their own. */
export const lookSchema = z.object({
  colors: roleColorsSchema,
  /** Typefaces by their ids. */
  faces: roleFacesSchema,
  /** A picture that stands for the maker, by its hash. */
  mark: z.string().max(80).optional(),
  /** What labels say in the fields that they share. */
  says: z.partialRecord(z.enum(LABEL_FIELDS), z.string().max(5000)),
});
export type Look = z.infer<typeof lookSchema>;

/** What one label of a set has in the place of what is shared. */
export const ownLookSchema = z.object({
  colors: roleColorsSchema.optional(),
  faces: roleFacesSchema.optional(),
  /** The fields in which it says something of its own. */
  says: z.array(z.enum(LABEL_FIELDS)).max(LABEL_FIELDS.length).optional(),
});
export type OwnLook = z.infer<typeof ownLookSchema>;

/** Parts of a look, to be changed. */
export interface LookChanges {
  readonly colors?: Look['colors'];
  readonly faces?: Look['faces'];
  readonly says?: Look['says'];
}

/** The look of one label of a set. */
export const ownedLook = (look: Look, own: OwnLook = {}): Look => ({
  ...look,
  colors: { ...look.colors, ...own.colors },
  faces: { ...look.faces, ...own.faces },
});

/** Colours as they were and as they are to be, for each that changes. */
export function colorSwaps(
  before: Look['colors'],
  after: Look['colors'],
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    COLOR_ROLES.flatMap((role) => {
      const [from, to] = [before[role], after[role]];
      return from && to && from.toLowerCase() !== to.toLowerCase()
        ? [[from.toLowerCase(), to]]
        : [];
    }),
  );
}

/**
 * Colours of which no two roles have the same one, so that each can be changed alone: one that is equal to
 * another is moved by the least step that colours have, which nobody sees.
 */
export function distinctColors(colors: Look['colors']): Look['colors'] {
  const taken = new Set<string>();
  const made: Partial<Record<ColorRole, string>> = {};
  for (const role of COLOR_ROLES) {
    let value = colors[role]?.toLowerCase();
    while (value !== undefined && taken.has(value)) value = nextTo(value);
    if (value === undefined) continue;
    taken.add(value);
    made[role] = value;
  }
  return made;
}

/** The colour with one step more blue, or less where there is no more. */
function nextTo(value: string): string {
  const blue = parseInt(value.slice(5), 16);
  const next = blue < 255 ? blue + 1 : blue - 1;
  return `${value.slice(0, 5)}${next.toString(16).padStart(2, '0')}`;
}

const wordsOf = (pieces: readonly Piece[]): Words[] =>
  pieces.flatMap(({ elements }) => elements.filter((one): one is Words => one.kind === 'words'));

/** The look that pieces have: what is shared with others when they become a part of a set. */
export function lookOfPieces(pieces: readonly Piece[]): Look {
  const [first] = pieces;
  const words = wordsOf(pieces.slice(0, 1)).sort((one, other) => other.size - one.size);
  const title = words.find(({ field }) => field === 'name') ?? words[0];
  const smallest = words[words.length - 1];
  const text = words.find(({ typeface }) => typeface !== title?.typeface) ?? smallest;
  const ground = first?.ground && isPlain(first.ground) ? first.ground : '#ffffff';
  const main = title && isPlain(title.color) ? title.color : undefined;
  const others = colorsOfPieces(pieces.slice(0, 1)).filter((one) => one !== ground && one !== main);
  const [one, two] = main ? others : others.slice(1);
  // What is close to the ground lies behind; what stands out from it is an accent.
  const [second, accent] = [one, two]
    .flatMap((color) => color ?? [])
    .sort((a, b) => contrastOn(ground, a) - contrastOn(ground, b))
    .reduce<(string | undefined)[]>(
      (roles, color, _, all) =>
        all.length === 1 && contrastOn(ground, color) > STANDS_OUT
          ? [undefined, color]
          : [...roles, color],
      [],
    );
  const mark = pieces.flatMap(({ elements }) => elements).find((one) => one.kind === 'picture');
  return {
    colors: distinctColors(defined({ ground, main: main ?? others[0], second, accent })),
    faces: defined({
      title: title?.typeface,
      text: text?.typeface,
      small: smallest?.typeface,
    }),
    ...(mark?.kind === 'picture' ? { mark: mark.art } : {}),
    says: { ...fieldsSaid(first?.elements ?? []) },
  };
}

const STANDS_OUT = 1.8; // contrast with the ground
const contrastOn = (ground: string, color: string): number =>
  contrastRatio(luminance(rgbOf(ground)), luminance(rgbOf(color)));

/** What one label has of its own, without parts in which that is nothing. */
export function withoutEmpty({ colors = {}, faces = {}, says = [] }: OwnLook): OwnLook {
  return {
    ...(Object.keys(colors).length ? { colors } : {}),
    ...(Object.keys(faces).length ? { faces } : {}),
    ...(says.length ? { says } : {}),
  };
}

/**
 * What a label that comes into a set has in the place of what is shared: its colours and typefaces by role
 * and what it says, where these are others. A colour that another role has already is not named.
 */
export function ownOfJoined(
  shared: Look,
  look: Look,
  pieces: readonly Piece[],
): OwnLook | undefined {
  const colors: Partial<Record<ColorRole, string>> = {};
  for (const role of COLOR_ROLES) {
    const [from, to] = [shared.colors[role], look.colors[role]];
    const others = { ...shared.colors, ...colors, [role]: undefined };
    if (from && to && from !== to && !Object.values(others).includes(to)) colors[role] = to;
  }
  const differs = FACE_ROLES.flatMap((role) => {
    const [from, to] = [shared.faces[role], look.faces[role]];
    return from && to && from !== to ? [[role, to] as const] : [];
  });
  const faces: OwnLook['faces'] = Object.fromEntries(differs);
  const said = fieldsSaid(pieces[0]?.elements ?? []);
  const says = LABEL_FIELDS.filter(
    (field) =>
      said[field] !== undefined &&
      shared.says[field] !== undefined &&
      said[field] !== shared.says[field],
  );
  const own = withoutEmpty({ colors, faces, says });
  return Object.keys(own).length ? own : undefined;
}

/** A piece that says nothing in fields, with those that its words plainly are: what is largest is its name. */
export function withFieldsGuessed(piece: Piece): Piece {
  if (piece.elements.some(({ field }) => field)) return piece;
  const words = wordsOf([piece]);
  const straight = words
    .filter(({ path }) => path.kind !== 'circle')
    .sort((one, other) => other.size - one.size);
  const around = (side: 'inside' | 'outside'): Words | undefined =>
    words.find(({ path }) => path.kind === 'circle' && path.side === side);
  const found = new Map<PieceElement | undefined, LabelField>([
    [around('inside') ?? straight[2], 'line'],
    [around('outside') ?? straight[1], 'maker'],
    [straight[0], 'name'],
  ]);
  return mapped(piece, (element) => {
    const field = found.get(element);
    return field ? { ...element, field } : element;
  });
}

const defined = <K extends string>(
  record: Record<K, string | undefined>,
): Partial<Record<K, string>> =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)) as Partial<
    Record<K, string>
  >;

const SMALL_PRINT = 9; // pt up to which words are read closely

/** What a typeface does in some words, by the look that they were made in; undefined for one of their own. */
function faceRole({ typeface, size, field }: Words, { faces }: Look): FaceRole | undefined {
  const isSmall = size <= SMALL_PRINT || field === 'ingredients' || field === 'small';
  const order: readonly FaceRole[] = isSmall
    ? ['small', 'text', 'title']
    : ['title', 'text', 'small'];
  return order.find((role) => faces[role] === typeface);
}

const mapped = (piece: Piece, map: (element: PieceElement) => PieceElement): Piece => {
  const elements = piece.elements.map(map);
  return elements.every((one, at) => one === piece.elements[at]) ? piece : { ...piece, elements };
};

/** A piece whose words know what their typefaces do. */
export const withFaceRoles = (piece: Piece, look: Look): Piece =>
  mapped(piece, (element) => {
    if (element.kind !== 'words' || element.role) return element;
    const role = faceRole(element, look);
    return role ? { ...element, role } : element;
  });

/** A piece whose words with another typeface than the look has for them have one of their own. */
export const withOwnFaces = (piece: Piece, { faces }: Look): Piece =>
  mapped(piece, (element) => {
    if (element.kind !== 'words' || !element.role || faces[element.role] === element.typeface)
      return element;
    const { role, ...words } = element;
    void role;
    return words;
  });

/** A piece with the typefaces that a look has for its words. */
export const withFaces = (piece: Piece, { faces }: Look): Piece =>
  mapped(piece, (element) => {
    const typeface = element.kind === 'words' && element.role ? faces[element.role] : undefined;
    return element.kind === 'words' && typeface && typeface !== element.typeface
      ? { ...element, typeface }
      : element;
  });

/** What a field says anew, and what it said before; undefined where that does not matter. */
export interface SaidAnew {
  readonly field: LabelField;
  readonly from: string | undefined;
  readonly to: string;
}

/** A piece that says anew what it said as the others of its set did. */
export const withSays = (piece: Piece, said: readonly SaidAnew[]): Piece =>
  mapped(piece, (element) => {
    const found = said.find(({ field }) => field === element.field);
    if (!found || (element.kind !== 'words' && element.kind !== 'code')) return element;
    if (element.text === found.to || (found.from !== undefined && element.text !== found.from))
      return element;
    return element.kind === 'words'
      ? { ...element, ...textChanges(element, found.to) }
      : { ...element, text: found.to };
  });

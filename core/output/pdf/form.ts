import { rgbOf } from '../../color/index.ts';
import { written, writtenAll } from '../../drawing/index.ts';
import type { Box } from '../../geometry/index.ts';
import type { Subsetter, Typeface } from '../../type/index.ts';
import { MM_PER_PT } from '../../units/index.ts';
import { fontName, hasCffOutlines } from './fonts.ts';
import type { PdfObjects, PdfRef, PdfValue } from './objects.ts';

/** A field of a page to be typed into. */
export interface FormField {
  /** Fields of one name, on one page or many, are one: what is typed into one stands in all. */
  readonly name: string;
  /** What it is for, for people. */
  readonly label: string;
  readonly value: string;
  /** On the page, mm, y down. */
  readonly box: Box;
  /** How it is turned, degrees clockwise: quarters. */
  readonly angle: 0 | 90 | 180 | 270;
  readonly typeface: string;
  /** The size that letters have at most, pt: they are set smaller where they need to. */
  readonly size: number;
  readonly color: string;
  readonly align: 'left' | 'centre' | 'right';
  /** Whether it takes several lines. */
  readonly lines: boolean;
}

/** What the letters of a form are set in: a font with one byte a letter, as viewers type in it. */
interface FormFont {
  readonly ref: PdfRef;
  readonly name: string;
  /** Ems of a text; undefined when it has letters that one byte cannot say. */
  width(text: string): number | undefined;
  readonly capHeight: number;
}

/** The letters of WinAnsiEncoding from 128 to 159 (ISO 32000-1, annex D); all others are as in Unicode. */
const HIGH = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';
const letterOf = (code: number): string =>
  code >= 128 && code < 160 ? (HIGH[code - 128] ?? '') : String.fromCharCode(code);

/** The bytes of a text in WinAnsiEncoding; undefined where it has other letters. */
function winAnsi(text: string): number[] | undefined {
  const codes = [...text].map((letter) => {
    const at = HIGH.indexOf(letter);
    if (at >= 0) return at + 128;
    const code = letter.codePointAt(0) ?? 0;
    return code < 128 || (code >= 160 && code < 256) ? code : -1;
  });
  return codes.includes(-1) ? undefined : codes;
}

const FIRST = 32;
const LAST = 255;
const NOT_SYMBOLIC = 32;

/** Embeds a whole typeface, so that a stranger can type any of its letters. */
function embedFormFont(
  objects: PdfObjects,
  typeface: Typeface,
  { name, subset }: { readonly name: string; readonly subset: Subsetter },
): FormFont {
  const advances = Array.from({ length: LAST - FIRST + 1 }, (_, at) => {
    const [glyph] = typeface.shape(letterOf(at + FIRST));
    return glyph ? Math.round(glyph.advance * 1000) : 0;
  });
  const look = { name, capHeight: typeface.capHeight, width: widthBy(advances) };
  if (typeface.metadata.outlinesOnly) return { ref: standIn(objects), ...look };
  const file = subset(typeface, 'all');
  const isCff = hasCffOutlines(file);
  const base = `/${fontName(typeface)}`;
  const thousands = (ems: number): number => Math.round(ems * 1000);
  const descriptor = objects.add({
    Type: '/FontDescriptor',
    FontName: base,
    Flags: NOT_SYMBOLIC,
    FontBBox: [-1000, -thousands(typeface.descent), 3000, thousands(typeface.ascent)],
    ItalicAngle: 0,
    Ascent: thousands(typeface.ascent),
    Descent: -thousands(typeface.descent),
    CapHeight: thousands(typeface.capHeight),
    StemV: 80,
    ...(isCff
      ? { FontFile3: objects.stream({ Subtype: '/OpenType' }, file) }
      : { FontFile2: objects.stream({ Length1: file.length }, file) }),
  });
  const ref = objects.add({
    Type: '/Font',
    Subtype: isCff ? '/Type1' : '/TrueType',
    BaseFont: base,
    FirstChar: FIRST,
    LastChar: LAST,
    Widths: advances,
    FontDescriptor: descriptor,
    Encoding: '/WinAnsiEncoding',
  });
  return { ref, ...look };
}

const widthBy =
  (advances: readonly number[]): FormFont['width'] =>
  (text) =>
    winAnsi(text)?.reduce((sum, code) => sum + (advances[code - FIRST] ?? 0) / 1000, 0);

/** Where a typeface can be printed as outlines alone, strangers type in one that every viewer has. */
const standIn = (objects: PdfObjects): PdfRef =>
  objects.add({
    Type: '/Font',
    Subtype: '/Type1',
    BaseFont: '/Helvetica',
    Encoding: '/WinAnsiEncoding',
  });

/** Flags of a text field (ISO 32000-1, 12.7.4.3). */
const MULTILINE = 1 << 12;
const NO_SCROLL = 1 << 23;
const PRINTED = 4; // of an annotation
const QUADDING = { left: 0, centre: 1, right: 2 } as const;

/** Size 0 has viewers set letters as large as the field takes; its height is the limit. */
function look({ color }: FormField, { name }: FormFont): string {
  const { r, g, b } = rgbOf(color);
  return `/${name} 0 Tf ${writtenAll([r, g, b])} rg`;
}

/** The fields of a file: one for each name, with a place for each of its boxes. */
export class PdfForm {
  private readonly objects: PdfObjects;
  private readonly typeface: (id: string) => Typeface | undefined;
  private readonly subset: Subsetter;
  private readonly fonts = new Map<string, FormFont>();
  private readonly fields = new Map<string, { field: FormField; ref: PdfRef; kids: PdfRef[] }>();

  constructor(
    objects: PdfObjects,
    typeface: (id: string) => Typeface | undefined,
    subset: Subsetter,
  ) {
    this.objects = objects;
    this.typeface = typeface;
    this.subset = subset;
  }

  /** The places of fields on a page of a height in mm, in the order in which they are read. */
  place(fields: readonly FormField[], height: number): PdfRef[] {
    return fields.flatMap((field) => {
      const font = this.font(field.typeface);
      if (!font) return [];
      const known = this.fields.get(field.name) ?? {
        field,
        ref: this.objects.reserve(),
        kids: [],
      };
      this.fields.set(field.name, known);
      const { left, right, top, bottom } = field.box;
      const pt = (mm: number): number => Math.round((mm / MM_PER_PT) * 1e4) / 1e4;
      const [width, tall] = [pt(right - left), pt(bottom - top)];
      const kid = this.objects.add({
        Type: '/Annot',
        Subtype: '/Widget',
        Parent: known.ref,
        F: PRINTED,
        Rect: [pt(left), pt(height - bottom), pt(right), pt(height - top)],
        DA: this.objects.literal(look(field, font)),
        Q: QUADDING[field.align],
        MK: { R: (360 - field.angle) % 360 },
        AP: { N: this.appearance(known.field.value, field, { font, width, tall }) },
      });
      known.kids.push(kid);
      return [kid];
    });
  }

  /** What the catalogue says of the form; nothing where there are no fields. */
  finish(): { readonly [key: string]: PdfValue } {
    if (this.fields.size === 0) return {};
    for (const { field, ref, kids } of this.fields.values())
      this.objects.fill(ref, {
        FT: '/Tx',
        T: this.objects.text(field.name),
        TU: this.objects.text(field.label),
        V: this.objects.text(field.value),
        DV: this.objects.text(field.value),
        Ff: NO_SCROLL | (field.lines ? MULTILINE : 0),
        Kids: kids,
      });
    const fonts = Object.fromEntries([...this.fonts.values()].map(({ name, ref }) => [name, ref]));
    const [first] = this.fonts.values();
    return {
      AcroForm: this.objects.add({
        Fields: [...this.fields.values()].map(({ ref }) => ref),
        DR: { Font: fonts },
        DA: this.objects.literal(`/${first?.name ?? 'F0'} 0 Tf 0 g`),
        NeedAppearances: true,
      }),
    };
  }

  private font(id: string): FormFont | undefined {
    const known = this.fonts.get(id);
    const typeface = known ? undefined : this.typeface(id);
    if (known || !typeface) return known;
    const made = embedFormFont(this.objects, typeface, {
      name: `F${this.fonts.size}`,
      subset: this.subset,
    });
    this.fonts.set(id, made);
    return made;
  }

  /** How a field looks before anybody types: its value, as large as it may be. */
  private appearance(
    value: string,
    { angle, size, color, align }: FormField,
    { font, width, tall }: { font: FormFont; width: number; tall: number },
  ): PdfRef {
    const lying = angle === 90 || angle === 270;
    const [along, across] = lying ? [tall, width] : [width, tall];
    const ems = font.width(value);
    const codes = winAnsi(value) ?? [];
    const set = ems ? Math.min(size, (along - 2) / ems) : size;
    const spare = along - (ems ?? 0) * set;
    const x = align === 'left' ? 1 : align === 'right' ? spare - 1 : spare / 2;
    const y = (across - font.capHeight * set) / 2;
    const { r, g, b } = rgbOf(color);
    const hex = codes.map((code) => code.toString(16).padStart(2, '0')).join('');
    const shown = hex
      ? `q BT ${writtenAll([r, g, b])} rg /${font.name} ${written(set)} Tf ${writtenAll([x, y])} Td <${hex}> Tj ET Q`
      : '';
    const turns = {
      0: [1, 0, 0, 1, 0, 0],
      90: [0, -1, 1, 0, 0, tall],
      180: [-1, 0, 0, -1, width, tall],
      270: [0, 1, -1, 0, width, 0],
    } as const;
    return this.objects.stream(
      {
        Type: '/XObject',
        Subtype: '/Form',
        BBox: [0, 0, along, across],
        Matrix: [...turns[angle]],
        Resources: { Font: { [font.name]: font.ref } },
      },
      new TextEncoder().encode(`/Tx BMC\n${shown}\nEMC\n`),
    );
  }
}

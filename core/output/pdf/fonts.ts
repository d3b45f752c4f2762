import { contentHash } from '../../base/index.ts';
import { walkDrawing, written, type Drawing, type GlyphsNode } from '../../drawing/index.ts';
import type { Subsetter, Typeface } from '../../type/index.ts';
import type { PdfObjects, PdfRef, PdfValue } from './objects.ts';

/** The glyphs of each typeface that drawings use, with the characters they stand for. */
export type UsedGlyphs = ReadonlyMap<string, ReadonlyMap<number, string>>;

/** Gathers the glyphs of drawings. */
export function usedGlyphs(drawings: readonly Drawing[]): UsedGlyphs {
  const used = new Map<string, Map<number, string>>();
  for (const drawing of drawings) {
    walkDrawing(drawing, (node) => {
      if (node.kind !== 'glyphs') return;
      const glyphs = used.get(node.typeface) ?? new Map<number, string>();
      used.set(node.typeface, glyphs);
      for (const { id, text } of node.glyphs) if (!glyphs.get(id)) glyphs.set(id, text);
    });
  }
  return used;
}

/**
 * Embeds a subset of a typeface, or all of it where its maker wants that, as a composite font whose
 * codes are glyph numbers. Source: ISO 32000-1, 9.7 (CIDFontType2 and, with PostScript outlines,
 * CIDFontType0; Identity-H) and 9.10.3 (ToUnicode).
 */
export function embedTypeface(
  objects: PdfObjects,
  typeface: Typeface,
  glyphs: ReadonlyMap<number, string>,
  subset: Subsetter,
): EmbeddedFont {
  const ids = [...glyphs.keys()].sort((one, other) => one - other);
  const whole = typeface.metadata.wholeOnly;
  const file = subset(typeface, whole ? 'all' : ids);
  const isCff = hasCffOutlines(file);
  const name = `/${whole ? '' : `${subsetTag(ids)}+`}${fontName(typeface)}`;
  const descriptor = objects.add({
    Type: '/FontDescriptor',
    FontName: name,
    Flags: 4,
    FontBBox: [
      -1000,
      -Math.round(typeface.descent * 1000),
      3000,
      Math.round(typeface.ascent * 1000),
    ],
    ItalicAngle: 0,
    Ascent: Math.round(typeface.ascent * 1000),
    Descent: -Math.round(typeface.descent * 1000),
    CapHeight: Math.round(typeface.capHeight * 1000),
    StemV: 80,
    ...(isCff
      ? { FontFile3: objects.stream({ Subtype: '/OpenType' }, file) }
      : { FontFile2: objects.stream({ Length1: file.length }, file) }),
  });
  const advances = new Map(ids.map((id) => [id, Math.round(typeface.advance(id))]));
  const widths = [...advances].flatMap(([id, advance]): PdfValue[] => [id, [advance]]);
  const descendant = objects.add({
    Type: '/Font',
    Subtype: isCff ? '/CIDFontType0' : '/CIDFontType2',
    BaseFont: name,
    CIDSystemInfo: { Registry: 'Adobe', Ordering: 'Identity', Supplement: 0 },
    FontDescriptor: descriptor,
    DW: 0,
    W: widths,
    ...(isCff ? {} : { CIDToGIDMap: '/Identity' }),
  });
  const ref = objects.add({
    Type: '/Font',
    Subtype: '/Type0',
    BaseFont: name,
    Encoding: '/Identity-H',
    DescendantFonts: [descendant],
    ToUnicode: objects.stream({}, new TextEncoder().encode(toUnicode(glyphs))),
  });
  return { ref, advance: (id) => advances.get(id) ?? 0 };
}

/** Whether the outlines of a font file are PostScript's. */
export const hasCffOutlines = (file: Uint8Array): boolean =>
  String.fromCharCode(...file.subarray(0, 4)) === 'OTTO';

/** What a typeface is called in a file. */
export const fontName = ({ id }: Typeface): string =>
  id
    .replace(/(^|-)([a-z])/g, (_, __, letter: string) => letter.toUpperCase())
    .replace(/[^A-Za-z0-9]+/g, '-');

/** An embedded typeface, and how far on a viewer goes after each glyph, in thousandths of its size. */
export interface EmbeddedFont {
  readonly ref: PdfRef;
  advance(glyph: number): number;
}

/** Letters that one operator shows, from where and how they are turned, mm and degrees. */
export interface GlyphRun {
  readonly x: number;
  readonly y: number;
  readonly angle: number;
  readonly shown: string;
}

const ON_LINE = 1e-4; // of the size

/**
 * The letters of a node in runs along straight lines, each shown by one TJ (ISO 32000-1, 9.4.3) with what
 * a letter stands aside from where its forerunner ends.
 */
export function glyphRuns({ glyphs, size }: GlyphsNode, { advance }: EmbeddedFont): GlyphRun[] {
  const runs: GlyphRun[] = [];
  for (let at = 0; at < glyphs.length;) {
    const first = glyphs[at] as GlyphsNode['glyphs'][number];
    const turn = (first.angle * Math.PI) / 180;
    const [cos, sin] = [Math.cos(turn) / size, Math.sin(turn) / size];
    const parts: string[] = [];
    let codes = '';
    let pen = 0; // thousandths of the size, along the line
    for (; at < glyphs.length; at++) {
      const glyph = glyphs[at] as GlyphsNode['glyphs'][number];
      const [dx, dy] = [glyph.x - first.x, glyph.y - first.y];
      if (glyph.angle !== first.angle || Math.abs(dy * cos - dx * sin) > ON_LINE) break;
      const back = Math.round((pen - (dx * cos + dy * sin) * 1000) * 100) / 100;
      if (back !== 0) {
        if (codes) parts.push(`<${codes}>`);
        codes = '';
        parts.push(written(back));
        pen -= back;
      }
      codes += glyph.id.toString(16).padStart(4, '0');
      pen += advance(glyph.id);
    }
    parts.push(`<${codes}>`);
    const [only] = parts;
    const shown = parts.length === 1 ? `${only} Tj` : `[${parts.join(' ')}] TJ`;
    runs.push({ x: first.x, y: first.y, angle: first.angle, shown });
  }
  return runs;
}

/** Text as a string object: plain letters as they are, all else in UTF-16 (ISO 32000-1, 7.9.2.2). */
export function textString(text: string): string {
  if (/^[ -~]*$/.test(text)) return `(${text.replace(/[()\\]/g, '\\$&')})`;
  return `<feff${utf16Hex(text)}>`;
}

/** Four hexadecimal digits for each UTF-16 unit. */
function utf16Hex(text: string): string {
  let hex = '';
  for (let at = 0; at < text.length; at++) hex += text.charCodeAt(at).toString(16).padStart(4, '0');
  return hex;
}

function subsetTag(ids: readonly number[]): string {
  const hash = contentHash(new TextEncoder().encode(ids.join()));
  return [0, 2, 4, 6, 8, 10]
    .map((at) => String.fromCharCode(65 + (parseInt(hash.slice(at, at + 2), 16) % 26)))
    .join('');
}

function toUnicode(glyphs: ReadonlyMap<number, string>): string {
  const known = [...glyphs].filter(([, text]) => text !== '');
  const lines = known.map(
    ([id, text]) => `<${id.toString(16).padStart(4, '0')}> <${utf16Hex(text)}>`,
  );
  const blocks: string[] = [];
  for (let at = 0; at < lines.length; at += 100) {
    const some = lines.slice(at, at + 100);
    blocks.push(`${some.length} beginbfchar\n${some.join('\n')}\nendbfchar`);
  }
  return `/CIDInit /ProcSet findresource begin
12 dict begin
begincmap
/CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def
/CMapName /Adobe-Identity-UCS def
/CMapType 2 def
1 begincodespacerange
<0000> <ffff>
endcodespacerange
${blocks.join('\n')}
endcmap
CMapName currentdict /CMap defineresource pop
end
end`;
}

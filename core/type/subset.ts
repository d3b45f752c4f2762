import type { Platform } from '../base/index.ts';
import type { Typeface } from './shaper.ts';

/**
 * Cuts a typeface down to some of its glyphs, keeping their numbers, or takes all of it; a variable one
 * becomes a plain one as it is at its place on its axes.
 */
export type Subsetter = (typeface: Typeface, glyphs: Iterable<number> | 'all') => Uint8Array;

interface SubsetModule {
  readonly memory: { readonly buffer: ArrayBuffer };
  malloc(size: number): number;
  free(at: number): void;
  hb_blob_create(data: number, length: number, mode: number, user: number, done: number): number;
  hb_blob_destroy(blob: number): void;
  hb_blob_get_data(blob: number, length: number): number;
  hb_blob_get_length(blob: number): number;
  hb_face_create(blob: number, index: number): number;
  hb_face_destroy(face: number): void;
  hb_face_reference_blob(face: number): number;
  hb_subset_input_create_or_fail(): number;
  hb_subset_input_destroy(input: number): void;
  hb_subset_input_set_flags(input: number, flags: number): void;
  hb_subset_input_glyph_set(input: number): number;
  hb_subset_input_keep_everything(input: number): void;
  hb_subset_input_pin_all_axes_to_default(input: number, face: number): number;
  hb_subset_input_pin_axis_location(
    input: number,
    face: number,
    tag: number,
    value: number,
  ): number;
  hb_set_add(set: number, value: number): void;
  hb_subset_or_fail(face: number, input: number): number;
}

const WRITABLE = 2;
const NO_HINTING = 1;
const RETAIN_GLYPH_NUMBERS = 2;

/** Readies the subsetter of the shaping engine. */
export async function loadSubsetter(platform: Platform): Promise<Subsetter> {
  const compiled = await WebAssembly.compile(await platform.asset('harfbuzz-subset.wasm'));
  const instance = await WebAssembly.instantiate(compiled, {});
  const hb = instance.exports as unknown as SubsetModule;
  const made = new Map<string, Uint8Array>();
  return (typeface, glyphs) => {
    const { metadata, bytes } = typeface;
    if (glyphs === 'all' && metadata.axes.length === 0) return bytes;
    const wanted: readonly number[] | 'all' =
      glyphs === 'all' ? 'all' : [...new Set(glyphs)].sort((one, other) => one - other);
    const key = `${typeface.id}:${wanted === 'all' ? wanted : wanted.join()}`;
    const cut = made.get(key) ?? subset(hb, typeface, wanted);
    made.set(key, cut);
    return cut;
  };
}

const tagNumber = (tag: string): number =>
  [...tag].reduce((sum, letter) => sum * 256 + letter.charCodeAt(0), 0);

function subset(
  hb: SubsetModule,
  { bytes: font, metadata, at: values }: Typeface,
  glyphs: readonly number[] | 'all',
): Uint8Array {
  const at = hb.malloc(font.length);
  new Uint8Array(hb.memory.buffer).set(font, at);
  const blob = hb.hb_blob_create(at, font.length, WRITABLE, 0, 0);
  const face = hb.hb_face_create(blob, 0);
  const input = hb.hb_subset_input_create_or_fail();
  if (glyphs === 'all') hb.hb_subset_input_keep_everything(input);
  else {
    hb.hb_subset_input_set_flags(input, NO_HINTING | RETAIN_GLYPH_NUMBERS);
    const set = hb.hb_subset_input_glyph_set(input);
    for (const glyph of glyphs) hb.hb_set_add(set, glyph);
  }
  if (metadata.axes.length) hb.hb_subset_input_pin_all_axes_to_default(input, face);
  for (const [tag, value] of Object.entries(values))
    hb.hb_subset_input_pin_axis_location(input, face, tagNumber(tag), value);
  const cut = hb.hb_subset_or_fail(face, input);
  if (!cut) throw new Error('The typeface could not be cut down to its glyphs.');
  const result = hb.hb_face_reference_blob(cut);
  const from = hb.hb_blob_get_data(result, 0);
  const bytes = new Uint8Array(hb.memory.buffer).slice(from, from + hb.hb_blob_get_length(result));
  hb.hb_blob_destroy(result);
  hb.hb_face_destroy(cut);
  hb.hb_subset_input_destroy(input);
  hb.hb_face_destroy(face);
  hb.hb_blob_destroy(blob);
  hb.free(at);
  return bytes;
}

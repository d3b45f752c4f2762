import { onceFor, type Platform } from '../../base/index.ts';
import type { RgbaImage } from '../../raster/index.ts';
import { FAMILIES, TYPEFACES } from '../../type/index.ts';

/** What of the package that resolves SVG is used; it stays a file of its own, run as it is. */
interface Resolver {
  initWasm(bytes: Uint8Array): Promise<void>;
  Resvg: new (
    svg: string,
    options?: {
      font?: Readonly<Record<string, unknown>>;
      fitTo?: { mode: 'zoom'; value: number };
    },
  ) => {
    toString(): string;
    render(): { width: number; height: number; pixels: Uint8Array; free(): void };
    free(): void;
  };
}

const library = onceFor(async (platform: Platform): Promise<Resolver> => {
  const [module, wasm] = await Promise.all([
    platform.module('resvg.mjs') as Promise<Resolver>,
    platform.asset('resvg.wasm'),
  ]);
  await module.initWasm(wasm).catch((error: unknown) => {
    if (!/already/i.test(String(error))) throw error;
  });
  return module;
});

const typefaces = onceFor((platform: Platform) =>
  Promise.all(TYPEFACES.map(({ id }) => platform.asset(`${id}.ttf`))),
);

/** The family for letters whose own is not here, by what a file calls its kind. */
export const STAND_INS = {
  sans: 'Figtree',
  serif: 'Fraunces',
  mono: 'Courier Prime',
  cursive: 'Caveat',
  fantasy: 'Pacifico',
} as const;

/** The families that letters of a file can be drawn with. */
export const KNOWN_FAMILIES: readonly string[] = FAMILIES.map(({ name }) => name);

/** What a drawing is made of, once all that it says by reference, style and inheritance is resolved. */
export interface SvgDrawer {
  /** The drawing as plain elements: groups, paths, pictures and what they are painted with. */
  resolved(svg: string): string;
  /** A drawing as pixels, so many for each of its own. Colours are not multiplied by alpha. */
  pixels(svg: string, scale: number): RgbaImage;
}

/**
 * The package; for drawings with words with the typefaces that ship and `own` ones, files of TrueType or
 * OpenType. Rejects when it cannot be loaded.
 */
export async function svgDrawer(
  platform: Platform,
  own?: readonly Uint8Array[],
): Promise<SvgDrawer> {
  const { Resvg } = await library(platform);
  const font = {
    fontBuffers: own ? [...(await typefaces(platform)), ...own] : [],
    defaultFontFamily: STAND_INS.sans,
    sansSerifFamily: STAND_INS.sans,
    serifFamily: STAND_INS.serif,
    monospaceFamily: STAND_INS.mono,
    cursiveFamily: STAND_INS.cursive,
    fantasyFamily: STAND_INS.fantasy,
  };
  return {
    resolved(svg) {
      const tree = new Resvg(svg, { font });
      try {
        return tree.toString();
      } finally {
        tree.free();
      }
    },
    pixels(svg, scale) {
      const tree = new Resvg(svg, { font, fitTo: { mode: 'zoom', value: scale } });
      const image = tree.render();
      const { width, height, pixels } = image;
      image.free();
      tree.free();
      return { width, height, data: straight(pixels) };
    },
  };
}

/** Colours as they are, from colours multiplied by their alpha. */
function straight(pixels: Uint8Array): Uint8ClampedArray<ArrayBuffer> {
  const data = new Uint8ClampedArray(pixels.length);
  for (let at = 0; at < data.length; at += 4) {
    const alpha = pixels[at + 3] as number;
    data[at + 3] = alpha;
    if (alpha === 0) continue;
    for (let c = 0; c < 3; c++) data[at + c] = ((pixels[at + c] as number) * 255) / alpha;
  }
  return data;
}

// The files that the core asks its platform for: typefaces and WebAssembly modules, taken from
// the installed packages. The name on the left is what `Platform.asset(name)` is called with.
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';

/** The cuts of each typeface: how the core calls them, and how they are called in their package. */
const TYPEFACES = {
  fraunces: {
    name: 'Fraunces',
    cuts: {
      regular: '400Regular',
      italic: '400Regular_Italic',
      semibold: '600SemiBold',
      'semibold-italic': '600SemiBold_Italic',
    },
  },
  'playfair-display': {
    name: 'PlayfairDisplay',
    cuts: {
      regular: '500Medium',
      italic: '500Medium_Italic',
      bold: '700Bold',
      'bold-italic': '700Bold_Italic',
    },
  },
  cinzel: { name: 'Cinzel', cuts: { regular: '500Medium', bold: '700Bold' } },
  'abril-fatface': { name: 'AbrilFatface', cuts: { regular: '400Regular' } },
  figtree: {
    name: 'Figtree',
    cuts: {
      regular: '400Regular',
      italic: '400Regular_Italic',
      semibold: '600SemiBold',
      'semibold-italic': '600SemiBold_Italic',
    },
  },
  'josefin-sans': {
    name: 'JosefinSans',
    cuts: {
      regular: '400Regular',
      italic: '400Regular_Italic',
      bold: '700Bold',
      'bold-italic': '700Bold_Italic',
    },
  },
  bitter: {
    name: 'Bitter',
    cuts: { medium: '500Medium', 'medium-italic': '500Medium_Italic', bold: '700Bold' },
  },
  quicksand: { name: 'Quicksand', cuts: { medium: '500Medium', bold: '700Bold' } },
  'barlow-condensed': {
    name: 'BarlowCondensed',
    cuts: { medium: '500Medium', italic: '500Medium_Italic', semibold: '600SemiBold' },
  },
  pacifico: { name: 'Pacifico', cuts: { regular: '400Regular' } },
  'great-vibes': { name: 'GreatVibes', cuts: { regular: '400Regular' } },
  'dancing-script': { name: 'DancingScript', cuts: { regular: '500Medium', bold: '700Bold' } },
  sacramento: { name: 'Sacramento', cuts: { regular: '400Regular' } },
  'amatic-sc': { name: 'AmaticSC', cuts: { regular: '400Regular', bold: '700Bold' } },
  caveat: { name: 'Caveat', cuts: { regular: '500Medium', bold: '700Bold' } },
  'courier-prime': {
    name: 'CourierPrime',
    cuts: { regular: '400Regular', italic: '400Regular_Italic', bold: '700Bold' },
  },
  'special-elite': { name: 'SpecialElite', cuts: { regular: '400Regular' } },
  'saira-stencil-one': { name: 'SairaStencilOne', cuts: { regular: '400Regular' } },
  unifrakturcook: { name: 'UnifrakturCook', cuts: { regular: '700Bold' } },
  'noto-sans-arabic': { name: 'NotoSansArabic', cuts: { regular: '400Regular', bold: '700Bold' } },
  'noto-sans-devanagari': {
    name: 'NotoSansDevanagari',
    cuts: { regular: '400Regular', bold: '700Bold' },
  },
  'noto-sans-thai': { name: 'NotoSansThai', cuts: { regular: '400Regular', bold: '700Bold' } },
};

function typefaceFiles() {
  return Object.fromEntries(
    Object.entries(TYPEFACES).flatMap(([family, { name, cuts }]) =>
      Object.entries(cuts).map(([cut, folder]) => [
        `${family}-${cut}.ttf`,
        `@expo-google-fonts/${family}/${folder}/${name}_${folder}.ttf`,
      ]),
    ),
  );
}

export const ASSETS = {
  'pdfium.wasm': '@hyzyla/pdfium/dist/pdfium.wasm',
  'harfbuzz-subset.wasm': 'harfbuzzjs/dist/harfbuzz-subset.wasm',
  'jpeg-decoder.wasm': '@jsquash/jpeg/codec/dec/mozjpeg_dec.wasm',
  'jpeg-encoder.wasm': '@jsquash/jpeg/codec/enc/mozjpeg_enc.wasm',
  'webp-decoder.wasm': '@jsquash/webp/codec/dec/webp_dec.wasm',
  'avif-decoder.wasm': '@jsquash/avif/codec/dec/avif_dec.wasm',
  'resvg.mjs': '@resvg/resvg-wasm/index.mjs',
  'resvg.wasm': '@resvg/resvg-wasm/index_bg.wasm',
  'libheif.mjs': 'libheif-js/libheif-wasm/libheif-bundle.mjs',
  ...typefaceFiles(),
};

/** Copies the assets, and the licence of each typeface, into `.cache/public/core/`. */
export function collectAssets(root) {
  const target = join(root, '.cache/public/core');
  mkdirSync(target, { recursive: true });
  for (const [name, from] of Object.entries(ASSETS)) copyIfOther(root, from, join(target, name));
  for (const family of Object.keys(TYPEFACES)) {
    copyIfOther(
      root,
      `@expo-google-fonts/${family}/LICENSE_FONT`,
      join(target, `${family}-licence.txt`),
    );
  }
  for (const [name, shipped] of Object.entries(SHIPPED_AS_THEY_ARE))
    writeFileSync(join(target, name), licenceText(root, shipped));
}

/** Packages of other licences ship as files of their own: beside them their licence, and where their source is. */
const SHIPPED_AS_THEY_ARE = {
  'resvg-licence.txt': {
    what: 'resvg.mjs and resvg.wasm are',
    from: '@resvg/resvg-wasm',
    sources: ['https://github.com/yisibl/resvg-js'],
    licence: 'lightningcss/LICENSE', // the same one: the package has no copy
  },
  'libheif-licence.txt': {
    what: 'libheif.mjs, with libheif and libde265, is',
    from: 'libheif-js',
    sources: [
      'https://github.com/catdad-experiments/libheif-js',
      'https://github.com/strukturag/libheif',
      'https://github.com/strukturag/libde265',
    ],
    licence: 'libheif-js/libheif-wasm/LICENSE',
  },
};

function licenceText(root, { what, from, sources, licence }) {
  const read = (path) => readFileSync(join(root, 'node_modules', path), 'utf8');
  const { name, version } = JSON.parse(read(`${from}/package.json`));
  return `${what} ${name} ${version}, unmodified.\nSource: ${sources.join(', ')}\n\n${read(licence)}`;
}

function copyIfOther(root, from, to) {
  const source = join(root, 'node_modules', from);
  if (!existsSync(to) || statSync(to).size !== statSync(source).size) copyFileSync(source, to);
}

// The files that the core asks its platform for: typefaces and WebAssembly modules, taken from
// the installed packages. The name on the left is what `Platform.asset(name)` is called with.
import { copyFileSync, existsSync, mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

const font = (family, folder, file) => `@expo-google-fonts/${family}/${folder}/${file}.ttf`;

export const ASSETS = {
  'pdfium.wasm': '@hyzyla/pdfium/dist/pdfium.wasm',
  'harfbuzz-subset.wasm': 'harfbuzzjs/dist/harfbuzz-subset.wasm',
  'jpeg-decoder.wasm': '@jsquash/jpeg/codec/dec/mozjpeg_dec.wasm',
  'webp-decoder.wasm': '@jsquash/webp/codec/dec/webp_dec.wasm',
  'avif-decoder.wasm': '@jsquash/avif/codec/dec/avif_dec.wasm',
  'fraunces-semibold.ttf': font('fraunces', '600SemiBold', 'Fraunces_600SemiBold'),
  'fraunces-italic.ttf': font('fraunces', '400Regular_Italic', 'Fraunces_400Regular_Italic'),
  'figtree-regular.ttf': font('figtree', '400Regular', 'Figtree_400Regular'),
  'figtree-semibold.ttf': font('figtree', '600SemiBold', 'Figtree_600SemiBold'),
  'bitter-medium.ttf': font('bitter', '500Medium', 'Bitter_500Medium'),
  'barlow-condensed-semibold.ttf': font(
    'barlow-condensed',
    '600SemiBold',
    'BarlowCondensed_600SemiBold',
  ),
  'courier-prime-regular.ttf': font('courier-prime', '400Regular', 'CourierPrime_400Regular'),
  'quicksand-bold.ttf': font('quicksand', '700Bold', 'Quicksand_700Bold'),
  'pacifico-regular.ttf': font('pacifico', '400Regular', 'Pacifico_400Regular'),
};

const LICENCES = [
  'fraunces',
  'figtree',
  'bitter',
  'barlow-condensed',
  'courier-prime',
  'quicksand',
  'pacifico',
];

/** Copies the assets, and the licence of each typeface, into `.cache/public/core/`. */
export function collectAssets(root) {
  const target = join(root, '.cache/public/core');
  mkdirSync(target, { recursive: true });
  for (const [name, from] of Object.entries(ASSETS)) copyIfOther(root, from, join(target, name));
  for (const family of LICENCES) {
    copyIfOther(
      root,
      `@expo-google-fonts/${family}/LICENSE_FONT`,
      join(target, `${family}-OFL.txt`),
    );
  }
}

function copyIfOther(root, from, to) {
  const source = join(root, 'node_modules', from);
  if (!existsSync(to) || statSync(to).size !== statSync(source).size) copyFileSync(source, to);
}

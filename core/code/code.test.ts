import {
  BarcodeFormat,
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatReader,
  RGBLuminanceSource,
} from '@zxing/library';
import { writePdf } from '../output/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { compileElement } from '../piece/elements/index.ts';
import type { Code } from '../piece/index.ts';
import { loadShipped, type Typeface } from '../type/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { problemText } from '../../messages/index.ts';
import { checkDigit, tryEncode, type Symbology } from './index.ts';

let face: Typeface;
beforeAll(async () => {
  face = await loadShipped(nodePlatform, 'figtree-regular');
});

const FORMATS: Readonly<Record<Symbology, BarcodeFormat>> = {
  qr: BarcodeFormat.QR_CODE,
  'ean-13': BarcodeFormat.EAN_13,
  'upc-a': BarcodeFormat.UPC_A,
  'code-128': BarcodeFormat.CODE_128,
};

/** What a reader that is not ours reads from the printed code. */
async function read(symbology: Symbology, text: string, caption = false): Promise<string> {
  const [width, height] = symbology === 'qr' ? [24, 24] : [46, 16];
  const element: Code = {
    id: 'a',
    kind: 'code',
    x: 0,
    y: 0,
    angle: 0,
    locked: false,
    symbology,
    text,
    width,
    height,
    color: '#000000',
    ground: '#ffffff',
    caption,
  };
  const none = (): undefined => undefined;
  const { nodes } = compileElement(element, {
    typeface: () => face,
    vector: none,
    art: none,
    part: none,
  });
  const drawing = {
    width: width + 6,
    height: height + 6,
    symbols: {},
    nodes: [
      {
        kind: 'group' as const,
        transform: [1, 0, 0, 1, width / 2 + 3, height / 2 + 3] as const,
        children: nodes,
      },
    ],
  };
  const sources = { typeface: () => face, art: none, bytes: none };
  const pdf = await writePdf(nodePlatform, [{ drawing }], sources, 'code');
  const image = await renderPdf(nodePlatform, { pdf, page: 0, dpi: 300 });
  const grey = new Uint8ClampedArray(image.width * image.height);
  for (let at = 0; at < grey.length; at++) grey[at] = image.data[at * 4] ?? 255;
  const source = new RGBLuminanceSource(grey, image.width, image.height);
  const hints = new Map<DecodeHintType, unknown>([
    [DecodeHintType.POSSIBLE_FORMATS, [FORMATS[symbology]]],
    [DecodeHintType.TRY_HARDER, true],
  ]);
  const reader = new MultiFormatReader();
  return reader.decode(new BinaryBitmap(new HybridBinarizer(source)), hints).getText();
}

test.each([
  ['qr', 'https://thistle-and-fen.example/sea-holly', 'https://thistle-and-fen.example/sea-holly'],
  ['qr', 'Größe: 3 Ähren', 'Größe: 3 Ähren'],
  ['ean-13', '200000000001', '2000000000015'],
  ['ean-13', '2000000000015', '2000000000015'],
  ['upc-a', '01234567890', '012345678905'],
  ['code-128', 'LOT 24-117 B', 'LOT 24-117 B'],
] as const)('%s of “%s” is read from the print as it is meant', async (symbology, text, says) => {
  expect(await read(symbology, text)).toBe(says);
  if (symbology !== 'qr') expect(await read(symbology, text, true)).toBe(says);
});

test('check digits are those of the published examples', () => {
  expect(checkDigit('629104150021')).toBe('3');
  expect(checkDigit('03600029145')).toBe('2');
});

test('what cannot be a code is refused in a sentence that says what to do', () => {
  const refused = (symbology: Symbology, text: string): string | undefined => {
    const made = tryEncode(symbology, text);
    return made.ok ? undefined : `${made.problem.code}: ${problemText(made.problem).what}`;
  };
  expect(refused('ean-13', '2000000000011')).toBe(
    'code/check-digit: The check digit of 2000000000011 should be 5.',
  );
  expect(refused('ean-13', '12a')).toMatch(/^code\/digits/);
  expect(refused('upc-a', '')).toMatch(/^code\/digits/);
  expect(refused('qr', '')).toMatch(/^code\/empty/);
  // 2,331 bytes are what version 40 holds at level M.
  expect(refused('qr', 'x'.repeat(2331))).toBeUndefined();
  expect(refused('qr', 'x'.repeat(2332))).toMatch(/^code\/long: .*2332 bytes/);
  expect(refused('qr', '草'.repeat(777))).toBeUndefined();
  expect(refused('qr', '草'.repeat(800))).toMatch(/^code\/long: .*2400 bytes/);
  expect(refused('code-128', 'Größe')).toMatch(/^code\/characters/);
  expect(refused('code-128', 'LOT 1')).toBeUndefined();
});

import JsBarcode from 'jsbarcode';
import qrcode from 'qrcode-generator';
import { err, ok, type Result } from '../base/index.ts';

/** The codes that can be printed. */
export const SYMBOLOGIES = ['qr', 'ean-13', 'upc-a', 'code-128'] as const;
export type Symbology = (typeof SYMBOLOGIES)[number];

/** A code as rows of modules; a linear code has one row, which is drawn as high as is wanted. */
export interface EncodedCode {
  readonly columns: number;
  readonly rows: number;
  /** Whether a module is dark, row by row. */
  readonly dark: readonly boolean[];
  /** Modules that have to stay clear before it, behind it, and above and below it. */
  readonly quiet: { readonly before: number; readonly behind: number; readonly around: number };
  /** What it says, with its check digit. */
  readonly says: string;
}

/**
 * The smallest module in mm that scanners and phones read from an ordinary print.
 * Sources: GS1 General Specifications, 5.12 (80 % of the nominal 0.33 mm for EAN and UPC); ISO/IEC
 * 15417 for Code 128 in general use; ISO/IEC 18004 with a phone held at a hand's breadth.
 */
export const SMALLEST_MODULE: Readonly<Record<Symbology, number>> = {
  qr: 0.35,
  'ean-13': 0.264,
  'upc-a': 0.264,
  'code-128': 0.25,
};

/** The digit that makes a number of EAN and UPC add up. Source: GS1, modulo 10 with weights 3 and 1. */
export function checkDigit(digits: string): string {
  let sum = 0;
  for (let at = 0; at < digits.length; at++)
    sum += Number(digits[digits.length - 1 - at]) * (at % 2 === 0 ? 3 : 1);
  return String((10 - (sum % 10)) % 10);
}

const LENGTHS = { 'ean-13': 12, 'upc-a': 11 } as const;

/** Encodes a text; a missing check digit is added, a wrong one is a problem that names the right one. */
export function tryEncode(symbology: Symbology, text: string): Result<EncodedCode> {
  switch (symbology) {
    case 'qr':
      return tryQr(text);
    case 'ean-13':
    case 'upc-a':
      return tryNumber(symbology, text.replace(/[\s-]/g, ''));
    case 'code-128':
      return tryCode128(text);
  }
}

/** Bytes that the largest QR code holds at level M. Source: ISO/IEC 18004, table 7. */
const QR_MOST = 2331;

function tryQr(text: string): Result<EncodedCode> {
  if (text === '') return err('code/empty', { symbology: 'qr' });
  // As bytes of UTF-8, which every reader of today expects.
  const bytes = new TextEncoder().encode(text);
  if (bytes.length > QR_MOST) return err('code/long', { bytes: bytes.length, most: QR_MOST });
  const code = qrcode(0, 'M');
  code.addData(String.fromCharCode(...bytes), 'Byte');
  code.make();
  const side = code.getModuleCount();
  const dark = Array.from({ length: side * side }, (_, at) =>
    code.isDark(Math.floor(at / side), at % side),
  );
  const quiet = { before: 4, behind: 4, around: 4 };
  return ok({ columns: side, rows: side, dark, quiet, says: text });
}

function tryNumber(symbology: 'ean-13' | 'upc-a', digits: string): Result<EncodedCode> {
  const length = LENGTHS[symbology];
  if (!/^\d+$/.test(digits) || digits.length < length || digits.length > length + 1)
    return err('code/digits', { symbology, length, digits });
  const check = checkDigit(digits.slice(0, length));
  if (digits.length > length && digits[length] !== check)
    return err('code/check-digit', { digits, check });
  const quiet =
    symbology === 'ean-13'
      ? { before: 11, behind: 7, around: 0 }
      : { before: 9, behind: 9, around: 0 };
  const format = symbology === 'ean-13' ? 'EAN13' : 'UPC';
  return tryBars(digits.slice(0, length) + check, format, quiet);
}

function tryCode128(text: string): Result<EncodedCode> {
  if (text === '') return err('code/empty', { symbology: 'code-128' });
  if (!/^[\x20-\x7e]{1,48}$/.test(text)) return err('code/characters', {});
  return tryBars(text, 'CODE128', { before: 10, behind: 10, around: 0 });
}

function tryBars(
  text: string,
  format: 'EAN13' | 'UPC' | 'CODE128',
  quiet: EncodedCode['quiet'],
): Result<EncodedCode> {
  const into: { encodings?: { data: string; text: string }[] } = {};
  try {
    JsBarcode(into, text, { format, flat: true });
  } catch {
    return err('code/unread', { text });
  }
  const bars = (into.encodings ?? []).map(({ data }) => data).join('');
  const dark = [...bars].map((bar) => bar === '1');
  return ok({ columns: dark.length, rows: 1, dark, quiet, says: text });
}

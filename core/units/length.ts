import { err, ok, type Result } from '../base/index.ts';

/** The units a person can read and type; the core itself knows millimetres only. */
export type Unit = 'mm' | 'cm' | 'in' | 'pt';

/** All units, in the order in which they are offered. */
export const UNITS: readonly Unit[] = ['mm', 'cm', 'in', 'pt'];

const MM: Record<Unit, number> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72 };
const NAMES: Record<string, Unit> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  millimeters: 'mm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  centimeters: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '”': 'in',
  '″': 'in',
  "''": 'in',
  '′′': 'in',
  '’’': 'in',
  pt: 'pt',
  point: 'pt',
  points: 'pt',
};
const FRACTIONS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
};
const SIGNS = new RegExp(`\\s*([${Object.keys(FRACTIONS).join('')}])`, 'g');

/**
 * Reads a length as a person writes it.
 * @param text decimals with a point or comma, whole numbers with a fraction, and a unit or none
 * @param unit the unit of a bare number
 * @returns millimetres, or a problem that says what was read
 */
export function parseLength(text: string, unit: Unit = 'mm'): Result<number> {
  const read = text.trim();
  if (read === '') return err('length/empty', {});
  if (/\d\s*(['’′](?!['’′])|ft\b|foot|feet)/i.test(read)) {
    return err('length/feet', { read });
  }
  const plain = read
    .replace(SIGNS, (_, sign: string) => ` ${FRACTIONS[sign]}`)
    .replace(/(\d)\s*[-–]\s*(\d+\s*\/)/, '$1 $2')
    .trim();
  const match =
    /^([-+]?)(\d+(?:[.,]\d+)?|[.,]\d+)?(?:\s*(?:(?<=\d)\s+|^|(?<=^[-+]))(\d+)\s*\/\s*(\d+))?\s*([^\d\s].*)?$/.exec(
      plain,
    );
  const fractionOnly = /^([-+]?)(\d+)\s*\/\s*(\d+)\s*([^\d\s].*)?$/.exec(plain);
  const [sign, whole, top, bottom, name] = fractionOnly
    ? [fractionOnly[1], '0', fractionOnly[2], fractionOnly[3], fractionOnly[4]]
    : match
      ? [match[1], match[2], match[3], match[4], match[5]]
      : [];
  if (whole === undefined) return err('length/unread', { read, because: 'no-length' });
  const named = name === undefined ? unit : NAMES[name.trim().toLowerCase()];
  if (!named) return err('length/unit', { name: name?.trim() ?? '' });
  if (top !== undefined && /[.,]/.test(whole))
    return err('length/unread', { read, because: 'two-fractions' });
  if (bottom !== undefined && Number(bottom) === 0) {
    return err('length/unread', { read, because: 'zero' });
  }
  const value = Number(whole.replace(',', '.')) + (top ? Number(top) / Number(bottom) : 0);
  return ok((sign === '-' ? -value : value) * MM[named]);
}

/** Changes millimetres into another unit, unrounded. */
export function fromMm(mm: number, unit: Unit): number {
  return mm / MM[unit];
}

const trimZeros = (text: string): string => text.replace(/\.?0+$/, '');

/** The number of a length in a unit: to 0.1 mm, 0.01 cm, 0.001 in or 0.1 pt, without idle zeros. */
export function formatNumber(mm: number, unit: Unit): string {
  const digits = { mm: 1, cm: 2, in: 3, pt: 1 }[unit];
  const text = fromMm(mm, unit).toFixed(digits);
  const trimmed = text.includes('.') ? trimZeros(text) : text;
  return trimmed === '-0' ? '0' : trimmed;
}

/** A length with its unit; inches become a fraction where one of 1/32 in is exact to 0.001 in. */
export function formatLength(mm: number, unit: Unit): string {
  if (unit === 'in') {
    const fraction = asFraction(fromMm(mm, 'in'));
    if (fraction) return `${fraction} in`;
  }
  return `${formatNumber(mm, unit)} ${unit}`;
}

function asFraction(inches: number): string | undefined {
  const parts = Math.round(Math.abs(inches) * 32);
  if (Math.abs(Math.abs(inches) - parts / 32) > 0.0005) return undefined;
  const sign = inches < 0 && parts > 0 ? '-' : '';
  const whole = Math.floor(parts / 32);
  let top = parts % 32;
  if (top === 0) return `${sign}${whole}`;
  let bottom = 32;
  while (top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  return whole === 0 ? `${sign}${top}/${bottom}` : `${sign}${whole} ${top}/${bottom}`;
}

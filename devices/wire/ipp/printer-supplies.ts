import type { PrinterSupply } from '../../protocol/index.ts';
import { GROUP, textsOf, valuesOf, type IppMessage } from './ipp-message.ts';

const LOW = 10; // percent, where the printer does not say what is low
const MOST = 30;
const LONGEST = 80; // letters

/** What is used up or filled in a printer, in the words and numbers that it gives (PWG 5100.13). */
export function readSupplies(answer: IppMessage): PrinterSupply[] {
  const described = textsOf(answer, GROUP.printer, 'printer-supply-description');
  const told = valuesOf(answer, GROUP.printer, 'printer-supply').map(textOf);
  const found = told.length ? told.map(supplyIn(described)) : marked(answer);
  return found.slice(0, MOST);
}

const textOf = (value: unknown): string =>
  value instanceof Uint8Array
    ? new TextDecoder().decode(value)
    : typeof value === 'string'
      ? value
      : '';

/** `type=ink;maxcapacity=100;level=80;colorantname=cyan;` */
const supplyIn =
  (described: readonly string[]) =>
  (told: string, at: number): PrinterSupply => {
    const words = new Map(
      told
        .split(';')
        .map((part) => part.split('=', 2).map((word) => word.trim()) as [string, string]),
    );
    const number = (name: string): number => Number(words.get(name) ?? NaN);
    const most = number('maxcapacity');
    const level = number('level');
    const color = words.get('colorantname');
    const share = level >= 0 && most > 0 ? (100 * level) / most : undefined;
    const name = described[at] ?? [color, words.get('type')].filter(Boolean).join(' ');
    return supply({ name, share, color });
  };

/** As many printers say the same in lists of their own, one beside the other. */
function marked(answer: IppMessage): PrinterSupply[] {
  const list = (name: string): unknown[] => valuesOf(answer, GROUP.printer, `marker-${name}`);
  const [levels, lows, highs, colors] = ['levels', 'low-levels', 'high-levels', 'colors'].map(list);
  return textsOf(answer, GROUP.printer, 'marker-names').map((name, at) => {
    const level = levels?.[at];
    const share = typeof level === 'number' && level >= 0 ? level : undefined;
    const low = lows?.[at];
    const color = textOf(colors?.[at]);
    // What is filled, as a tank for waste, is well until it is nearly full.
    const fills = highs?.[at] !== undefined && Number(highs[at]) < 100 && Number(lows?.[at]) === 0;
    return fills
      ? supply({ name, share: share === undefined ? undefined : 100 - share, color })
      : supply({ name, share, color, ...(typeof low === 'number' ? { low } : {}) });
  });
}

function supply({
  name,
  share,
  color = '',
  low = LOW,
}: {
  name: string;
  share: number | undefined;
  color?: string | undefined;
  low?: number;
}): PrinterSupply {
  const level = share === undefined ? undefined : Math.round(Math.min(100, share));
  const seen = /^#[\da-f]{6}$/i.test(color)
    ? color
    : COLORS[color.toLowerCase().replace(/\s/g, '-')];
  return {
    name: name
      .replace(/\p{Cc}/gu, ' ')
      .trim()
      .slice(0, LONGEST),
    ...(level === undefined ? {} : { level }),
    ...(seen ? { color: seen } : {}),
    state: level === undefined || level > low ? 'well' : level > 0 ? 'low' : 'out',
  };
}

/** Colorants by their standard names (RFC 3805), as they look. */
const COLORS: Readonly<Record<string, string>> = {
  black: '#222222',
  'photo-black': '#222222',
  cyan: '#00a0d0',
  'light-cyan': '#8fd0e8',
  magenta: '#d02080',
  'light-magenta': '#e89ac4',
  yellow: '#f0c800',
  gray: '#888888',
  'light-gray': '#bbbbbb',
  red: '#cc3322',
  green: '#339944',
  blue: '#2255bb',
  white: '#ffffff',
};

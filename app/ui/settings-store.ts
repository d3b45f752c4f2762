import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { COLOR_MODES, QUALITIES, type PrintChoices } from '../../core/stock/index.ts';
import { UNITS, type Unit } from '../../core/units/index.ts';
import { CURRENCIES, type Currency } from './money.ts';

const KEY = 'little-peel-settings';

interface Settings {
  unit: Unit;
  theme: 'light' | 'dark';
  currency: Currency;
  /** Side of the squares of the desk's grid, mm; 0 shows none. */
  grid: number;
  /** How many pixels of this screen take one mm; measured with a card. */
  pxPerMm: number;
  /** The files that were saved last, and how. */
  files: { formats: string[]; choices: Record<string, unknown> };
  /** The printer and its tray that pages are put right for; empty for none. */
  printer: string;
  /** What runs print and cut on: ids of the Stock room, or another way. */
  devices: { printer: string; cutter: string };
  /** The carrier that sheets are laid on to be cut, mm. */
  carrier: { width: number; height: number };
  /** What a printer was last asked for, by its id and the material's. */
  prints: Readonly<Record<string, PrintChoices>>;
}

const NO_DEVICES: Settings['devices'] = { printer: 'file', cutter: 'file' };
const USUAL_CARRIER: Settings['carrier'] = { width: 305, height: 305 };
const NO_FILES: Settings['files'] = { formats: ['pdf'], choices: {} };

/** A screen of 96 px to the inch. */
export const USUAL_PX_PER_MM = 96 / 25.4;

function read(): Settings {
  const preferred = matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings> & {
      /** What a carrier was called at first. */
      mat?: Settings['carrier'];
    };
    const carrier = kept.carrier ?? kept.mat;
    return {
      unit: UNITS.find((unit) => unit === kept.unit) ?? 'mm',
      theme: kept.theme === 'dark' || kept.theme === 'light' ? kept.theme : preferred,
      currency: CURRENCIES.find((one) => one === kept.currency) ?? 'EUR',
      grid: typeof kept.grid === 'number' && kept.grid > 0 ? kept.grid : 0,
      pxPerMm:
        typeof kept.pxPerMm === 'number' && kept.pxPerMm > 1 && kept.pxPerMm < 30
          ? kept.pxPerMm
          : USUAL_PX_PER_MM,
      files: Array.isArray(kept.files?.formats) ? kept.files : NO_FILES,
      printer: typeof kept.printer === 'string' ? kept.printer : '',
      devices:
        typeof kept.devices?.printer === 'string' && typeof kept.devices.cutter === 'string'
          ? kept.devices
          : NO_DEVICES,
      carrier: isSize(carrier) ? carrier : USUAL_CARRIER,
      prints: Object.fromEntries(
        Object.entries(kept.prints ?? {}).filter(([, one]) => areChoices(one)),
      ),
    };
  } catch {
    const usual = { unit: 'mm', theme: preferred, currency: 'EUR', grid: 0 } as const;
    return {
      ...usual,
      pxPerMm: USUAL_PX_PER_MM,
      files: NO_FILES,
      printer: '',
      devices: NO_DEVICES,
      carrier: USUAL_CARRIER,
      prints: {},
    };
  }
}

const isSize = (size: Settings['carrier'] | undefined): size is Settings['carrier'] =>
  size !== undefined && size.width > 0 && size.height > 0;

const areChoices = ({ tray, type, quality, color }: PrintChoices): boolean =>
  typeof tray === 'string' &&
  typeof type === 'string' &&
  QUALITIES.includes(quality) &&
  COLOR_MODES.includes(color);

/** The user's unit, theme, currency, grid and size of screen, remembered in this browser. */
export const useSettings = defineStore('settings', () => {
  const kept = read();
  const unit = ref(kept.unit);
  const theme = ref(kept.theme);
  const currency = ref(kept.currency);
  const grid = ref(kept.grid);
  const pxPerMm = ref(kept.pxPerMm);
  const files = ref(kept.files);
  const printer = ref(kept.printer);
  const devices = ref(kept.devices);
  const carrier = ref(kept.carrier);
  const prints = ref(kept.prints);
  watch(
    [unit, theme, currency, grid, pxPerMm, files, printer, devices, carrier, prints],
    () => {
      localStorage.setItem(
        KEY,
        JSON.stringify({
          unit: unit.value,
          theme: theme.value,
          currency: currency.value,
          grid: grid.value,
          pxPerMm: pxPerMm.value,
          files: files.value,
          printer: printer.value,
          devices: devices.value,
          carrier: carrier.value,
          prints: prints.value,
        } satisfies Settings),
      );
    },
    { immediate: true },
  );
  return { unit, theme, currency, grid, pxPerMm, files, printer, devices, carrier, prints };
});

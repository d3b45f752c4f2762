import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { useTheme } from 'vuetify';
import { UNITS, type Unit } from '../../core/units/index.ts';
import { CURRENCIES, type Currency } from './money.ts';

const KEY = 'little-peel-settings';

interface Settings {
  unit: Unit;
  theme: 'light' | 'dark';
  currency: Currency;
}

function read(): Settings {
  const preferred = matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings>;
    return {
      unit: UNITS.find((unit) => unit === kept.unit) ?? 'mm',
      theme: kept.theme === 'dark' || kept.theme === 'light' ? kept.theme : preferred,
      currency: CURRENCIES.find((one) => one === kept.currency) ?? 'EUR',
    };
  } catch {
    return { unit: 'mm', theme: preferred, currency: 'EUR' };
  }
}

/** The user's unit, theme and currency, remembered in this browser. */
export const useSettings = defineStore('settings', () => {
  const kept = read();
  const unit = ref(kept.unit);
  const theme = ref(kept.theme);
  const currency = ref(kept.currency);
  const vuetifyTheme = useTheme();
  watch(
    [unit, theme, currency],
    () => {
      vuetifyTheme.change(theme.value);
      document.documentElement.dataset.theme = theme.value;
      localStorage.setItem(
        KEY,
        JSON.stringify({
          unit: unit.value,
          theme: theme.value,
          currency: currency.value,
        } satisfies Settings),
      );
    },
    { immediate: true },
  );
  return { unit, theme, currency };
});

/** The currencies that prices can be told in. */
export const CURRENCIES = [
  'EUR',
  'USD',
  'GBP',
  'CHF',
  'SEK',
  'DKK',
  'PLN',
  'CAD',
  'AUD',
  'JPY',
] as const;
export type Currency = (typeof CURRENCIES)[number];

/** An amount of money as it is told; small ones, such as a label's, to a tenth of a cent. */
export function formatMoney(amount: number, currency: Currency, locale?: string): string {
  const small = amount > 0 && amount < 0.1 && currency !== 'JPY';
  return new Intl.NumberFormat(locale, {
    style: 'currency',
    currency,
    ...(small ? { minimumFractionDigits: 2, maximumFractionDigits: 3 } : {}),
  }).format(amount);
}

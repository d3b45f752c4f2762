import { formatMoney } from './money.ts';

test('prices are told in the workshop’s currency, small ones to a tenth of a cent', () => {
  expect(formatMoney(12.5, 'EUR', 'en')).toBe('€12.50');
  expect(formatMoney(0.0208, 'EUR', 'en')).toBe('€0.021');
  expect(formatMoney(0.05, 'EUR', 'en')).toBe('€0.05');
  expect(formatMoney(0, 'GBP', 'en')).toBe('£0.00');
  expect(formatMoney(3, 'JPY', 'en')).toBe('¥3');
});

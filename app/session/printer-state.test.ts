import type { PrinterTold } from '../../devices/protocol/index.ts';
import { printerNotes } from './printer-state.ts';

const told = (changes: Partial<PrinterTold>): PrinterTold => ({
  ...{ name: 'Bench', state: 'idle', reasons: [], media: [], trays: [], types: [], supplies: [] },
  ...{ copies: 1, takesPdf: true, duplex: false, color: true, unscaled: true },
  ...changes,
});
const reason = (code: string) => ({ code, values: {} });

test('low ink is a note, used-up ink stops a run; each is named', () => {
  const supplies: PrinterTold['supplies'] = [
    { name: 'cyan ink', level: 8, state: 'low' },
    { name: 'black ink', level: 0, state: 'out' },
    { name: 'waste', state: 'well' },
  ];
  expect(printerNotes(told({ supplies }))).toEqual({
    stops: ['Used up: black ink.'],
    notes: ['Runs low: cyan ink.'],
  });
  expect(printerNotes(told({}))).toEqual({ stops: [], notes: [] });
});

test('what keeps a printer from printing stops a run, what it only remarks does not', () => {
  const reasons = ['media-empty', 'media-low', 'ink-low', 'paused', 'of-another-world'].map(reason);
  expect(printerNotes(told({ reasons }))).toEqual({
    stops: ['The tray is empty.'],
    notes: ['Paper runs low.', 'It is paused.', 'Ink or toner runs low.'],
  });
});

test('used-up ink that a printer tells twice is told once', () => {
  const supplies: PrinterTold['supplies'] = [{ name: 'black ink', level: 0, state: 'out' }];
  expect(printerNotes(told({ reasons: [reason('ink-empty')], supplies })).stops).toHaveLength(1);
});

import { MATT_PAPER } from './materials.ts';
import { SHIPPED_MATERIALS } from './index.ts';
import { marginsFor, usualChoices } from './print-choices.ts';

const offers = { types: ['stationery', 'labels', 'cardstock', 'photographic', 'transparency'] };

test('a printer is asked for the kind of paper that the material is, of what it offers', () => {
  expect(usualChoices(MATT_PAPER, offers)).toEqual({
    tray: '',
    type: 'labels',
    quality: 'normal',
    color: 'auto',
  });
  expect(usualChoices(MATT_PAPER, { types: ['stationery'] }).type).toBe('stationery');
  expect(usualChoices({ ...MATT_PAPER, kind: 'card' }, offers).type).toBe('cardstock');
  expect(usualChoices({ ...MATT_PAPER, kind: 'clear' }, offers).type).toBe('transparency');
  // What a printer does not offer is left to it.
  expect(usualChoices({ ...MATT_PAPER, kind: 'fabric' }, offers).type).toBe('');
});

test.each([
  ['High', 'high'],
  ['Best photo', 'high'],
  ['Normal', 'normal'],
  ['', 'normal'],
  ['Draft', 'draft'],
])('the quality “%s” of a material is asked for as %s', (quality, asked) => {
  const print = { paper: '', quality };
  expect(usualChoices({ ...MATT_PAPER, print }, offers).quality).toBe(asked);
});

test('every shipped material knows what to ask a printer for that offers all kinds', () => {
  const types = ['labels', 'cardstock', 'photographic', 'transparency', 'fabric', 'stationery'];
  for (const material of SHIPPED_MATERIALS)
    expect([material.id, usualChoices(material, { types }).type]).not.toEqual([material.id, '']);
});

test('a sheet counts with the wider margins of a printer, side by side', () => {
  expect(marginsFor([5, 5, 5, 5], { margins: [3, 3, 12.5, 3] })).toEqual([5, 5, 12.5, 5]);
  expect(marginsFor([5, 5, 5, 5], { margins: [3, 5, 5.02, 3] })).toBeUndefined();
  expect(marginsFor([0, 0, 0, 0], {})).toBeUndefined();
});

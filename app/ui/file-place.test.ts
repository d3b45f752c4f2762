import { isPictureFile, placeOf } from './file-place.ts';

test.each([
  ['seals.peel', '', 'shelf'],
  ['little-peel-backup.zip', 'application/zip', 'shelf'],
  ['pictures.zip', 'application/zip', 'artwork'],
  ['plants.CSV', 'text/csv', 'list'],
  ['beds.xlsx', '', 'list'],
  ['beds.ods', '', 'list'],
  ['names', 'text/csv', 'list'],
  ['round-60.json', 'application/json', 'template'],
  ['moor.gpl', '', 'palette'],
  ['house.css', 'text/css', 'palette'],
  ['leaf.svg', 'image/svg+xml', 'artwork'],
  ['outline.dxf', '', 'artwork'],
  ['fell.woff2', 'font/woff2', 'artwork'],
] as const)('%s (%s) belongs to the %s', (name, type, place) => {
  expect(placeOf({ name, type })).toBe(place);
});

test.each([
  ['leaf.png', 'image/png', true],
  ['page.PDF', 'application/pdf', true],
  ['outline.dxf', '', true],
  ['seals.peel', '', false],
  ['little-peel-backup.zip', 'application/zip', false],
] as const)('%s (%s) begins stickers: %s', (name, type, begins) => {
  expect(isPictureFile({ name, type })).toBe(begins);
});

import { readFileSync } from 'node:fs';
import { contrastRatio, luminance, rgbOf } from '../../core/color/index.ts';

const css = readFileSync('app/theme/tokens.css', 'utf8');
const [lightBlock = '', darkBlock = ''] = css.split(":root[data-theme='dark']");
const tokens = (block: string): Record<string, string> =>
  Object.fromEntries(
    [...block.matchAll(/--([\w-]+):\s*(#[0-9a-f]{6})\b/g)].map((found) => [found[1], found[2]]),
  );
const light = tokens(lightBlock);
const themes: [string, Record<string, string>][] = [
  ['light', light],
  ['dark', { ...light, ...tokens(darkBlock) }],
];
const ratio = (one = '', other = ''): number =>
  contrastRatio(luminance(rgbOf(one)), luminance(rgbOf(other)));

const TEXT = ['ink', 'ink-2', 'plum', 'leaf-text', 'amber-text', 'brick-text'];
const GROUNDS = ['card', 'paper', 'apricot-soft'];

test.each(themes)('in %s, text keeps 4.5 : 1 on every ground it stands on', (_, theme) => {
  for (const text of TEXT) {
    for (const ground of GROUNDS) {
      if (ground === 'apricot-soft' && /leaf|amber|brick/.test(text)) continue;
      expect([text, ground, ratio(theme[text], theme[ground]) >= 4.5]).toEqual([
        text,
        ground,
        true,
      ]);
    }
  }
  for (const kind of ['leaf', 'amber', 'brick']) {
    expect(ratio(theme[`${kind}-text`], theme[`${kind}-soft`])).toBeGreaterThanOrEqual(4.5);
    expect(ratio(theme.ink, theme[`${kind}-soft`])).toBeGreaterThanOrEqual(4.5);
  }
  expect(ratio(theme['on-plum'], theme.plum)).toBeGreaterThanOrEqual(4.5);
  expect(ratio(theme.ink, theme['bench-to'])).toBeGreaterThanOrEqual(4.5);
});

test.each(themes)('in %s, the lines of fields keep 3 : 1', (_, theme) => {
  for (const ground of ['card', 'well'])
    expect(ratio(theme['field-line'], theme[ground])).toBeGreaterThanOrEqual(3);
});

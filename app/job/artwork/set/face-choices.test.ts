import { FAMILIES } from '../../../../core/type/index.ts';
import { faceChoices } from './face-choices.ts';

test('there is one typeface of each family, heavier for titles; the chosen one keeps its cut', () => {
  const titles = faceChoices('title', 'figtree-italic', []);
  expect(titles).toHaveLength(FAMILIES.length);
  expect(titles.find(({ name }) => name === 'Figtree')?.id).toBe('figtree-italic');
  expect(titles.find(({ name }) => name === 'Fraunces')?.id).toBe('fraunces-semibold');
  const texts = faceChoices('text', undefined, []);
  expect(texts.find(({ name }) => name === 'Fraunces')?.id).toBe('fraunces-regular');
});

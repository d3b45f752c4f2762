import { nextTick, ref } from 'vue';
import type { Unit } from '../../core/units/index.ts';
import { useTypedLength } from './typed-length.ts';

function field({ most = 100, mayBeEmpty = false } = {}) {
  const value = ref<number | undefined>(25.4);
  const unit = ref<Unit>('mm');
  const typed = useTypedLength({
    value: () => value.value,
    unit: () => unit.value,
    accept: (mm) => (value.value = Math.min(most, mm)),
    ...(mayBeEmpty ? { clear: () => (value.value = undefined) } : {}),
  });
  return { value, unit, ...typed };
}

test('what is typed is taken over in its own unit and written in the unit of the field', () => {
  const { value, text, take } = field();
  text.value = '1 1/2 in';
  take();
  expect(value.value).toBeCloseTo(38.1, 9);
  expect(text.value).toBe('38.1 mm');
});

test('what is no length is named, stays to be mended, and changes nothing', () => {
  const { value, text, problem, take, giveUp } = field();
  text.value = 'wide';
  take();
  expect(problem.value).toContain('“wide” is not a length');
  expect([text.value, value.value]).toEqual(['wide', 25.4]);
  giveUp();
  expect([text.value, problem.value]).toEqual(['25.4 mm', '']);
});

test('a length beyond what may be is written as what became of it', () => {
  const { value, text, take } = field({ most: 40 });
  text.value = '55';
  take();
  expect([value.value, text.value]).toEqual([40, '40 mm']);
});

test('an empty text is no length, or none where there may be none', () => {
  const needed = field();
  needed.text.value = '';
  needed.take();
  expect(needed.value.value).toBe(25.4);
  expect(needed.problem.value).not.toBe('');
  const free = field({ mayBeEmpty: true });
  free.text.value = ' ';
  free.take();
  expect(free.value.value).toBeUndefined();
});

test('another unit writes the same length anew, and so does a change from elsewhere', async () => {
  const { value, unit, text } = field();
  unit.value = 'in';
  await nextTick();
  expect(text.value).toBe('1 in');
  value.value = 50.8;
  await nextTick();
  expect(text.value).toBe('2 in');
});

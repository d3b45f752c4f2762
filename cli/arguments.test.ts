import { decimal, InputError, length, needed, readOptions, whole } from './arguments.ts';

const said = (act: () => unknown): string => {
  try {
    act();
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
  return 'nothing';
};

test('options, switches and what stands alone are told apart', () => {
  const given = readOptions(['job.peel', '--out', 'here', '--json', '--draft'], ['out'], {
    switches: ['draft'],
  });
  expect(given.rest).toEqual(['job.peel']);
  expect(given.options).toMatchObject({ out: 'here', json: true, draft: true });
  expect(readOptions(['--out=there'], ['out']).options).toMatchObject({ out: 'there' });
});

test('an unknown option names those that are accepted', () => {
  const text = said(() => readOptions(['--colour', 'red'], ['out'], { switches: ['draft'] }));
  expect(text).toContain('--colour');
  expect(text).toContain('--out, --draft, --json');
  expect(text.split('\n')).toHaveLength(1);
});

test('an option without its value is missing', () => {
  expect(said(() => needed(readOptions([], ['out']), 'out'))).toContain('--out is missing');
  expect(said(() => readOptions(['--out'], ['out']))).toContain('--out');
  expect(needed(readOptions(['--out', 'x'], ['out']), 'out')).toBe('x');
});

test('lengths take a unit and are mm without one', () => {
  const of = (...argv: string[]) => length(readOptions(argv, ['gap']), 'gap', 3);
  expect(of()).toBe(3);
  expect(of('--gap', '12')).toBe(12);
  expect(of('--gap', '1.5in')).toBeCloseTo(38.1, 9);
  expect(of('--gap', '72pt')).toBeCloseTo(25.4, 9);
  expect(of('--gap', '3/4 in')).toBeCloseTo(19.05, 9);
  expect(said(() => of('--gap', 'a lot'))).toContain('--gap: “a lot” is not a length');
  expect(said(() => length(readOptions([], ['gap']), 'gap'))).toContain('--gap is missing');
});

test('whole numbers are digits only', () => {
  const of = (text: string) => whole(readOptions([`--seed=${text}`], ['seed']), 'seed', 1);
  expect(of('42')).toBe(42);
  expect(whole(readOptions([], ['seed']), 'seed', 7)).toBe(7);
  for (const bad of ['-1', '2.5', 'many', '', '0x10'])
    expect(said(() => of(bad))).toContain('--seed');
});

test('a value may begin with a minus', () => {
  const given = readOptions(['--offset', '-1.5mm', '--draft', 'a'], ['offset'], {
    switches: ['draft'],
  });
  expect([length(given, 'offset'), given.rest]).toEqual([-1.5, ['a']]);
  expect(length(readOptions(['--offset', '-.5'], ['offset']), 'offset')).toBe(-0.5);
  expect(said(() => readOptions(['--offset', '-x'], ['offset']))).toContain('--offset');
  expect(said(() => readOptions(['-5'], ['offset']))).toContain('-5');
});

test('an option that is given twice and a word too many are refused', () => {
  expect(said(() => readOptions(['--out', 'a', '--out', 'b'], ['out']))).toContain(
    '--out was given twice',
  );
  expect(said(() => readOptions(['a', 'b'], ['out']))).toContain('“b” is one word too many');
  expect(said(() => readOptions(['a'], [], { words: 0 }))).toContain('“a”');
});

test('numbers are digits alone', () => {
  const of = (text: string) =>
    decimal('angle', readOptions(['--angle', text], ['angle']).options.angle ?? '');
  expect([of('90'), of('-4.5'), of('1,5')]).toEqual([90, -4.5, 1.5]);
  for (const text of ['', ' ', '0x10', '1e3', 'Infinity', '9 0'])
    expect(said(() => of(text))).toContain('is not a number');
});

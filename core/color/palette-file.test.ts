import { parsePalette } from './index.ts';

const read = (text: string, file = 'moor.txt') => {
  const done = parsePalette(text, file);
  return done.ok ? done.value : done.problem;
};

test.each([
  ['a style sheet', ':root { --ink: #2A1B2E; --paper: #fff; }\na { color: #2a1b2e }'],
  ['a list of hex without a sign', '2a1b2e\nffffff\n'],
  ['numbers to a line', 'Columns: 2\n#\n 42  27  46\tInk\n255 255 255\tPaper\n 42 27 46\n'],
  ['JSON', '{"colours":["#2a1b2e","#FFFFFF"]}'],
])('%s gives its colours, each once', (_, text) => {
  expect(read(text)).toEqual({ name: 'moor', colors: ['#2a1b2e', '#ffffff'], over: 0 });
});

test('a palette that says its name has it, and what is too many is counted', () => {
  const lines = Array.from({ length: 15 }, (_, at) => `${at} ${at} ${at}`);
  const found = read(['Name: Moor in March', ...lines].join('\n'));
  expect(found).toMatchObject({ name: 'Moor in March', over: 3 });
  expect('colors' in found && found.colors).toHaveLength(12);
});

test.each(['', 'no colours here', '#123456 alone', '300 300 300\n999 1 1', '\u0000\u0001'])(
  'what names no two colours is refused with what a palette is: %j',
  (text) => {
    expect(read(text, 'bad.gpl')).toMatchObject({ code: 'palette/none' });
  },
);

import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeInto } from './files.ts';

const parent = mkdtempSync(join(tmpdir(), 'peel-files-'));
const folder = join(parent, 'out');

test('a file is written into its folder under its name', () => {
  writeInto(folder, 'sheet 1.svg', '<svg/>');
  expect(readFileSync(join(folder, 'sheet 1.svg'), 'utf8')).toBe('<svg/>');
});

test.each(['../lid.pdf', '/tmp/peel-lid.pdf', 'a/b.pdf', '..', '.', ''])(
  'a name that leads out of the folder is refused: “%s”',
  (name) => {
    expect(() => writeInto(folder, name, 'x')).toThrow('leads out of');
    expect(existsSync(join(parent, 'lid.pdf'))).toBe(false);
  },
);

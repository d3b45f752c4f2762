import { readHpgl } from '../../devices/simulated/read-cuts.ts';
import { keep, tool } from '../testing/exported.ts';
import { programText } from '../output/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { say } from '../../messages/index.ts';
import { materialTestPdf, materialTestProgram, testCells, type MaterialTest } from './index.ts';

const TEST: MaterialTest = {
  ...{ kind: 'kiss', force: 100, speed: 200, least: 70, most: 130, name: 'Satin film' },
};

test('force and speed are stepped around what is known, within what the cutter can', () => {
  const cells = testCells(TEST);
  expect(cells).toHaveLength(15);
  expect(cells.slice(0, 5).map(({ force }) => force)).toEqual([70, 80, 100, 120, 130]);
  expect([...new Set(cells.map(({ speed }) => speed))]).toEqual([100, 200, 300]);
});

test('each square is cut with its own force and speed, 14 mm wide, where its words are printed', async () => {
  const hpgl = programText(materialTestProgram(TEST));
  const lines = readHpgl(hpgl);
  expect(lines).toHaveLength(15);
  const [first] = lines;
  const xs = first?.line.map(({ x }) => x) ?? [];
  expect(Math.max(...xs) - Math.min(...xs)).toBe(14 * 40);
  expect(hpgl).toContain('VS10;FS70;\nPU');
  expect(hpgl).toContain('VS30;FS130;\nPU');
  const path = keep('material.pdf', await materialTestPdf(nodePlatform, TEST, say));
  const words = tool('pdftotext', '-layout', path, '-');
  expect(words).toContain('Satin film: which one peels cleanly?');
  expect(words.match(/\d+ mm\/s/g)).toHaveLength(15);
});

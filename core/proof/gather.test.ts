import fc from 'fast-check';
import { findingKey, gatherFindings, type Finding } from './index.ts';

const found = (code: 'scissors-shape' | 'hairline', piece: string, element = ''): Finding =>
  ({
    code,
    severity: 'warning',
    where: { piece, element },
    values: code === 'hairline' ? { title: { kind: 'line' }, width: 0.05 } : { piece },
  }) as unknown as Finding;

test('what is in several pieces is one, what is in one piece stays apart', () => {
  const list = [
    found('scissors-shape', 'a'),
    found('hairline', 'a', 'line-1'),
    found('scissors-shape', 'b'),
    found('hairline', 'a', 'line-2'),
    found('scissors-shape', 'c'),
  ];
  expect(
    gatherFindings(list).map(({ findings, pieces }) => [findings[0].code, findings.length, pieces]),
  ).toEqual([
    ['scissors-shape', 3, 3],
    ['hairline', 1, 1],
    ['hairline', 1, 1],
  ]);
  expect(gatherFindings([])).toEqual([]);
});

test('a blocker is never gathered with a warning, and a finding of no piece stands alone', () => {
  const stops = { ...found('hairline', 'b'), severity: 'blocker' as const };
  const nowhere = { ...found('hairline', ''), where: {} };
  const gathered = gatherFindings([found('hairline', 'a'), stops, nowhere]);
  expect(gathered.map(({ findings }) => findings.length)).toEqual([1, 1, 1]);
});

test('nothing is lost and nothing comes twice', () => {
  const any = fc
    .tuple(fc.constantFrom('scissors-shape', 'hairline'), fc.constantFrom('a', 'b', 'c'), fc.nat(9))
    .map(([code, piece, at]) => found(code as 'hairline', piece, `line-${at}`));
  fc.assert(
    fc.property(fc.array(any), (list) => {
      const back = gatherFindings(list).flatMap(({ findings }) => findings);
      expect(back.map(findingKey).sort()).toEqual(list.map(findingKey).sort());
    }),
  );
});

import { PDFDocument, rgb } from '@cantoo/pdf-lib';
import { readFileSync } from 'node:fs';
import { templatePdf } from '../../testprint/index.ts';
import { shapeSize } from '../../shape/index.ts';
import { nodePlatform } from '../../testing/node-platform.ts';
import {
  DIE_CUTS,
  DISC_CARRIERS,
  readTemplateFile,
  spotPlaces,
  templateFileSchema,
  templateJson,
  templateSvg,
  type Stock,
} from '../index.ts';
import { problemText, say } from '../../../messages/index.ts';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const read = async (content: Uint8Array, name: string): Promise<Stock> => {
  const found = await readTemplateFile(nodePlatform, content, name);
  if (!found.ok) throw new Error(found.problem.code);
  return found.value;
};

/** How far the worst label of one sheet is from its place on the other, mm. */
function apart(one: Stock, other: Stock): number {
  if (!one.spots || !other.spots) return Infinity;
  const [a, b] = [spotPlaces(one.spots), spotPlaces(other.spots)];
  if (a.length !== b.length) return Infinity;
  return Math.max(
    ...a.map(({ x, y }) => Math.min(...b.map((at) => Math.hypot(at.x - x, at.y - y)))),
  );
}

test.each([...DIE_CUTS, ...DISC_CARRIERS])(
  '$name survives being written as JSON',
  async (stock) => {
    const again = await read(bytes(templateJson(stock)), 'sheet.json');
    expect({ ...again, id: stock.id }).toEqual(stock);
  },
);

test.each(DIE_CUTS)('$name is found in its own outlines as SVG', async (stock) => {
  const again = await read(bytes(templateSvg(stock)), 'outlines.svg');
  expect(apart(stock, again)).toBeLessThan(0.02);
  expect(again.spots?.shape.kind).toBe(stock.spots?.shape.kind);
  const [size, wanted] = [again, stock].map(({ spots }) => spots && shapeSize(spots.shape));
  expect(size?.width).toBeCloseTo(wanted?.width ?? 0, 1);
  expect(size?.height).toBeCloseTo(wanted?.height ?? 0, 1);
});

const some = DIE_CUTS.filter((_, at) => at % 9 === 0);
test.each(some)('$name is found in its outlines as PDF, and in its test print', async (stock) => {
  for (const purpose of ['outlines', 'test'] as const) {
    const pdf = await templatePdf(nodePlatform, { stock, purpose }, say);
    const again = await read(pdf, 'outlines.pdf');
    expect([again.width, again.height]).toEqual([
      expect.closeTo(stock.width, 1),
      expect.closeTo(stock.height, 1),
    ]);
    expect(apart(stock, again)).toBeLessThan(0.03);
  }
});

/** A supplier's page as such pages are: a frame, a headline bar, words, labels as four single lines. */
async function suppliersPage(): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  const pt = 72 / 25.4;
  const page = document.addPage([210 * pt, 297 * pt]);
  const box = (x: number, y: number, width: number, height: number): void =>
    page.drawRectangle({
      x: x * pt,
      y: (297 - y - height) * pt,
      width: width * pt,
      height: height * pt,
      borderColor: rgb(0.5, 0.5, 0.5),
      borderWidth: 0.25,
      opacity: 0,
    });
  box(4, 4, 202, 289);
  box(10, 6, 80, 5);
  page.drawText('Template for 180 x 38 mm strips. Delete before printing.', {
    x: 12 * pt,
    y: 286 * pt,
    size: 8,
  });
  for (let row = 0; row < 7; row++) box(15, 15.5 + row * 38, 180, 38);
  return document.save();
}

test('of a supplier’s page the labels are read, and its frame, bar and words are not', async () => {
  const found = await read(await suppliersPage(), 'Strips 180 x 38.pdf');
  expect(found.name).toBe('Strips 180 x 38');
  expect(found.spots).toMatchObject({
    layout: 'grid',
    columns: 1,
    rows: 7,
    shape: { kind: 'rectangle', width: 180, height: 38, radius: 0 },
  });
  const [first] = found.spots ? spotPlaces(found.spots) : [];
  expect(first?.x).toBeCloseTo(105, 1);
  expect(first?.y).toBeCloseTo(34.5, 1);
});

test('labels of a drawn outline keep it', async () => {
  const leaf = (x: number, y: number): string =>
    `<path d="M${x} ${y} C${x + 30} ${y - 6} ${x + 34} ${y + 30} ${x} ${y + 40} C${x - 8} ${y + 20} ${x - 6} ${y + 8} ${x} ${y} Z"/>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="210mm" height="297mm" viewBox="0 0 210 297">${leaf(40, 40)}${leaf(120, 40)}${leaf(40, 130)}</svg>`;
  const { spots } = await read(bytes(svg), 'leaves.svg');
  expect(spots?.shape.kind).toBe('outline');
  expect(spots && spotPlaces(spots)).toHaveLength(3);
});

test('what is no template is refused in a sentence with what is accepted', async () => {
  const refused = async (content: Uint8Array, name: string): Promise<string> => {
    const found = await readTemplateFile(nodePlatform, content, name);
    return found.ok ? 'taken' : problemText(found.problem).what;
  };
  expect(await refused(bytes('hello'), 'notes.txt')).toBe(
    '“notes.txt” is no template that can be read.',
  );
  expect(await refused(bytes('{"littlePeelTemplate": 1, "name": "X"}'), 'x.json')).toBe(
    '“x.json” is no template: “width” is missing or wrong.',
  );
  expect(await refused(bytes('{"littlePeel'), 'x.json')).toContain('breaks off');
  expect(await refused(bytes('%PDF-1.7 nothing'), 'x.pdf')).toContain('damaged');
  const empty = await PDFDocument.create();
  empty.addPage([400, 400]);
  expect(await refused(await empty.save(), 'x.pdf')).toBe('No labels were found on this sheet.');
});

test('the example in the documentation is a template', async () => {
  const page = readFileSync('docs/template-format.md', 'utf8');
  const examples = [...page.matchAll(/```json\n([\s\S]*?)```/g)].map(([, text]) => text ?? '');
  expect(examples.length).toBeGreaterThanOrEqual(2);
  for (const example of examples) {
    expect(templateFileSchema.safeParse(JSON.parse(example)).success).toBe(true);
    expect((await read(bytes(example), 'example.json')).spots).not.toBeNull();
  }
});

import { PDFDocument, rgb, StandardFonts } from '@cantoo/pdf-lib';
import { boxOfRings, flatten } from '../geometry/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { readPdfShapes } from './index.ts';

const PT = 25.4 / 72;

async function shapesOf(draw: (pdf: PDFDocument) => Promise<void> | void) {
  const pdf = await PDFDocument.create();
  await draw(pdf);
  const read = await readPdfShapes(nodePlatform, await pdf.save(), 0);
  if (!read.ok) throw new Error(read.problem.code);
  return read.value;
}

test('shapes have their place in mm from the top left, their colours and lines', async () => {
  const { width, height, shapes, whole } = await shapesOf((pdf) => {
    const page = pdf.addPage([288, 144]);
    page.drawRectangle({ x: 72, y: 36, width: 72, height: 36, color: rgb(1, 0.5, 0) });
    page.drawRectangle({
      x: 180,
      y: 72,
      width: 36,
      height: 36,
      borderColor: rgb(0, 0, 1),
      borderWidth: 4,
    });
  });
  expect([width, height, whole]).toEqual([288 * PT, 144 * PT, true]);
  expect(shapes).toHaveLength(2);
  const [filled, lined] = shapes;
  expect(filled?.fill).toEqual({ kind: 'solid', color: '#ff8000' });
  expect(filled?.stroke).toBeUndefined();
  const box = boxOfRings(flatten(filled?.path ?? []));
  expect(box?.left).toBeCloseTo(72 * PT, 3);
  expect(box?.top).toBeCloseTo((144 - 72) * PT, 3);
  expect(box?.bottom).toBeCloseTo((144 - 36) * PT, 3);
  expect(lined?.fill).toBeUndefined();
  expect(lined?.stroke?.paint).toEqual({ kind: 'solid', color: '#0000ff' });
  expect(lined?.stroke?.width).toBeCloseTo(4 * PT, 3);
});

test('a page with words beside its shapes is not whole', async () => {
  const { whole, shapes } = await shapesOf(async (pdf) => {
    const page = pdf.addPage([288, 144]);
    page.drawCircle({ x: 50, y: 50, size: 20, color: rgb(0, 1, 0) });
    page.drawText('Moss', { x: 100, y: 50, font: await pdf.embedFont(StandardFonts.Helvetica) });
  });
  expect([whole, shapes.length]).toEqual([false, 1]);
});

test('what is no PDF is refused', async () => {
  const read = await readPdfShapes(nodePlatform, new TextEncoder().encode('%PDF nothing'), 0);
  expect(!read.ok && read.problem.code).toBe('pdf/broken');
});

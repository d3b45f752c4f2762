import { say } from '../../messages/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { keep, tool } from '../testing/exported.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { testPagePdf } from './index.ts';

const DPI = 101.6; // 4 px to the mm

test.each([
  ['A4', 210, 297, true],
  ['a slip', 100, 210, false],
] as const)(
  'on %s the corner is filled at the top left alone, the arrow points up, inks lie side by side',
  async (_, width, height, ruled) => {
    const pdf = await testPagePdf(
      nodePlatform,
      { sheet: { width, height }, name: 'Bench, rear' },
      say,
    );
    const path = keep('test-page.pdf', pdf);
    const words = tool('pdftotext', '-layout', path, '-');
    expect(words).toContain('Bench, rear');
    expect(words).toContain('The arrow points to the top of the page.');
    expect(words.includes('100 mm')).toBe(ruled);

    const image = await renderPdf(nodePlatform, { pdf, page: 0, dpi: DPI });
    expect([image.width, image.height]).toEqual([width * 4, height * 4]);
    const at = (x: number, y: number): number[] => {
      const from = (Math.round(y * 4) * image.width + Math.round(x * 4)) * 4;
      return [...image.data.slice(from, from + 3)];
    };
    const isInk = ([r = 0, g = 0, b = 0]: number[]): boolean => r + g + b < 120;
    const corners = [
      at(16, 16),
      at(width - 16, 16),
      at(16, height - 16),
      at(width - 16, height - 16),
    ];
    expect(corners.map(isInk)).toEqual([true, false, false, false]);
    // The arrow is narrow at its head and wide below it.
    const row = (y: number): number =>
      Array.from({ length: 36 * 4 }, (__, x) => at(width / 2 - 18 + x / 4, y)).filter(isInk)
        .length / 4;
    const head = height * 0.12;
    expect(row(head + 40)).toBeCloseTo(12, 0);
    expect(row(head + 20) - row(head + 4)).toBeGreaterThan(15);
    const [cyan, magenta, yellow, black] = [-33, -11, 11, 33].map((x) =>
      at(width / 2 + x, height * 0.55),
    );
    expect(cyan?.[0]).toBeLessThan(80);
    expect(magenta?.[1]).toBeLessThan(80);
    expect(yellow?.[2]).toBeLessThan(80);
    expect(isInk(black ?? [])).toBe(true);
  },
);

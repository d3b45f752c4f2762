import { pathData, written } from '../drawing/index.ts';
import { linesPath, ringsPath } from '../geometry/index.ts';
import { markPath } from '../register/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';
import { knifeRings, orderCuts } from '../cutting/index.ts';

const COLORS = { crease: '#8a640c', kiss: '#0f7c86', through: '#3b3a9c' } as const;

/** The cut lines of a sheet as SVG in mm: a group for each kind of cut, and one for the marks. */
export function cutSvg(sheet: CompiledSheet): string {
  const [width, height] = [written(sheet.drawing.width), written(sheet.drawing.height)];
  const cuts = orderCuts(sheet.cuts);
  const groups = (['crease', 'kiss', 'through'] as const).flatMap((kind) => {
    const paths = cuts
      .filter((cut) => cut.kind === kind)
      .map(
        (cut) =>
          `<path data-copy="${escaped(cut.copies.join(' '))}" d="${pathData(cut.open ? linesPath(cut.rings) : ringsPath(knifeRings(cut)))}"/>`,
      );
    return paths.length
      ? [
          `<g id="${kind}" class="${kind}" fill="none" stroke="${COLORS[kind]}" stroke-width="0.1">\n${paths.join('\n')}\n</g>`,
        ]
      : [];
  });
  const dots = sheet.marks.map((mark) => `<path d="${pathData(markPath(mark))}"/>`);
  if (dots.length) groups.push(`<g id="marks" class="marks">\n${dots.join('\n')}\n</g>`);
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">\n${groups.join('\n')}\n</svg>\n`;
}

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/"/g, '&quot;').replace(/</g, '&lt;');

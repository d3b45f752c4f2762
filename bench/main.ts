// Measures what the project promises and prints each figure beside a baseline of the same run.
// `npm run bench -- art`, `svg`, `typefaces`, `photographs`, `subject`, `stickers`, `pack`, `nest`, `sheets`, `sets`, `pdf`, `list`, `stock`, `cutting`, `rehearsal`, `page`, `desk` or `peel` runs one part.
import { benchArt } from './art.ts';
import { benchCutting } from './cutting.ts';
import { benchDesk } from './desk.ts';
import { benchList } from './list.ts';
import { benchNest } from './nest.ts';
import { benchPack } from './pack.ts';
import { benchPdf } from './pdf.ts';
import { benchPeel } from './peel.ts';
import { benchPhotographs } from './photographs.ts';
import { benchRehearsal } from './rehearsal.ts';
import { benchSets } from './sets.ts';
import { benchSheets } from './sheets.ts';
import { benchStickers } from './stickers.ts';
import { benchStock } from './stock.ts';
import { benchPage } from './page.ts';
import { benchSubject } from './subject.ts';
import { benchSvg } from './svg.ts';
import { benchTypefaces } from './typefaces.ts';
import type { Row } from './row.ts';

const BENCHES = {
  art: benchArt,
  svg: benchSvg,
  typefaces: benchTypefaces,
  photographs: benchPhotographs,
  subject: benchSubject,
  stickers: benchStickers,
  pack: benchPack,
  nest: benchNest,
  sheets: benchSheets,
  sets: benchSets,
  pdf: benchPdf,
  list: benchList,
  stock: benchStock,
  cutting: benchCutting,
  rehearsal: benchRehearsal,
  page: benchPage,
  desk: benchDesk,
  peel: benchPeel,
};
const asked = process.argv.slice(2);
const rows: Row[] = [];
for (const [name, bench] of Object.entries(BENCHES))
  if (asked.length === 0 || asked.includes(name)) rows.push(...(await bench()));

const pad = (text: string, width: number): string => text.padEnd(width);
console.log(
  `\n${pad('what', 58)}${pad('measured', 14)}${pad('baseline', 14)}${pad('ratio', 9)}wanted`,
);
for (const { what, measured, unit, baseline, wanted } of rows) {
  const number = (value: number): string =>
    `${value < 10 ? value.toFixed(2) : value < 100 ? value.toFixed(1) : Math.round(value)} ${unit}`;
  const ratio = baseline === undefined ? '' : (measured / baseline).toFixed(3);
  console.log(
    `${pad(what, 58)}${pad(number(measured), 14)}${pad(baseline === undefined ? '' : number(baseline), 14)}${pad(ratio, 9)}${wanted}`,
  );
}

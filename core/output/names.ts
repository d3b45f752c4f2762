import { freeId } from '../base/index.ts';
import type { PaperSide } from '../stock/index.ts';

/** The files that a sheet stands in. */
export interface SheetFiles {
  readonly pdf: string;
  /** From 1. */
  readonly page: number;
  readonly svg: string;
  readonly dxf: string;
  readonly hpgl: string;
  readonly jpeg: string;
  readonly png: string;
}

/** A job's name as a file name: small letters, digits and hyphens. */
export function fileStem(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return plain.slice(0, 60) || 'job';
}

/**
 * The beginning of the names of a thing’s files, and of a job’s of one thing: no other thing has it.
 * @param taken those of other things; this one is added
 */
export function thingStem(job: string, thing: string | undefined, taken: Set<string>): string {
  const base = fileStem(thing === undefined ? job : `${job} ${thing}`);
  const stem = taken.has(base) ? freeId(base, taken) : base;
  taken.add(stem);
  return stem;
}

/** The name of a picture of one side of a sheet. */
export const sideFile = (name: string, side: PaperSide): string =>
  side === 'back' ? name.replace(/(\.\w+)$/, '-back$1') : name;

/** The names of a sheet's files; both numbers from 0. */
export function sheetFiles(stem: string, index: number, page = index): SheetFiles {
  const number = index + 1;
  return {
    pdf: `${stem}.pdf`,
    page: page + 1,
    svg: `${stem}-${number}.svg`,
    dxf: `${stem}-${number}.dxf`,
    hpgl: `${stem}-${number}.hpgl`,
    jpeg: `${stem}-${number}.jpg`,
    png: `${stem}-${number}.png`,
  };
}

import { fileStem, type Format, type MadeFile } from '../../../core/output/index.ts';
import { zipFiles } from '../../../core/job/index.ts';
import { download } from '../../storage/index.ts';

const TYPES: Readonly<Record<Format, string>> = {
  pdf: 'application/pdf',
  form: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  hpgl: 'application/vnd.hp-hpgl',
  png: 'image/png',
  jpeg: 'image/jpeg',
  artwork: 'image/svg+xml',
  approval: 'application/pdf',
  contact: 'application/pdf',
  peel: 'application/zip',
  json: 'application/json',
};

/** Gives files to the person: one as it is, several in one ZIP. */
export function saveFiles(files: readonly MadeFile[], job: string): void {
  const [only] = files;
  if (!only) return;
  if (files.length === 1) return download(only.name, only.bytes, TYPES[only.format]);
  const kinds = new Set(files.map(({ format }) => format));
  const name = kinds.size === 1 ? `${fileStem(job)}-${only.format}` : fileStem(job);
  download(`${name}.zip`, zipFiles(files), 'application/zip');
}

/** The size of files as it is told. */
export const kilobytes = (files: readonly MadeFile[]): string =>
  `${Math.max(1, Math.round(files.reduce((sum, { bytes }) => sum + bytes.length, 0) / 1024))} kB`;

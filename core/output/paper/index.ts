import type { Platform, Say } from '../../base/index.ts';
import type { CompiledJob } from '../../job/index.ts';
import { loadShipped } from '../../type/index.ts';
import { writePdf, type PdfPage, type PdfSources } from '../pdf/index.ts';
import { approvalPages } from './approval.ts';
import { contactPages } from './contact-sheet.ts';
import { PAPER_FACES, type PaperFaces } from './flow.ts';

/** Papers about a job, on A4: to be approved and signed, or all labels small. */
const PAPERS = { approval: approvalPages, contact: contactPages } as const satisfies Record<
  string,
  (compiled: CompiledJob, faces: PaperFaces, words: Say) => PdfPage[]
>;
export type PaperKind = keyof typeof PAPERS;

/** Writes a paper about a job as a PDF; says how many pages it has. */
export async function paperPdf(
  platform: Platform,
  kind: PaperKind,
  {
    compiled,
    sources,
    say,
  }: { readonly compiled: CompiledJob; readonly sources: PdfSources; readonly say: Say },
): Promise<{ readonly bytes: Uint8Array; readonly pages: number }> {
  const faces: PaperFaces = {
    text: await loadShipped(platform, PAPER_FACES.text),
    head: await loadShipped(platform, PAPER_FACES.head),
  };
  const pages = PAPERS[kind](compiled, faces, say);
  const own = [faces.text, faces.head];
  const typeface = (id: string): ReturnType<PdfSources['typeface']> =>
    sources.typeface(id) ?? own.find((one) => one.id === id);
  const bytes = await writePdf(platform, pages, { ...sources, typeface }, compiled.job.name);
  return { bytes, pages: pages.length };
}

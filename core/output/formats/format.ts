import type { Platform, Say, Task } from '../../base/index.ts';
import type { ArtBytes, CompiledJob, Job, JobResources, PrintedSide } from '../../job/index.ts';
import type { CompiledSheet } from '../../sheet/index.ts';
import type { PaperSide } from '../../stock/index.ts';
import type { ExportChoices } from '../choices.ts';
import type { SheetFiles } from '../names.ts';

/** Which of several things of a set is written, as files and the statement name it. */
export interface WrittenThing {
  readonly name: string;
}

/** What is written: a job as it was compiled, and all that writers share. */
export interface Writing {
  readonly platform: Platform;
  readonly resources: JobResources;
  readonly choices: ExportChoices;
  /** Where the bytes of art and own typefaces are kept, for the job itself. */
  readonly artBytes: ArtBytes | undefined;
  readonly task: Task;
  /** Gives the words that go into files. */
  readonly say: Say;
  /** The sheets as they are seen. */
  readonly seen: CompiledJob;
  /** The same sheets as they are printed. */
  readonly printed: CompiledJob;
  readonly sides: readonly PrintedSide[];
  /** The thing of a set that it is; undefined for a job of one thing. */
  readonly thing: WrittenThing | undefined;
  /** The beginning of every file's name. */
  readonly stem: string;
  /** The names of each sheet's files. */
  readonly names: readonly SheetFiles[];
  /** The print file with some choices; the same bytes where it was written before. */
  printFile(choices: ExportChoices): Promise<Uint8Array>;
}

/** A file that a writer made. */
export interface WrittenFile {
  readonly name: string;
  readonly bytes: Uint8Array;
  /** Of a PDF. */
  readonly pages?: number;
}

/** A page of the print file: one side of a sheet. */
export interface WrittenPage {
  /** Of the print file, from 0. */
  readonly page: number;
  readonly side: PaperSide;
  readonly names: SheetFiles;
}

/** All that is written of a job: each of its things, and what stands for all of them. */
export interface WritingAll {
  /** The whole job. */
  readonly job: Job;
  readonly things: readonly Writing[];
  readonly artBytes: ArtBytes | undefined;
  /** The beginning of the name of a file of all things. */
  readonly stem: string;
}

/**
 * A kind of file: one for the whole job, one for each of its things, one for each sheet, or one for each
 * side of a sheet.
 */
export type FormatWriter =
  | { readonly scope: 'all'; write(writing: WritingAll): Promise<readonly WrittenFile[]> }
  | { readonly scope: 'job'; write(writing: Writing): Promise<readonly WrittenFile[]> }
  | {
      readonly scope: 'sheet';
      write(sheet: CompiledSheet, names: SheetFiles, writing: Writing): WrittenFile;
    }
  | { readonly scope: 'page'; write(page: WrittenPage, writing: Writing): Promise<WrittenFile> };

/** Text as the bytes of a file. */
export const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);

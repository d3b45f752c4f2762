import {
  firstValue,
  GROUP,
  ipp,
  textsOf,
  type IppAttribute,
  type IppGroup,
  type IppMessage,
} from '../ipp/ipp-message.ts';
import { OPERATION } from '../ipp/ipp-codes.ts';
import { mediaName } from '../ipp/media.ts';
import type { PrintFormat } from './print-formats.ts';

/** From here on a job has ended, as the protocol counts its states. */
export const DONE_STATE = 7;

/** How a printer is told to make one whole set after the other. */
export const COLLATED = 'separate-documents-collated-copies';

/** A job of a simulated printer, and what it says of it. */
export interface SimulatedPrintJob {
  id: number;
  name: string;
  media: string;
  state: number;
  reasons: string[];
  user: string;
  document: Uint8Array;
  format: PrintFormat | undefined;
  pages: Uint8Array[];
  asked: ReadonlyMap<string, IppAttribute>;
}

/** The paper that a request asks for, by its standard name. */
export function mediaOf(message: IppMessage): string {
  const named = firstValue(message, GROUP.job, 'media');
  if (typeof named === 'string') return named;
  const column = firstValue(message, GROUP.job, 'media-col');
  const size = column instanceof Map ? column.get('media-size')?.values[0] : undefined;
  const side = (name: string): number =>
    size instanceof Map ? Number(size.get(name)?.values[0] ?? 0) / 100 : 0;
  const [wide, high] = [side('x-dimension'), side('y-dimension')];
  return wide > 0 && high > 0 ? mediaName(wide, high) : mediaName(210, 297);
}

/** What a printer says of a job. */
export function jobGroup(job: SimulatedPrintJob, uri: string, began = 0): IppGroup {
  const seconds = began ? 1 + Math.floor((Date.now() - began) / 1000) : 1;
  const ended = job.state >= DONE_STATE;
  return {
    tag: GROUP.job,
    attributes: new Map<string, IppAttribute>([
      ['job-id', ipp.integer(job.id)],
      ['job-uri', ipp.uri(uri)],
      ['job-state', ipp.enum(job.state)],
      ['job-state-reasons', ipp.keyword(...job.reasons)],
      ['job-name', ipp.name(job.name)],
      ['job-originating-user-name', ipp.name(job.user)],
      ['job-printer-uri', ipp.uri(uri.replace(/\/\d+$/, ''))],
      ['job-printer-up-time', ipp.integer(seconds)],
      ['job-impressions-completed', ipp.integer(job.pages.length)],
      ['job-media-sheets-completed', ipp.integer(Math.ceil(job.pages.length / sidesOf(job)))],
      ['time-at-creation', ipp.integer(1)],
      ['time-at-processing', job.state > 3 ? ipp.integer(1) : ipp.noValue()],
      ['time-at-completed', ended ? ipp.integer(1) : ipp.noValue()],
      ...job.asked,
    ]),
  };
}

const sidesOf = ({ asked }: SimulatedPrintJob): number =>
  String(asked.get('sides')?.values[0]).startsWith('two-sided') ? 2 : 1;

/**
 * The pages that come out for those of a document: the ones that are asked for (`page-ranges`), as often
 * as `copies` says, sheet by sheet or set by set (`multiple-document-handling`).
 */
export async function* pagesOut(
  job: SimulatedPrintJob,
  document: AsyncIterable<Uint8Array>,
): AsyncGenerator<Uint8Array> {
  const first = (name: string): unknown => job.asked.get(name)?.values[0];
  const copies = Math.max(1, Number(first('copies') ?? 1));
  const isCollated = first('multiple-document-handling') === COLLATED;
  const ranges = (job.asked.get('page-ranges')?.values ?? []) as readonly (readonly number[])[];
  const isAsked = (page: number): boolean =>
    ranges.length === 0 || ranges.some(([from = 1, to = from]) => page >= from && page <= to);
  let set: Uint8Array[] = [];
  let page = 0;
  for await (const one of document) {
    if (!isAsked(++page)) continue;
    set.push(one);
    if (isCollated) yield one;
    else if (set.length === sidesOf(job)) {
      for (let copy = 0; copy < copies; copy++) yield* set;
      set = [];
    }
  }
  // A last side that stands alone, or the other sets.
  for (let copy = isCollated ? 1 : 0; copy < copies; copy++) yield* set;
}

/** The attributes of a group that a request asks for; all of them where it names none. */
export function asked(message: IppMessage, group: IppGroup): IppGroup {
  const names = textsOf(message, GROUP.operation, 'requested-attributes');
  const everything = ['all', 'job-template', 'job-description', 'printer-description'];
  const byDefault = message.code === OPERATION.getJobs ? ['job-id', 'job-uri'] : everything;
  const wanted = names.length ? names : byDefault;
  if (wanted.some((name) => everything.includes(name))) return group;
  const kept = [...group.attributes].filter(([name]) => wanted.includes(name));
  return { ...group, attributes: new Map(kept) };
}

import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import {
  encodeIpp,
  firstValue,
  GROUP,
  ipp,
  parseIpp,
  type IppAttribute,
  type IppGroup,
  type IppMessage,
} from '../ipp/ipp-message.ts';
import type { Login } from '../ipp/ipp-line.ts';
import { OPERATION, STATUS } from '../ipp/ipp-codes.ts';
import { listenHere } from '../listen.ts';
import { printerIcon } from './printer-icon.ts';
import { ANY_FORMAT, formatOf, PRINT_FORMATS, type PrintFormat } from './print-formats.ts';
import {
  asked,
  DONE_STATE,
  jobGroup,
  mediaOf,
  pagesOut,
  type SimulatedPrintJob,
} from './simulated-print-job.ts';
import { printerAttributes, supports } from './simulated-printer-attributes.ts';

/** What can keep a printer from printing until somebody sees to it. */
export const PRINTER_STOPS = ['media-jam-error', 'media-empty-error', 'media-needed'] as const;
export type PrinterStop = (typeof PRINTER_STOPS)[number];

/** The pages that come out of a document, as PNG. */
export type PrintPages = (document: Uint8Array, format: PrintFormat) => AsyncIterable<Uint8Array>;

/** A job of the printer. */
export interface NetworkPrintJob {
  readonly id: number;
  readonly name: string;
  readonly media: string;
  /** As the protocol counts: 3 pending, 5 processing, 6 stopped, 7 cancelled, 8 aborted, 9 completed. */
  readonly state: number;
  /** Each page that came out, as PNG. */
  readonly pages: readonly Uint8Array[];
}

/** Who comes in: over TLS with a certificate (PEM), and with a password. */
export interface PrinterDoor {
  readonly tls?: { readonly key: string; readonly cert: string };
  readonly login?: Login;
}

const MOST_JOBS = 20;
const MOST_BYTES = 64e6;
const SOON = 40; // ms

/**
 * A printer that exists only in the computer and speaks the Internet Printing Protocol (RFC 8010, 8011)
 * on a port of this computer: any program may print to it. What it prints can be looked at.
 */
export class SimulatedNetworkPrinter {
  /** What keeps it from printing now. */
  stop: PrinterStop | undefined;
  /** What it says of itself though it prints on, as `toner-low-report`. */
  remark: string | undefined;
  /** What is left of cyan, magenta, yellow and black, percent. */
  inks: readonly number[] = [80, 80, 80, 80];
  private readonly print: PrintPages;
  private readonly door: PrinterDoor;
  private readonly jobs: SimulatedPrintJob[] = [];
  private readonly began = Date.now();
  private next = 1;
  private working = false;
  private readonly server: Server;

  /** @param door how it is reached; by everybody, without TLS, unless given */
  constructor(print: PrintPages, door: PrinterDoor = {}) {
    this.print = print;
    this.door = door;
    const hear = (request: IncomingMessage, answer: ServerResponse): void => {
      if (!this.mayEnter(request)) {
        request.resume();
        answer.writeHead(401, { 'WWW-Authenticate': 'Basic realm="printer"' }).end();
        return;
      }
      void this.answer(request).then(
        ({ status, type, body }) => {
          answer.writeHead(status, { 'Content-Type': type, 'Content-Length': body.length });
          answer.end(body);
        },
        () => request.destroy(),
      );
    };
    this.server = door.tls ? createSecureServer(door.tls, hear) : createServer(hear);
    // While it draws a page it hears nothing: connections that rest are kept for longer than that.
    this.server.keepAliveTimeout = 60_000;
    this.server.requestTimeout = 120_000;
    this.server.headersTimeout = 60_000;
  }

  /** Begins to listen, to this computer alone; 0 takes a free port. */
  listen(port: number): Promise<number> {
    return listenHere(this.server, port);
  }

  close(): Promise<void> {
    this.server.closeAllConnections();
    return new Promise((done) => this.server.close(() => done()));
  }

  /** What it was sent, the latest first. */
  get done(): NetworkPrintJob[] {
    return [...this.jobs].reverse();
  }

  get address(): string {
    return `${this.door.tls ? 'ipps' : 'ipp'}://127.0.0.1:${(this.server.address() as AddressInfo).port}/ipp/print`;
  }

  private mayEnter({ headers }: IncomingMessage): boolean {
    const { login } = this.door;
    if (!login) return true;
    const said = Buffer.from(headers.authorization?.replace(/^Basic /i, '') ?? '', 'base64');
    return said.toString() === `${login.user}:${login.password}`;
  }

  private async answer(
    request: IncomingMessage,
  ): Promise<{ status: number; type: string; body: Uint8Array }> {
    const plain = (status: number, text: string) => {
      request.resume();
      return { status, type: 'text/plain', body: new TextEncoder().encode(text) };
    };
    if (request.method === 'GET' && request.url === '/icon.png') {
      request.resume();
      return { status: 200, type: 'image/png', body: printerIcon() };
    }
    if (request.method !== 'POST') return plain(405, 'method not allowed\n');
    if (!request.headers['content-type']?.startsWith('application/ipp'))
      return plain(415, 'unsupported media type\n');
    const bytes = await bodyOf(request);
    if (!bytes) return plain(413, 'content too large\n');
    const read = parseIpp(bytes);
    if (!read.ok) return plain(400, `${read.problem.code}\n`);
    const { message, document } = read.value;
    const { code, groups = [] } = this.perform(message, document);
    const attributes = new Map<string, IppAttribute>([
      ['attributes-charset', ipp.charset('utf-8')],
      ['attributes-natural-language', ipp.language('en')],
    ]);
    const body = encodeIpp({
      version: message.version[0] === 2 ? [2, 0] : [1, 1],
      code,
      request: message.request,
      groups: [{ tag: GROUP.operation, attributes }, ...groups],
    });
    return { status: 200, type: 'application/ipp', body };
  }

  private perform(
    message: IppMessage,
    document: Uint8Array,
  ): { code: number; groups?: readonly IppGroup[] } {
    const wrong = whatIsWrong(message);
    if (wrong !== undefined) return { code: wrong };
    switch (message.code) {
      case OPERATION.getPrinterAttributes:
        return this.tell(message);
      case OPERATION.validateJob:
        return judged(message);
      case OPERATION.printJob:
        return this.take(message, document);
      case OPERATION.createJob:
        return this.take(message, undefined);
      case OPERATION.sendDocument: {
        const job = this.find(message);
        if (!job) return { code: STATUS.notFound };
        if (typeof firstValue(message, GROUP.operation, 'last-document') !== 'boolean')
          return { code: STATUS.badRequest };
        if (job.format || job.state >= DONE_STATE) return { code: STATUS.notPossible };
        const format = formatOf(document);
        if (!format) return { code: STATUS.badFormat };
        [job.document, job.format] = [document.slice(), format];
        void this.work();
        return { code: STATUS.ok, groups: [jobGroup(job, this.uri(job))] };
      }
      case OPERATION.getJobAttributes: {
        const job = this.find(message);
        return job
          ? { code: STATUS.ok, groups: [asked(message, jobGroup(job, this.uri(job), this.began))] }
          : { code: STATUS.notFound };
      }
      case OPERATION.getJobs: {
        const which = firstValue(message, GROUP.operation, 'which-jobs') ?? 'not-completed';
        const limit = Number(firstValue(message, GROUP.operation, 'limit') ?? MOST_JOBS);
        const mine = firstValue(message, GROUP.operation, 'my-jobs') === true;
        const listed = this.jobs
          .filter(({ state }) => state >= DONE_STATE === (which === 'completed'))
          .filter(({ user }) => !mine || user === userOf(message))
          .slice(0, limit);
        return {
          code: STATUS.ok,
          groups: listed.map((job) => asked(message, jobGroup(job, this.uri(job), this.began))),
        };
      }
      case OPERATION.cancelJob: {
        const job = this.find(message);
        if (!job) return { code: STATUS.notFound };
        if (job.state >= DONE_STATE) return { code: STATUS.notPossible };
        cancelled(job);
        return { code: STATUS.ok };
      }
      case OPERATION.cancelMyJobs: {
        const user = userOf(message);
        this.jobs.filter((job) => job.user === user && job.state < DONE_STATE).forEach(cancelled);
        return { code: STATUS.ok };
      }
      case OPERATION.closeJob: {
        const job = this.find(message);
        return job
          ? { code: STATUS.ok, groups: [jobGroup(job, this.uri(job))] }
          : { code: STATUS.notFound };
      }
      case OPERATION.identifyPrinter:
        return { code: STATUS.ok }; // there is nothing to see or to hear
      default:
        return { code: STATUS.unsupportedOperation };
    }
  }

  private uri(job: SimulatedPrintJob): string {
    return `${this.address}/${job.id}`;
  }

  private find(message: IppMessage): SimulatedPrintJob | undefined {
    const byId = firstValue(message, GROUP.operation, 'job-id');
    const byUri = firstValue(message, GROUP.operation, 'job-uri');
    const id = byId ?? Number(/\/(\d+)$/.exec(String(byUri))?.[1]);
    return this.jobs.find((job) => job.id === id);
  }

  private tell(message: IppMessage): { code: number; groups: readonly IppGroup[] } {
    const busy = this.jobs.filter(({ state }) => state < DONE_STATE).length;
    const attributes = printerAttributes({
      address: this.address,
      state: this.stop ? 5 : busy ? 4 : 3,
      reason: this.stop ?? this.remark ?? 'none',
      upTime: this.seconds(),
      began: new Date(this.began),
      queued: busy,
      inks: this.inks,
    });
    return { code: STATUS.ok, groups: [asked(message, { tag: GROUP.printer, attributes })] };
  }

  private seconds(): number {
    return 1 + Math.floor((Date.now() - this.began) / 1000);
  }

  private take(
    message: IppMessage,
    document: Uint8Array | undefined,
  ): { code: number; groups?: readonly IppGroup[] } {
    const { code, groups = [] } = judged(message);
    if (code >= STATUS.badRequest) return { code, groups };
    const format = document && formatOf(document);
    if (document && !format) return { code: STATUS.badFormat };
    const job: SimulatedPrintJob = {
      id: this.next++,
      name: String(firstValue(message, GROUP.operation, 'job-name') ?? 'Untitled').slice(0, 200),
      media: mediaOf(message),
      state: 3,
      reasons: [document ? 'none' : 'job-data-insufficient'],
      user: userOf(message),
      document: document?.slice() ?? new Uint8Array(),
      format,
      pages: [],
      asked: message.groups.find(({ tag }) => tag === GROUP.job)?.attributes ?? new Map(),
    };
    this.jobs.push(job);
    if (this.jobs.length > MOST_JOBS) this.jobs.shift();
    void this.work();
    return { code, groups: [...groups, jobGroup(job, this.uri(job))] };
  }

  /** Prints what waits, one job after the other. */
  private async work(): Promise<void> {
    if (this.working) return;
    this.working = true;
    try {
      for (;;) {
        const job = this.jobs.find(({ state, format }) => state < DONE_STATE && format);
        if (!job?.format) return;
        await this.printJob(job, job.format);
      }
    } finally {
      this.working = false;
    }
  }

  private async printJob(job: SimulatedPrintJob, format: PrintFormat): Promise<void> {
    try {
      for await (const page of pagesOut(job, this.print(job.document, format))) {
        while (this.stop && job.state < DONE_STATE) {
          job.state = 6;
          job.reasons = ['printer-stopped'];
          await new Promise((go) => setTimeout(go, SOON));
        }
        if (job.state >= DONE_STATE) return;
        job.state = 5;
        job.reasons = ['job-printing'];
        job.pages.push(page);
      }
      if (job.state >= DONE_STATE) return;
      job.state = 9;
      job.reasons = ['job-completed-successfully'];
    } catch {
      job.state = 8;
      job.reasons = ['document-format-error'];
    }
  }
}

/** Who asks. */
const userOf = (message: IppMessage): string =>
  String(firstValue(message, GROUP.operation, 'requesting-user-name') ?? 'anonymous').slice(0, 200);

/** The status of a request that no operation is asked for; undefined where it is in order. */
function whatIsWrong({ version, groups, request }: IppMessage): number | undefined {
  if (version[0] < 1 || version[0] > 2) return STATUS.badVersion;
  const [first] = groups;
  const [charset, language] = [...(first?.attributes.keys() ?? [])];
  if (request < 1 || first?.tag !== GROUP.operation) return STATUS.badRequest;
  if (charset !== 'attributes-charset' || language !== 'attributes-natural-language')
    return STATUS.badRequest;
  const says = String(first.attributes.get('attributes-charset')?.values[0]).toLowerCase();
  if (says !== 'utf-8' && says !== 'us-ascii') return STATUS.badCharset;
  const { attributes } = first;
  return attributes.has('printer-uri') || attributes.has('job-uri') ? undefined : STATUS.badRequest;
}

/** Which of the attributes of a job are not as asked for. */
function judged(message: IppMessage): { code: number; groups?: readonly IppGroup[] } {
  const format = firstValue(message, GROUP.operation, 'document-format');
  const known: readonly unknown[] = [...PRINT_FORMATS, ANY_FORMAT, undefined];
  if (!known.includes(format)) return { code: STATUS.badFormat };
  const wanted = message.groups.find(({ tag }) => tag === GROUP.job)?.attributes ?? new Map();
  const unmet = [...wanted].filter(
    ([name, attribute]) => !supports(name, attribute as IppAttribute),
  );
  if (unmet.length === 0) return { code: STATUS.ok };
  const strict = firstValue(message, GROUP.operation, 'ipp-attribute-fidelity') === true;
  return {
    code: strict ? STATUS.unsupportedValues : STATUS.substituted,
    groups: [{ tag: GROUP.unsupported, attributes: new Map(unmet) }],
  };
}

/** A job that its sender does not want any more. */
function cancelled(job: SimulatedPrintJob): void {
  job.state = 7;
  job.reasons = ['job-canceled-by-user'];
}

/** The body of a request; undefined where it is too long. */
async function bodyOf(request: IncomingMessage): Promise<Uint8Array | undefined> {
  const parts: Buffer[] = [];
  let size = 0;
  for await (const part of request as AsyncIterable<Buffer>) {
    size += part.length;
    if (size > MOST_BYTES) return undefined;
    parts.push(part);
  }
  return new Uint8Array(Buffer.concat(parts));
}

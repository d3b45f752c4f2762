import {
  Cancelled,
  type Doing,
  err,
  expectOk,
  type PrinterReason,
  type Problem,
  problem,
  type Result,
  type Task,
} from '../../core/base/index.ts';
import type { SimulatedFaults } from '../../core/run/index.ts';
import type { PrintChoices } from '../../core/stock/index.ts';
import { confirmedAddresses, keepConfirmed } from '../storage/index.ts';

/** What a printer in the house says of itself. */
export interface PrinterTold {
  readonly name: string;
  readonly state: string;
  readonly reasons: readonly PrinterReason[];
  readonly takesPdf: boolean;
  readonly duplex: boolean;
  readonly unscaled: boolean;
  readonly color: boolean;
  /** Sizes of paper by their standard names. */
  readonly media: readonly string[];
  readonly trays: readonly string[];
  readonly types: readonly string[];
  readonly margins?: readonly [number, number, number, number];
}

/** What the simulated devices did, the latest first. */
export interface SimulatedDevicesState {
  readonly printer?: {
    readonly address: string;
    readonly jobs: readonly {
      readonly id: number;
      readonly name: string;
      readonly pages: number;
    }[];
  };
  readonly cutter?: {
    readonly address: string;
    readonly cuts: readonly { readonly torn: boolean; readonly bytes: number }[];
  };
  readonly faults: SimulatedFaults;
}

type Progress = Task['progress'];
export type DeviceKind = 'printer' | 'cutter';

const BASE = '/api/bridge';
const GONE = problem('bridge/gone', {});

let token: Promise<string> | undefined;

async function asked(path: string, init: RequestInit = {}): Promise<Response> {
  token ??= fetch(`${BASE}/token`)
    .then((answer) => answer.json() as Promise<{ token: string }>)
    .then((told) => told.token);
  try {
    const headers = { ...(init.headers as Record<string, string>), 'x-little-peel': await token };
    return await fetch(`${BASE}/${path}`, { ...init, headers });
  } catch (error) {
    token = undefined;
    if (error instanceof DOMException && error.name === 'AbortError') throw new Cancelled();
    return new Response(JSON.stringify(GONE), { status: 503 });
  }
}

async function answered<T>(answer: Response): Promise<Result<T>> {
  // A server that was started anew has another token.
  if (answer.status === 403) token = undefined;
  const said = (await answer.json()) as T | Problem;
  return answer.ok ? { ok: true, value: said as T } : { ok: false, problem: said as Problem };
}

const json = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

async function letThrough(kind: DeviceKind, address: string): Promise<Result<string>> {
  const done = await answered<Result<string>>(await asked('devices', json({ kind, address })));
  return done.ok ? done.value : done;
}

/** Lets the bridge send to an address that the user has entered; gives it as it is written in full. */
export async function confirmDevice(kind: DeviceKind, address: string): Promise<Result<string>> {
  const done = await letThrough(kind, address);
  if (done.ok) await keepConfirmed(kind, done.value);
  return done;
}

/** Whether somebody confirmed an address at this computer. */
export const isConfirmed = async (kind: DeviceKind, address: string): Promise<boolean> =>
  (await confirmedAddresses()).has(`${kind} ${address}`);

/** Lets the bridge, which may have been started anew, send to an address that was confirmed before. */
export async function openDevice(kind: DeviceKind, address: string): Promise<Result<string>> {
  if (await isConfirmed(kind, address)) return letThrough(kind, address);
  return err('bridge/not-confirmed', { address });
}

/** Asks a confirmed printer what it can. */
export async function askPrinter(address: string): Promise<Result<PrinterTold>> {
  const done = await answered<Result<PrinterTold>>(await asked('ask', json({ address })));
  return done.ok ? done.value : done;
}

/** How a PDF is printed. */
export interface PrintOrder {
  readonly address: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly sides?: 'one-sided' | 'two-sided-long-edge' | 'two-sided-short-edge';
  readonly choices: PrintChoices;
}

/** A device at work, and a way to stop it. */
export interface AtWork {
  readonly done: Promise<Result<unknown>>;
  cancel(): void;
}

/** Prints a PDF on a confirmed printer. */
export function printOn(
  { choices, ...order }: PrintOrder,
  pdf: Uint8Array,
  progress: Progress,
): AtWork {
  const asked = Object.entries({ ...order, ...choices }).filter(([, value]) => value !== '');
  const query = new URLSearchParams(asked.map(([name, value]) => [name, String(value)]));
  return working(order.address, 'printer', `print?${query}`, {
    body: new Blob([pdf.slice()], { type: 'application/pdf' }),
    type: 'application/pdf',
    progress,
  });
}

/** Sends HPGL to a confirmed cutter. */
export function cutOn(address: string, hpgl: Uint8Array, progress: Progress): AtWork {
  const type = 'application/vnd.hp-hpgl';
  const query = new URLSearchParams({ address });
  const body = new Blob([hpgl.slice()], { type });
  return working(address, 'cutter', `cut?${query}`, { body, type, progress });
}

function working(
  address: string,
  kind: DeviceKind,
  path: string,
  { body, type, progress }: { body: Blob; type: string; progress: Progress },
): AtWork {
  const stop = new AbortController();
  const run = async (): Promise<Result<unknown>> => {
    const confirmed = await openDevice(kind, address);
    if (!confirmed.ok) return confirmed;
    const headers = { 'Content-Type': type };
    const answer = await asked(path, { method: 'POST', headers, body, signal: stop.signal });
    if (!answer.ok || !answer.body) return answered(answer);
    return lastLine(answer.body, progress);
  };
  return {
    done: run().catch((error: unknown) => {
      if (stop.signal.aborted) throw new Cancelled();
      throw error;
    }),
    cancel: () => stop.abort(),
  };
}

/** Reads lines of JSON as they come: progress, and at the end what came of it. */
async function lastLine(
  stream: ReadableStream<Uint8Array>,
  progress: Progress,
): Promise<Result<unknown>> {
  const decoder = new TextDecoder();
  let rest = '';
  let last: Result<unknown> | undefined;
  const reader = stream.getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    rest += decoder.decode(part.value, { stream: true });
    const lines = rest.split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines.filter(Boolean)) {
      const said = JSON.parse(line) as { share: number; doing: Doing } | Result<unknown>;
      if ('doing' in said) progress(said.share, said.doing);
      else last = said;
    }
  }
  return last ?? { ok: false, problem: GONE };
}

/** What the simulated devices did. */
export const simulatedDevicesState = async (): Promise<SimulatedDevicesState> =>
  expectOk(await answered<SimulatedDevicesState>(await asked('simulated')));

/** Starts the simulated devices where they do not run, with the faults given. */
export const startSimulatedDevices = async (
  faults: SimulatedFaults,
): Promise<SimulatedDevicesState> =>
  expectOk(await answered<SimulatedDevicesState>(await asked('simulated', json(faults))));

/** A picture of what a simulated device did, as an address for the page. */
export async function simulatedDevicePicture(path: string): Promise<string | undefined> {
  const answer = await asked(`simulated/${path}`);
  return answer.ok ? URL.createObjectURL(await answer.blob()) : undefined;
}

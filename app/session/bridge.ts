import * as z from 'zod';
import {
  Cancelled,
  err,
  expectOk,
  ok,
  problem,
  type Result,
  type Task,
} from '../../core/base/index.ts';
import {
  BRIDGE_PATH,
  cablePortSchema,
  cutterHelloSchema,
  foundDeviceSchema,
  PDF_TYPE,
  printerToldSchema,
  problemSchema,
  progressSchema,
  resultSchema,
  simulatedStateSchema,
  TOKEN_HEADER,
  tokenSchema,
  type CablePort,
  type CutterHello,
  type CutterOrder,
  type DeviceKind,
  type FoundDevice,
  type PrinterTold,
  type PrintOrder,
  type SimulatedDevicesState,
} from '../../devices/protocol/index.ts';
import { hasWords, isDoing } from '../../messages/index.ts';
import type { SimulatedFaults } from '../../core/run/index.ts';
import type { CutProgram } from '../../core/output/index.ts';
import type { Cutter, PrintChoices } from '../../core/stock/index.ts';
import { blobOf, confirmedAddresses, keepConfirmed } from '../storage/index.ts';

type Progress = Task['progress'];

const GONE = problem('bridge/gone', {});
const FAILED = problem('bridge/failed', {});
/** A cutter has nothing to say of what it did. */
const ANYTHING = z.unknown().optional();

let token: Promise<string> | undefined;

async function asked(path: string, init: RequestInit = {}): Promise<Response> {
  token ??= fetch(`${BRIDGE_PATH}/token`)
    .then((answer) => answer.json())
    .then((answered) => tokenSchema.parse(answered).token);
  try {
    const headers = { ...(init.headers as Record<string, string>), [TOKEN_HEADER]: await token };
    return await fetch(`${BRIDGE_PATH}/${path}`, { ...init, headers });
  } catch (error) {
    token = undefined;
    if (error instanceof DOMException && error.name === 'AbortError') throw new Cancelled();
    return new Response(JSON.stringify(GONE), { status: 503 });
  }
}

/** A problem as the bridge told it; what this page has no words for is told as a failure. */
function problemIn(answered: unknown): Result<never> {
  const read = problemSchema.safeParse(answered);
  return { ok: false, problem: read.success && hasWords(read.data) ? read.data : FAILED };
}

/** What came of something that the bridge did, with its value where it gives one. */
function resultIn<T>(answered: unknown, value: z.ZodType<T>): Result<T> {
  const read = resultSchema(value).safeParse(answered);
  if (!read.success) return { ok: false, problem: FAILED };
  return read.data.ok ? ok(read.data.value as T) : problemIn(read.data.problem);
}

/** What the bridge answers to a request, or why it did not take it. */
async function answered<T>(answer: Response, schema: z.ZodType<T>): Promise<Result<T>> {
  // A server that was started anew has another token.
  if (answer.status === 403) token = undefined;
  const answered: unknown = await answer.json();
  if (!answer.ok) return problemIn(answered);
  const read = schema.safeParse(answered);
  return read.success ? ok(read.data) : { ok: false, problem: FAILED };
}

/** The same for what can fail while the bridge does it. */
async function answeredResult<T>(answer: Response, value: z.ZodType<T>): Promise<Result<T>> {
  const done = await answered(answer, z.unknown());
  return done.ok ? resultIn(done.value, value) : done;
}

const json = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

async function letThrough(kind: DeviceKind, address: string): Promise<Result<string>> {
  return answeredResult(await asked('devices', json({ kind, address })), z.string());
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
  const open = await openDevice('printer', address);
  return open.ok ? answeredResult(await asked('ask', json({ address })), printerToldSchema) : open;
}

/** Trusts a certificate of a confirmed printer by its fingerprint, for this user of this computer. */
export const trustPrinter = async (
  address: string,
  fingerprint: string,
): Promise<Result<unknown>> =>
  answeredResult(await asked('trust', json({ address, fingerprint })), ANYTHING);

/** Gives the bridge the name and password that a confirmed printer asks for; it keeps them. */
export const logInToPrinter = async (
  address: string,
  user: string,
  password: string,
): Promise<Result<unknown>> =>
  answeredResult(await asked('login', json({ address, user, password })), ANYTHING);

/** How a PDF is printed on a confirmed printer. */
export type PrintAsked = Pick<
  PrintOrder,
  'address' | 'name' | 'width' | 'height' | 'sides' | 'copies' | 'sheets'
> & {
  readonly choices: PrintChoices;
};

/** Work of the bridge, and a way to stop it. */
export interface AtWork<T = unknown> {
  readonly done: Promise<Result<T>>;
  cancel(): void;
}

/** Looks for devices that announce themselves; nothing is sent to them. */
export const findDevices = (progress: Progress): AtWork<readonly FoundDevice[]> =>
  watched('find', json({}), z.array(foundDeviceSchema), progress);

/** A picture that a confirmed printer has of itself; undefined where it has none. */
export async function printerPicture(address: string): Promise<Blob | undefined> {
  const answer = await asked('picture', json({ address }));
  return answer.status === 200 ? answer.blob() : undefined;
}

/** Prints a PDF on a confirmed printer. */
export function printOn(
  { choices, ...order }: PrintAsked,
  pdf: Uint8Array,
  progress: Progress,
): AtWork {
  const asked = Object.entries({ ...order, ...choices }).filter(([, value]) => value !== '');
  const query = new URLSearchParams(asked.map(([name, value]) => [name, String(value)]));
  return working(order.address, 'printer', `print?${query}`, {
    body: blobOf(pdf, PDF_TYPE),
    type: PDF_TYPE,
    progress,
  });
}

/** How the wire of a cutter is set, as its profile has it. */
const lineOf = ({ profile }: Cutter): Pick<CutterOrder, 'line'> => {
  if (!profile) return {};
  const { line, buffer } = profile;
  const answers = profile.language === 'gcode' && profile.answers;
  return { line: { line, buffer, ...(answers ? { answers } : {}) } };
};

/** A cutter at work, which can also rest between cuts. */
export interface CutterAtWork extends AtWork {
  rest(rests: boolean): Promise<void>;
}

/** Sends a program to a confirmed cutter. @param done how many cuts were made before */
export function cutOn(
  cutter: Cutter,
  { program, done = 0 }: { readonly program: CutProgram; readonly done?: number },
  progress: Progress,
): CutterAtWork {
  const { address } = cutter;
  const work = crypto.randomUUID();
  const { start, end, stop, cuts } = program;
  const order: CutterOrder = {
    ...{ address, done, work, ...lineOf(cutter) },
    program: { start, end, stop, cuts: [...cuts] },
  };
  return {
    ...working(address, 'cutter', 'cut', {
      body: JSON.stringify(order),
      type: 'application/json',
      progress,
    }),
    async rest(rests) {
      await asked('rest', json({ work, rests }));
    },
  };
}

/** Asks a confirmed cutter who it is and where it stands. */
export async function helloCutter(cutter: Cutter): Promise<Result<CutterHello>> {
  const { address } = cutter;
  const open = await openDevice('cutter', address);
  if (!open.ok) return open;
  return answeredResult(
    await asked('hello', json({ address, ...lineOf(cutter) })),
    cutterHelloSchema,
  );
}

/** The ports of the computer that serves this page; none where it does not tell. */
export async function cablePorts(): Promise<readonly CablePort[]> {
  const told = await answered(await asked('ports'), z.object({ ports: z.array(cablePortSchema) }));
  return told.ok ? told.value.ports : [];
}

/** Work at a device that has to be let through first. */
function working(
  address: string,
  kind: DeviceKind,
  path: string,
  { body, type, progress }: { body: Blob | string; type: string; progress: Progress },
): AtWork {
  const init = { method: 'POST', headers: { 'Content-Type': type }, body };
  return watched(path, init, ANYTHING, progress, () => openDevice(kind, address));
}

/** Work that tells how far it is. @param before what has to succeed before it is asked for */
function watched<T>(
  path: string,
  init: RequestInit,
  value: z.ZodType<T>,
  progress: Progress,
  before?: () => Promise<Result<unknown>>,
): AtWork<T> {
  const stop = new AbortController();
  const run = async (): Promise<Result<T>> => {
    const first = await before?.();
    if (first?.ok === false) return first;
    const answer = await asked(path, { ...init, signal: stop.signal });
    if (!answer.ok || !answer.body) return answeredResult(answer, value);
    return lastLine(answer.body, value, progress);
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
async function lastLine<T>(
  stream: ReadableStream<Uint8Array>,
  value: z.ZodType<T>,
  progress: Progress,
): Promise<Result<T>> {
  const decoder = new TextDecoder();
  let rest = '';
  let last: Result<T> | undefined;
  const reader = stream.getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    rest += decoder.decode(part.value, { stream: true });
    const lines = rest.split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines.filter(Boolean)) {
      const answered: unknown = JSON.parse(line);
      const at = progressSchema.safeParse(answered);
      if (!at.success) last = resultIn(answered, value);
      else if (isDoing(at.data.doing)) progress(at.data.share, at.data.doing);
    }
  }
  return last ?? { ok: false, problem: GONE };
}

/** What the simulated devices did. */
export const simulatedDevicesState = async (): Promise<SimulatedDevicesState> =>
  expectOk(await answered(await asked('simulated'), simulatedStateSchema));

/** Starts the simulated devices where they do not run, with the faults given. */
export const startSimulatedDevices = async (
  faults: SimulatedFaults,
): Promise<SimulatedDevicesState> =>
  expectOk(await answered(await asked('simulated', json(faults)), simulatedStateSchema));

/** A picture of what a simulated device did, as an address for the page. */
export async function simulatedDevicePicture(path: string): Promise<string | undefined> {
  const answer = await asked(`simulated/${path}`);
  return answer.ok ? URL.createObjectURL(await answer.blob()) : undefined;
}

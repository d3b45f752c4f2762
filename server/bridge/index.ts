import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import {
  err,
  Cancelled,
  problem,
  watchedTask,
  type Result,
  type Task,
} from '../../core/base/index.ts';
import { faultsSchema } from '../../core/run/index.ts';
import {
  AccessFile,
  askPrinter,
  cutOn,
  findDevices,
  helloCutter,
  listPorts,
  parseAddress,
  pictureOf,
  printOverIpp,
  SimulatedNetworkDevices,
} from '../../devices/wire/index.ts';
import {
  addressSchema,
  cutOrderSchema,
  deviceSchema,
  helloSchema,
  loginSchema,
  nothingSchema,
  PDF_TYPE,
  printOrderSchema,
  restSchema,
  trustSchema,
} from '../../devices/protocol/index.ts';
import { Guard } from './guard.ts';

const MOST_DEVICES = 40;
const MOST_AT_ONCE = 4;
const MOST_PRINT = 96e6; // bytes
const MOST_CUT = 16e6;
const PATIENCE = 10 * 60_000; // ms that a page waits for paper: who stands before it can also stop
const PORTS = { printer: 4631, cutter: 4632 };

const NOT_UNDERSTOOD = problem('bridge/refused', {});

const TOO_LARGE = problem('bridge/too-large', {});

/** What is said of a route: whether a page of our own may ask it before it has the token. */
interface RouteConfig {
  readonly open?: boolean;
}

export interface BridgeOptions {
  /** Of the simulated devices. */
  readonly ports?: typeof PORTS;
  /** What is known of printers that do not let everybody in. */
  readonly access?: AccessFile;
  /** The address of the interface whose network is looked through for devices; all of them unless given. */
  readonly network?: string;
}

/**
 * The bridge from the page to the devices in the house, since a browser cannot open sockets. It sends
 * only to addresses that were confirmed since it started, and listens only to pages of its own.
 */
export async function bridge(server: FastifyInstance, options: BridgeOptions): Promise<void> {
  const guard = new Guard();
  const simulated = new SimulatedNetworkDevices();
  const confirmed = new Set<string>();
  /** Work that rests now, by the names that pages gave it. */
  const resting = new Set<string>();
  let atOnce = 0;
  const { ports = PORTS, access = new AccessFile() } = options;
  server.addHook('onClose', () => simulated.stop());
  server.addContentTypeParser(
    PDF_TYPE,
    { parseAs: 'buffer', bodyLimit: MOST_PRINT },
    (_, body, done) => done(null, body),
  );
  server.addHook('onRequest', async (request, reply) => {
    const { open } = request.routeOptions.config as RouteConfig;
    if (open ? !guard.isOwn(request) : !guard.mayPass(request)) return guard.refuse(reply);
    return undefined;
  });
  server.setErrorHandler((error: { statusCode?: number }, _, reply) => {
    const status = error.statusCode ?? 500;
    return reply.code(status).send(status === 413 ? TOO_LARGE : NOT_UNDERSTOOD);
  });

  const isKnown = (kind: string, address: string): boolean => confirmed.has(`${kind} ${address}`);
  const unknown = (reply: FastifyReply): FastifyReply =>
    reply.code(403).send(problem('bridge/not-confirmed', {}));
  const unread = (reply: FastifyReply): FastifyReply => reply.code(400).send(NOT_UNDERSTOOD);

  /** Answers with lines of JSON: how far it is, then what came of it. A page that goes away stops it. */
  async function watched<T>(
    { raw }: FastifyRequest,
    reply: FastifyReply,
    run: (task: Task) => Promise<Result<T>>,
  ): Promise<FastifyReply> {
    if (atOnce >= MOST_AT_ONCE) return reply.code(429).send(problem('bridge/busy', {}));
    atOnce++;
    const out = reply.hijack().raw;
    out.writeHead(200, { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' });
    const say = (line: unknown): unknown => out.write(`${JSON.stringify(line)}\n`);
    const { task, cancel } = watchedTask((share, doing) => say({ share, doing }));
    out.on('close', cancel);
    raw.on('aborted', cancel);
    try {
      say(await run(task));
    } catch (error) {
      if (!(error instanceof Cancelled)) {
        console.error(error);
        say(err('bridge/failed', {}));
      }
    } finally {
      atOnce--;
      out.end();
    }
    return reply;
  }

  server.get('/token', { config: { open: true } satisfies RouteConfig }, () => ({
    token: guard.token,
  }));

  server.post('/devices', { bodyLimit: 2000 }, (request, reply) => {
    const read = deviceSchema.safeParse(request.body);
    if (!read.success) return unread(reply);
    const { kind } = read.data;
    const address = parseAddress(kind, read.data.address);
    if (!address.ok) return address;
    if (confirmed.size >= MOST_DEVICES) confirmed.delete([...confirmed][0] ?? '');
    confirmed.add(`${kind} ${address.value}`);
    return address;
  });

  server.post('/ask', { bodyLimit: 2000 }, async (request, reply) => {
    const read = addressSchema.safeParse(request.body);
    if (!read.success) return unread(reply);
    if (!isKnown('printer', read.data.address)) return unknown(reply);
    return askPrinter(read.data.address, access.of(read.data.address));
  });

  server.post('/find', { bodyLimit: 2000 }, (request, reply) => {
    if (!nothingSchema.safeParse(request.body).success) return unread(reply);
    return watched(request, reply, (task) => findDevices(task, { network: options.network }));
  });

  server.post('/picture', { bodyLimit: 2000 }, async (request, reply) => {
    const read = addressSchema.safeParse(request.body);
    if (!read.success) return unread(reply);
    if (!isKnown('printer', read.data.address)) return unknown(reply);
    const picture = await pictureOf(read.data.address, access.of(read.data.address));
    if (!picture) return reply.code(204).send();
    return reply.type('image/png').send(Buffer.from(picture));
  });

  server.post('/trust', { bodyLimit: 2000 }, (request, reply) => {
    const read = trustSchema.safeParse(request.body);
    if (!read.success) return unread(reply);
    const { address, fingerprint } = read.data;
    if (!isKnown('printer', address)) return unknown(reply);
    access.trust(address, fingerprint);
    return { ok: true };
  });

  server.post('/login', { bodyLimit: 2000 }, (request, reply) => {
    const read = loginSchema.safeParse(request.body);
    if (!read.success) return unread(reply);
    const { address, user, password } = read.data;
    if (!isKnown('printer', address)) return unknown(reply);
    access.logIn(address, user ? { user, password } : undefined);
    return { ok: true };
  });

  server.post('/print', { bodyLimit: MOST_PRINT }, async (request, reply) => {
    const read = printOrderSchema.safeParse(request.query);
    const pdf = request.body;
    if (!read.success || !Buffer.isBuffer(pdf) || pdf.subarray(0, 5).toString() !== '%PDF-')
      return unread(reply);
    const { address, name, ...settings } = read.data;
    if (!isKnown('printer', address)) return unknown(reply);
    const order = { pdf: new Uint8Array(pdf), name, settings, patience: PATIENCE };
    return watched(request, reply, (task) =>
      printOverIpp(address, order, task, access.of(address)),
    );
  });

  server.post('/cut', { bodyLimit: MOST_CUT }, async (request, reply) => {
    const read = cutOrderSchema.safeParse(request.body);
    if (!read.success) return unread(reply);
    const { address, work, ...order } = read.data;
    if (!isKnown('cutter', address)) return unknown(reply);
    const isPaused = (): boolean => work !== undefined && resting.has(work);
    return watched(request, reply, (task) =>
      cutOn(address, { ...order, isPaused }, task).finally(() => resting.delete(work ?? '')),
    );
  });

  server.post('/rest', { bodyLimit: 2000 }, (request, reply) => {
    const read = restSchema.safeParse(request.body);
    if (!read.success) return unread(reply);
    const { work, rests } = read.data;
    if (rests && resting.size < MOST_AT_ONCE) resting.add(work);
    else resting.delete(work);
    return { ok: true };
  });

  server.get('/ports', async () => ({ ports: await listPorts() }));

  server.post('/hello', { bodyLimit: 2000 }, async (request, reply) => {
    const read = helloSchema.safeParse(request.body);
    if (!read.success) return unread(reply);
    const { address, line } = read.data;
    if (!isKnown('cutter', address)) return unknown(reply);
    return helloCutter(address, line);
  });

  server.get('/simulated', () => simulated.tell());
  server.post('/simulated', { bodyLimit: 2000 }, async (request, reply) => {
    const faults = faultsSchema.strict().safeParse(request.body ?? {});
    if (!faults.success) return unread(reply);
    await simulated.start(ports);
    simulated.apply(faults.data);
    return simulated.tell();
  });
  server.get<{ Params: { job: string; page: string } }>(
    '/simulated/prints/:job/:page',
    (request, reply) => {
      const { job, page } = request.params;
      const png = simulated.page(Number(job), Number(page));
      return png ? reply.type('image/png').send(Buffer.from(png)) : reply.code(404).send();
    },
  );
  server.get<{ Params: { cut: string } }>('/simulated/cuts/:cut', async (request, reply) => {
    const png = await simulated.cut(Number(request.params.cut));
    return png ? reply.type('image/png').send(Buffer.from(png)) : reply.code(404).send();
  });
  await Promise.resolve();
}

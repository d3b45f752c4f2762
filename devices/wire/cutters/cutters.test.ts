import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { unwatched, watchedTask } from '../../../core/base/index.ts';
import type { CutProgram } from '../../../core/output/index.ts';
import { programText } from '../../../core/output/index.ts';
import { USUAL_PROFILE } from '../../../core/stock/index.ts';
import { problemText } from '../../../messages/index.ts';
import { SimulatedNetworkCutter } from '../stand-ins/simulated-network-cutter.ts';
import { cutOn, helloCutter, listPorts } from './index.ts';
import { sendable } from './send-program.ts';

const ended: (() => unknown)[] = [];
afterEach(async () => {
  for (const end of ended.splice(0).reverse()) await end();
});
const pause = (ms: number): Promise<void> => new Promise((go) => setTimeout(go, ms));
const { line } = USUAL_PROFILE;

/** So many squares, of about 60 bytes each. */
const squares = (count: number): CutProgram => ({
  start: 'IN;\nPA;\n',
  cuts: Array.from(
    { length: count },
    (_, at) => `PU${at},10;PD${at},400,${at + 400},400,${at + 400},10,${at},10;\n`,
  ),
  end: 'PU0,0;SP0;\n',
  stop: ';PU;PU0,0;SP0;\n',
});

/** A device that a test plays: what came, and a way to say something. */
interface Played {
  readonly address: string;
  came(): string;
  say(text: string): void;
  /** Pulls the cable out. */
  pull(): Promise<void>;
}

async function listening(onSocket: (socket: Socket) => void): Promise<number> {
  const server: Server = createServer(onSocket);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  ended.push(() => server.close());
  return (server.address() as AddressInfo).port;
}

/** A device on a socket; with `serial` behind a pseudo-terminal, as a serial port is. */
async function device(
  { serial = false }: { serial?: boolean },
  heard: (part: string, say: (text: string) => void) => void = () => undefined,
): Promise<Played> {
  let came = '';
  let socket: Socket | undefined;
  const say = (text: string): void => void socket?.write(Buffer.from(text, 'latin1'));
  const port = await listening((opened) => {
    socket = opened;
    opened.on('error', () => undefined);
    opened.on('data', (part: Buffer) => {
      came += part.toString('latin1');
      heard(part.toString('latin1'), say);
    });
    ended.push(() => opened.destroy());
  });
  const played = { came: () => came, say };
  if (!serial)
    return {
      ...played,
      address: `tcp://127.0.0.1:${port}`,
      pull: async () => void socket?.resetAndDestroy(),
    };
  const socat = spawn('socat', ['-d', '-d', 'pty,raw,echo=0', `tcp:127.0.0.1:${port}`]);
  ended.push(() => socat.kill());
  const path = await new Promise<string>((done) => {
    let said = '';
    socat.stderr.on('data', (part: Buffer) => {
      said += part.toString();
      const found = /PTY is (\S+)/.exec(said);
      if (found?.[1] && said.includes('starting data transfer')) done(found[1]);
    });
  });
  return { ...played, address: `serial:${path}`, pull: () => killed(socat) };
}

const killed = (child: ChildProcess): Promise<void> =>
  new Promise((done) => {
    child.on('exit', () => done());
    child.kill('SIGKILL');
  });

/** Waits until something is so. */
async function until(isSo: () => boolean, ms = 20_000): Promise<void> {
  for (let waited = 0; !isSo(); waited += 10) {
    if (waited > ms) throw new Error('it never was');
    await pause(10);
  }
}

test('what may be the last that is sent never ends within a number or a point', () => {
  const { cuts } = squares(3);
  const chunks = sendable(`${cuts.join('')}VS10;FS80;PU;`);
  expect(chunks.join('')).toBe(`${cuts.join('')}VS10;FS80;PU;`);
  expect(Math.max(...chunks.map(({ length }) => length))).toBeLessThanOrEqual(64);
  for (const chunk of chunks) expect(chunk).toMatch(/(;|\n|(^|\n|;),?[A-Z]*\d+,\d+(,\d+,\d+)*)$/);
  const long = `PD${Array.from({ length: 80 }, (_, at) => `${at},${at}`).join(',')};\n`;
  let before = '';
  for (const chunk of sendable(long)) {
    before += chunk;
    const numbers = before.match(/\d+/g) ?? [];
    expect(numbers.length % 2).toBe(0);
    expect(numbers[numbers.length - 1]).toBe(numbers[numbers.length - 2]);
  }
  expect(before).toBe(long);
});

test('a program reaches a cutter on the network byte for byte; a lost one is told with where to go on', async () => {
  const cutter = new SimulatedNetworkCutter();
  await cutter.listen(0);
  ended.push(() => cutter.close());
  const program = squares(1500);
  expect(await cutOn(cutter.address, { program }, unwatched)).toEqual({
    ok: true,
    value: undefined,
  });
  expect(cutter.done).toEqual([{ hpgl: programText(program), torn: false }]);
  cutter.losesAfter = 20_000;
  const lost = await cutOn(cutter.address, { program, done: 7 }, watchedTask(() => undefined).task);
  if (lost.ok || lost.problem.code !== 'cutter/lost') throw new Error(JSON.stringify(lost));
  expect(lost.problem.values).toMatchObject({ of: 1507 });
  const { from } = lost.problem.values as { from: number };
  expect(from).toBeGreaterThanOrEqual(8);
  expect(problemText(lost.problem).remedy).toContain(`go on from cut ${from}`);
  const { address } = cutter;
  await ended.pop()?.();
  expect(await cutOn(address, { program }, unwatched)).toMatchObject({
    problem: { code: 'cutter/unreachable' },
  });
});

test('on a serial port that takes 960 bytes a second, stops it and stalls, every byte comes once and in order', async () => {
  let [filled, stopped, stalled] = [0, false, false];
  const played = await device({ serial: true }, (part, say) => {
    filled += part.length;
    if (stopped || filled < 300) return;
    stopped = true;
    say('\x13'); // XOFF
    const stall = played.came().length > 1200 && !stalled;
    stalled ||= stall;
    setTimeout(
      () => {
        filled = 0;
        stopped = false;
        say('\x11'); // XON
      },
      stall ? 5000 : 320,
    );
  });
  const program = squares(80);
  const length = programText(program).length;
  const began = Date.now();
  const cuts: number[] = [];
  const { task } = watchedTask((_, doing) => {
    if (doing.code === 'sending-cut') cuts.push(doing.values.cut);
  });
  expect(await cutOn(played.address, { program }, task)).toMatchObject({ ok: true });
  const seconds = (Date.now() - began) / 1000;
  await until(() => played.came().length >= length);
  expect(played.came()).toBe(programText(program));
  expect(stalled).toBe(true);
  // The stall, and the time that the wire takes.
  expect(seconds).toBeGreaterThan(4.5 + (length - 400) / 960);
  expect([...new Set(cuts)]).toEqual(Array.from({ length: 80 }, (_, at) => at + 1));
}, 60_000);

test('after a cancel at most 250 bytes more come on a serial port, the last of them pen up', async () => {
  const played = await device({ serial: true });
  const { task, cancel } = watchedTask(() => undefined);
  const work = cutOn(played.address, { program: squares(200) }, task);
  work.catch(() => undefined); // heard below
  await until(() => played.came().length > 1000);
  const before = played.came().length;
  cancel();
  await expect(work).rejects.toThrow('Cancelled');
  await pause(500);
  const came = played.came();
  expect(came.length - before).toBeLessThanOrEqual(250);
  expect(came).toMatch(/;PU;PU0,0;SP0;\n$/);
  // What came before the pen was lifted is what was asked for.
  expect(programText(squares(200)).startsWith(came.slice(0, -';PU;PU0,0;SP0;\n'.length))).toBe(
    true,
  );
}, 30_000);

test('a cutter that rests has its tool lifted, and goes on where it was', async () => {
  const played = await device({ serial: true });
  let rests = false;
  const program = squares(30);
  const work = cutOn(
    played.address,
    { program, isPaused: () => rests },
    watchedTask(() => undefined).task,
  );
  await until(() => played.came().length > 400);
  rests = true;
  await pause(400);
  const at = played.came();
  await pause(400);
  expect(played.came()).toBe(at);
  expect(at.endsWith(';\n')).toBe(true);
  rests = false;
  expect(await work).toMatchObject({ ok: true });
  await until(() => played.came().length === programText(program).length);
  expect(played.came()).toBe(programText(program));
}, 30_000);

test('a cable that is pulled out half-way is told with the cut to go on from, the cutter’s own store taken off', async () => {
  const played = await device({ serial: true });
  const program = squares(100);
  const settings = { line, buffer: 300 };
  const work = cutOn(
    played.address,
    { program, line: settings },
    watchedTask(() => undefined).task,
  );
  await until(() => played.came().length > 2000);
  await played.pull();
  const lost = await work;
  if (lost.ok || lost.problem.code !== 'cutter/lost') throw new Error(JSON.stringify(lost));
  const { from } = lost.problem.values as { from: number };
  const whole = played.came().split('\n').length - 3;
  // No later than what has come less what the cutter may still hold.
  expect(from).toBeLessThanOrEqual(whole + 1);
  expect(from).toBeGreaterThan(whole - 20);
}, 30_000);

test('G-code waits for its answers; a machine that refuses a line is lifted and quoted', async () => {
  const gcode: CutProgram = {
    start: 'G21\nG90\nM5\n',
    cuts: Array.from({ length: 40 }, (_, at) => `G0 X${at} Y0\nM3\nG1 X${at} Y9 F600\nM5\n`),
    end: 'M5\nG0 X0 Y0\n',
    stop: '\nM5\nG0 X0 Y0\nM5\n',
  };
  let [held, most, refuses] = [0, 0, false];
  const played = await device({}, (part, say) => {
    held += part.length;
    most = Math.max(most, held);
    const lines = part.match(/\n/g)?.length ?? 0;
    setTimeout(() => {
      held -= part.length;
      const asks = refuses && played.came().includes('X20 Y9');
      say(asks ? 'error:9\r\n' : 'ok\r\n'.repeat(lines));
    }, 3);
  });
  const settings = { line, buffer: 128, answers: true };
  expect(await cutOn(played.address, { program: gcode, line: settings }, unwatched)).toMatchObject({
    ok: true,
  });
  expect(played.came()).toBe(programText(gcode));
  expect(most).toBeLessThanOrEqual(128);
  refuses = true;
  const again = await device({}, (part, say) => {
    const lines = part.match(/\n/g)?.length ?? 0;
    say(part.includes('X20 Y9') ? 'error:9\r\n' : 'ok\r\n'.repeat(lines));
  });
  const refused = await cutOn(again.address, { program: gcode, line: settings }, unwatched);
  expect(refused).toMatchObject({ problem: { code: 'cutter/says', values: { says: 'error:9' } } });
  await until(() => again.came().endsWith('\nM5\nG0 X0 Y0\nM5\n'));
  expect(again.came()).not.toContain('X39');
});

test('hello is said to a cutter that answers, and to one that does not', async () => {
  const played = await device({ serial: true }, (part, say) => {
    if (part === 'OI;') say('Bench 24\r');
    if (part === 'OA;') say('120,40,0\r');
  });
  expect(await helloCutter(played.address)).toEqual({
    ok: true,
    value: { identity: 'Bench 24', position: '120,40,0' },
  });
  const silent = await device({});
  expect(await helloCutter(silent.address)).toEqual({ ok: true, value: {} });
});

test('a port that is not there is told, with what to do; ports are listed without failing', async () => {
  const missing = await cutOn('serial:/dev/ttyPEEL9', { program: squares(1) }, unwatched);
  expect(missing).toMatchObject({
    problem: { code: 'cutter/port', values: { because: 'no-port' } },
  });
  if (!missing.ok) expect(problemText(missing.problem).remedy).toContain('Plug the cutter in');
  expect(Array.isArray(await listPorts())).toBe(true);
});

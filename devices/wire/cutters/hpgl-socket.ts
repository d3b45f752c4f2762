import { connect } from 'node:net';
import { doing, err, ok, type Result, type Task } from '../../../core/base/index.ts';

const CONNECT = 10_000; // ms
const SILENT = 120_000; // ms in which a cutter takes nothing more
const LAST_WORD = 1500; // ms
const SLICE = 4096; // bytes

/**
 * Sends HPGL to a cutter that listens on a TCP port, byte for byte, as fast as it takes it. A lost
 * connection is told with how much had gone.
 */
export async function cutOverTcp(address: string, hpgl: string, task: Task): Promise<Result<void>> {
  const { hostname, port } = new URL(address);
  const bytes = Buffer.from(hpgl, 'latin1');
  task.progress(0, doing('connecting', {}));
  const socket = connect({ host: hostname.replace(/^\[|\]$/g, ''), port: Number(port) });
  // What the cutter says is let go by, so that it never waits for us to listen.
  socket.resume();
  let sent = 0;
  const lost = new Promise<never>((_, failed) => {
    socket.once('error', failed);
    socket.once('close', () => failed(new Error('closed')));
  });
  let broken: Error | undefined;
  socket.on('error', (error) => (broken = error));
  lost.catch(() => undefined); // heard by whoever waits
  const step = (run: (done: () => void) => void): Promise<void> =>
    Promise.race([new Promise<void>(run), lost]);
  try {
    socket.setTimeout(CONNECT, () => socket.destroy(new Error('silent')));
    await step((done) => socket.once('connect', done));
    socket.setTimeout(SILENT);
    for (; sent < bytes.length; sent += SLICE) {
      task.progress(sent / bytes.length, doing('sending-cuts', {}));
      await task.yieldNow();
      const part = bytes.subarray(sent, sent + SLICE);
      await step((done) => socket.write(part, (error) => (error ? undefined : done())));
    }
    await step((done) => socket.end(done));
    // A cutter that is lost now says so; one that only keeps the line open is not waited for.
    await new Promise<void>((done) => {
      if (socket.closed) done();
      socket.once('close', () => done());
      setTimeout(done, LAST_WORD).unref();
    });
    if (broken) throw broken;
    socket.destroy();
    task.progress(1, doing('cutting', {}));
    return ok(undefined);
  } catch (error) {
    socket.destroy();
    if (error instanceof Error && error.name === 'Cancelled') throw error;
    return sent > 0
      ? err('cutter/lost', { share: Math.min(1, sent / bytes.length) })
      : err('cutter/unreachable', { address });
  }
}

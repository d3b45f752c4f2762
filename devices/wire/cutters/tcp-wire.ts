import { connect } from 'node:net';
import { err, ok, type Result } from '../../../core/base/index.ts';
import type { CutterWire } from './cutter-wire.ts';

const CONNECT = 10_000; // ms
const LAST_WORD = 1500; // ms

/** Opens a connection to a cutter that listens on a TCP port. */
export function openTcp(address: string): Promise<Result<CutterWire>> {
  const { hostname, port } = new URL(address);
  const socket = connect({ host: hostname.replace(/^\[|\]$/g, ''), port: Number(port) });
  let broken: Error | undefined;
  socket.on('error', (error) => (broken = error));
  const lost = new Promise<never>((_, failed) => {
    socket.once('close', () => failed(broken ?? new Error('closed')));
  });
  lost.catch(() => undefined); // heard by whoever waits
  const step = (run: (done: () => void) => void): Promise<void> =>
    Promise.race([new Promise<void>(run), lost]);
  const wire: CutterWire = {
    write: (bytes) => step((done) => socket.write(bytes, (error) => (error ? undefined : done()))),
    hear: (heard) => socket.on('data', (part: Buffer) => heard(part.toString('latin1'))),
    async end() {
      await step((done) => socket.end(done));
      // A cutter that is lost now says so; one that only keeps the line open is not waited for.
      await new Promise<void>((done) => {
        if (socket.closed) done();
        socket.once('close', () => done());
        setTimeout(done, LAST_WORD).unref();
      });
      if (broken) throw broken;
    },
    destroy: () => socket.destroy(),
  };
  socket.setTimeout(CONNECT, () => socket.destroy(new Error('silent')));
  // What the cutter says is let go by where nobody hears it, so that it never waits for us.
  socket.resume();
  return step((done) => socket.once('connect', done)).then(
    () => {
      socket.setTimeout(0);
      return ok(wire);
    },
    () => err('cutter/unreachable', { address }),
  );
}

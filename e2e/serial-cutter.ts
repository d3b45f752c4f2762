import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';

/** A cutter on a serial port: a pseudo-terminal whose other end is here, and what came to it. */
export async function serialCutter(): Promise<{
  port: string;
  came(): string;
  answer(to: string, says: string): void;
  end(): void;
}> {
  let came = '';
  const answers = new Map<string, string>();
  const server = createServer((socket) => {
    socket.on('error', () => undefined);
    socket.on('data', (part: Buffer) => {
      came += part.toString('latin1');
      const says = answers.get(part.toString('latin1'));
      if (says) socket.write(says);
    });
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  const socat: ChildProcess = spawn('socat', [
    '-d',
    '-d',
    'pty,raw,echo=0',
    `tcp:127.0.0.1:${port}`,
  ]);
  const path = await new Promise<string>((done) => {
    let said = '';
    socat.stderr?.on('data', (part: Buffer) => {
      said += part.toString();
      const found = /PTY is (\S+)/.exec(said);
      if (found?.[1] && said.includes('starting data transfer')) done(found[1]);
    });
  });
  return {
    port: path,
    came: () => came,
    answer: (to, says) => answers.set(to, says),
    end: () => {
      socat.kill();
      server.close();
    },
  };
}

import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { isGcode } from '../../simulated/index.ts';
import { listenHere } from '../listen.ts';

const NEW_LINE = 10;
const BEGINNING = 80; // bytes in which a language shows
const MOST_BYTES = 32e6;
const MOST_JOBS = 20;
const SILENT = 60_000; // ms

/** What a cutter was sent. */
export interface NetworkCut {
  readonly hpgl: string;
  /** Whether the connection ended before everything was there. */
  readonly torn: boolean;
}

/** A cutter that exists only in the computer and takes HPGL or G-code on a TCP port of this computer. */
export class SimulatedNetworkCutter {
  /** Of what it is sent, the bytes after which it loses the connection. */
  losesAfter: number | undefined;
  private readonly cuts: NetworkCut[] = [];
  private readonly server: Server;
  private readonly heard: (cut: NetworkCut) => void;
  private readonly open = new Set<Socket>();

  /** @param heard told of each cut */
  constructor(heard: (cut: NetworkCut) => void = () => undefined) {
    this.heard = heard;
    this.server = createServer((socket) => this.take(socket));
    this.server.maxConnections = 4;
  }

  /** Begins to listen, to this computer alone; 0 takes a free port. */
  listen(port: number): Promise<number> {
    return listenHere(this.server, port);
  }

  close(): Promise<void> {
    for (const socket of this.open) socket.destroy();
    return new Promise((done) => this.server.close(() => done()));
  }

  get address(): string {
    return `tcp://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  /** What it was sent, the latest first. */
  get done(): NetworkCut[] {
    return [...this.cuts].reverse();
  }

  private take(socket: Socket): void {
    this.open.add(socket);
    const parts: Buffer[] = [];
    let size = 0;
    const keep = (torn: boolean): void => {
      if (!this.open.delete(socket) || size === 0) return;
      const cut = { hpgl: Buffer.concat(parts).toString('latin1'), torn };
      this.cuts.push(cut);
      this.heard(cut);
      if (this.cuts.length > MOST_JOBS) this.cuts.shift();
    };
    socket.setTimeout(SILENT, () => socket.destroy());
    socket.on('data', (part: Buffer) => {
      parts.push(part);
      size += part.length;
      // Machines that take G-code say of each line that they have it.
      if (isGcode((parts[0] ?? part).toString('latin1', 0, BEGINNING)))
        socket.write('ok\r\n'.repeat(part.filter((byte) => byte === NEW_LINE).length));
      if (size > MOST_BYTES || (this.losesAfter !== undefined && size > this.losesAfter)) {
        keep(true);
        socket.resetAndDestroy();
      }
    });
    socket.on('end', () => {
      keep(false);
      socket.end();
    });
    socket.on('error', () => keep(true));
    socket.on('close', () => keep(true));
  }
}

import type { AddressInfo, Server } from 'node:net';

/** Lets a server listen to this computer alone, and gives its port; 0 takes a free one. */
export function listenHere(server: Server, port: number): Promise<number> {
  return new Promise((done, failed) => {
    server.once('error', failed);
    server.listen(port, '127.0.0.1', () => {
      server.removeListener('error', failed);
      done((server.address() as AddressInfo).port);
    });
  });
}

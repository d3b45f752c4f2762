import { lookup } from 'node:dns/promises';
import { BlockList, isIP } from 'node:net';
import { networkInterfaces } from 'node:os';
import openMulticast from 'multicast-dns';
import { doing, err, ok, type Result, type Task } from '../../../core/base/index.ts';
import type { FoundDevice } from '../../protocol/index.ts';
import { Announced, WHO } from './announced.ts';

const LISTENS = 3000; // ms
const ASKS_AGAIN = [0, 700, 1600]; // ms
const LOOK = 50; // ms between looks at whether to go on
const NAME_WITHIN = 1000; // ms that a name has to lead to its address

/** Where is looked. */
export interface Search {
  /** The address of the interface whose network is looked through; all of them unless given. */
  readonly network?: string | undefined;
  /** Of multicast DNS; 5353 unless given. */
  readonly port?: number;
}

/**
 * Looks for the printers and socket cutters that announce themselves in the networks of this computer
 * (DNS-SD over multicast DNS). Only the network is asked; nothing is sent to a device.
 */
export async function findDevices(
  task: Task,
  { network, port }: Search = {},
): Promise<Result<FoundDevice[]>> {
  const announced = new Announced();
  const line = openMulticast({
    ...(network ? { interface: network, bind: '0.0.0.0' } : {}),
    ...(port ? { port } : {}),
  });
  let failed = false;
  line.on('error', () => (failed = true));
  line.on('warning', () => undefined); // what is no message is passed over
  line.on('response', ({ answers, additionals }) => announced.hear([...answers, ...additionals]));
  const began = Date.now();
  let asked = 0;
  try {
    for (let now = 0; now < LISTENS && !failed; now = Date.now() - began) {
      if (now >= (ASKS_AGAIN[asked] ?? Infinity)) {
        line.query({ questions: [...(asked === 0 ? WHO : [...WHO, ...announced.missing])] });
        asked++;
      }
      task.progress(now / LISTENS, doing('finding-devices', {}));
      await new Promise((go) => setTimeout(go, LOOK));
      await task.yieldNow();
    }
  } finally {
    line.destroy();
  }
  if (failed) return err('device/not-heard', {});
  const near = nets(network);
  const reached = new Map<string, string>();
  await Promise.all(
    [...announced.hostsMet].map(async ([name, all]) => {
      const addresses = all.filter((one) => near.check(one, isIP(one) === 6 ? 'ipv6' : 'ipv4'));
      const [first] = [...addresses].sort((one, other) => isIP(one) - isIP(other));
      if (first === undefined) return;
      const bare = isIP(first) === 6 ? `[${first}]` : first;
      reached.set(name, (await leadsTo(name, addresses)) ? name : bare);
    }),
  );
  return ok(announced.devices(reached));
}

/** The networks that this computer is in: nothing beyond them is found. */
function nets(within?: string): BlockList {
  const near = new BlockList();
  for (const { address, cidr, family, internal } of Object.values(networkInterfaces()).flat() as {
    address: string;
    cidr: string | null;
    family: 'IPv4' | 'IPv6';
    internal: boolean;
  }[]) {
    if (within ? address !== within : internal) continue;
    const prefix = Number(cidr?.split('/')[1]);
    // The same name as this one's is not one that a device may announce.
    if (prefix > 0) near.addSubnet(address, prefix, family === 'IPv6' ? 'ipv6' : 'ipv4');
  }
  return near;
}

/** Whether this computer itself finds a name at one of the addresses: names stay when addresses change. */
async function leadsTo(name: string, addresses: readonly string[]): Promise<boolean> {
  const found = lookup(name).then(
    ({ address }) => addresses.includes(address),
    () => false,
  );
  const late = new Promise<boolean>((done) => setTimeout(() => done(false), NAME_WITHIN).unref());
  return Promise.race([found, late]);
}

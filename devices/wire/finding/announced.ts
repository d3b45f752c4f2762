import type { FoundDevice } from '../../protocol/index.ts';
import { parseAddress } from '../address.ts';

/** A record of a DNS message (RFC 1035), as far as devices announce themselves by it. */
export interface DnsRecord {
  readonly name: string;
  readonly type: string;
  readonly data?: unknown;
}
/** What is still to be asked for. */
export interface DnsQuestion {
  readonly name: string;
  readonly type: 'PTR' | 'SRV' | 'TXT' | 'A';
}

/** The services that are looked for: printing over IPP, also over TLS, and plain data on a socket. */
const SERVICES = {
  ipp: '_ipp._tcp.local',
  ipps: '_ipps._tcp.local',
  socket: '_pdl-datastream._tcp.local',
} as const;
type Service = keyof typeof SERVICES;

/** Asks who offers any of the services. */
export const WHO: readonly DnsQuestion[] = Object.values(SERVICES).map((name) => ({
  name,
  type: 'PTR',
}));

const MOST = 200; // devices, and hosts
const LONGEST_ADDRESS = 300;
const LONGEST = 120; // letters of what a device says of itself
/** What a cutter says that it takes. */
const CUTS = /hp-?gl|g-?code/i;

interface Announcement {
  readonly service: Service;
  /** The name without that of the service. */
  readonly name: string;
  at?: { readonly host: string; readonly port: number };
  says?: ReadonlyMap<string, string>;
}

/**
 * Devices as they announce themselves by DNS-SD over multicast DNS (RFC 6762, 6763), gathered from the
 * messages that come. What is no announcement is passed over.
 */
export class Announced {
  private readonly instances = new Map<string, Announcement>();
  private readonly hosts = new Map<string, string[]>();

  /** Takes in the records of a message. */
  hear(records: readonly DnsRecord[]): void {
    // Who there is comes first: the rest is about it.
    for (const { type, name, data } of records)
      if (type === 'PTR' && typeof data === 'string') this.meet(name, data);
    for (const { type, name, data } of records) {
      const one = this.instances.get(name.toLowerCase());
      if (type === 'SRV' && one) one.at = placeIn(data) ?? one.at;
      else if (type === 'TXT' && one) one.says = wordsIn(data);
      else if ((type === 'A' || type === 'AAAA') && typeof data === 'string')
        this.settle(name, data);
    }
  }

  /** What has to be asked for before the devices that were met are known. */
  get missing(): DnsQuestion[] {
    return [...this.instances].flatMap(([name, { at, says }]): DnsQuestion[] => [
      ...(at ? [] : [{ name, type: 'SRV' } as const]),
      ...(says ? [] : [{ name, type: 'TXT' } as const]),
      ...(at && !this.hosts.has(at.host.toLowerCase())
        ? [{ name: at.host, type: 'A' } as const]
        : []),
    ]);
  }

  /** The hosts of the devices that were met, each with its addresses. */
  get hostsMet(): ReadonlyMap<string, readonly string[]> {
    const names = [...this.instances.values()].flatMap(({ at }) => at?.host ?? []);
    return new Map(names.map((name) => [name, this.hosts.get(name.toLowerCase()) ?? []]));
  }

  /**
   * The devices that are known, by name.
   * @param reached how hosts are reached, by their names; those of others are left out
   */
  devices(reached: ReadonlyMap<string, string>): FoundDevice[] {
    const known = [...this.instances.values()].flatMap((one) => {
      const host = one.at && reached.get(one.at.host);
      return host !== undefined && one.at ? [{ ...one, host, port: one.at.port }] : [];
    });
    const printers = known.filter(({ service }) => service !== 'socket');
    const found = known.flatMap((one): FoundDevice[] => {
      const { service, name, host, port, says = new Map<string, string>() } = one;
      const twin = printers.find(
        (other) => other.service !== service && other.name === name && other.host === host,
      );
      const about = {
        name,
        ...saidIn('model', says.get('ty')),
        ...saidIn('place', says.get('note')),
      };
      if (service === 'socket') {
        const takes = says.get('pdl') ?? '';
        // What prints over IPP is no cutter because it takes plain data as well.
        const prints = printers.some((other) => other.host === host);
        if (prints ? !CUTS.test(takes) : takes && !CUTS.test(takes)) return [];
        return [{ kind: 'cutter', ...about, address: `tcp://${host}:${port}` }];
      }
      if (service === 'ipps' && twin) return []; // told with the other
      const path = (of: Announcement): string => (of.says?.get('rp') ?? '').replace(/^\/+/, '');
      const at = (scheme: 'ipp' | 'ipps', of: typeof one): string =>
        `${scheme}://${of.host}:${of.port}/${path(of)}`;
      return [
        {
          kind: 'printer',
          ...about,
          address: at(service, one),
          ...(twin ? { secure: at('ipps', twin) } : {}),
          ...yesOrNo('color', says.get('Color')),
          ...yesOrNo('duplex', says.get('Duplex')),
          ...(says.has('pdl') ? { takesPdf: /application\/pdf/i.test(says.get('pdl') ?? '') } : {}),
        },
      ];
    });
    return found.flatMap(sendable).sort((one, other) => one.name.localeCompare(other.name));
  }

  private meet(service: string, instance: string): void {
    const found = Object.entries(SERVICES).find(([, name]) => name === service.toLowerCase());
    const key = instance.toLowerCase();
    if (!found || !key.endsWith(`.${found[1]}`) || this.instances.has(key)) return;
    if (this.instances.size >= MOST) return;
    const name = plain(instance.slice(0, -found[1].length - 1));
    if (name) this.instances.set(key, { service: found[0] as Service, name });
  }

  private settle(host: string, address: string): void {
    const key = host.toLowerCase();
    const known = this.hosts.get(key) ?? [];
    if (known.includes(address) || known.length > 8) return;
    if (known.length > 0 || this.hosts.size < MOST) this.hosts.set(key, [...known, address]);
  }
}

/** A device with its addresses as they are written in full; none where that cannot be sent to. */
function sendable({ secure, ...device }: FoundDevice): FoundDevice[] {
  const whole = (address = ''): string | undefined => {
    const read = parseAddress(device.kind, address);
    return read.ok && read.value.length <= LONGEST_ADDRESS ? read.value : undefined;
  };
  const [address, overTls] = [whole(device.address), whole(secure)];
  if (address === undefined) return [];
  return [{ ...device, address, ...(overTls === undefined ? {} : { secure: overTls }) }];
}

/** What a device says of itself, without what would move or hide on a screen. */
const plain = (text: string): string =>
  text
    .replace(/[\p{Cc}\p{Cf}\p{Zl}\p{Zp}]/gu, ' ')
    .trim()
    .slice(0, LONGEST);

function saidIn<K extends string>(name: K, text = ''): Partial<Record<K, string>> {
  const says = plain(text);
  return (says ? { [name]: says } : {}) as Partial<Record<K, string>>;
}

const yesOrNo = <K extends string>(name: K, says = ''): Partial<Record<K, boolean>> =>
  (/^[TF]$/i.test(says) ? { [name]: /t/i.test(says) } : {}) as Partial<Record<K, boolean>>;

function placeIn(data: unknown): Announcement['at'] {
  if (typeof data !== 'object' || data === null) return undefined;
  const { target, port } = data as { target?: unknown; port?: unknown };
  if (typeof target !== 'string' || typeof port !== 'number' || port < 1) return undefined;
  return /^[\w.-]{1,250}$/.test(target) ? { host: target, port } : undefined;
}

/** The words of a TXT record (RFC 6763, 6): the first of each name counts. */
function wordsIn(data: unknown): ReadonlyMap<string, string> {
  const words = new Map<string, string>();
  for (const part of Array.isArray(data) ? (data as unknown[]) : [data]) {
    const text = part instanceof Uint8Array ? new TextDecoder().decode(part) : '';
    const [, name = '', value = ''] = /^([^=]+)=(.*)$/s.exec(text) ?? [];
    if (name && !words.has(name)) words.set(name, value);
  }
  return words;
}

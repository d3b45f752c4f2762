import { readFileSync } from 'node:fs';
import { decode } from 'dns-packet';
import openMulticast, { type MulticastDNS } from 'multicast-dns';

/**
 * Announces a printer and a cutter in the network of this computer alone, in the messages that were
 * recorded of others.
 * @param ports where they are, by a part of the name of their service
 */
export function announce(ports: Readonly<Record<string, number>>): MulticastDNS {
  const recorded = readFileSync('devices/wire/finding/recorded/announcements.hex', 'utf8');
  const records = recorded
    .trim()
    .split('\n')
    .map((line) => decode(Buffer.from(line, 'hex')))
    .flatMap(({ answers = [], additionals = [] }) => [...answers, ...additionals])
    .map((record) => {
      const [, port] = Object.entries(ports).find(([kind]) => record.name.includes(kind)) ?? [];
      return record.type === 'SRV' && port ? { ...record, data: { ...record.data, port } } : record;
    });
  const line = openMulticast({ interface: '127.0.0.1', bind: '0.0.0.0' });
  line.on('query', () => line.respond({ answers: records as never }));
  return line;
}

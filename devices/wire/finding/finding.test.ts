import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { decode } from 'dns-packet';
import openMulticast, { type MulticastDNS } from 'multicast-dns';
import { Cancelled, seededRandom, unwatched, watchedTask } from '../../../core/base/index.ts';
import { doingText } from '../../../messages/index.ts';
import { Announced, type DnsRecord } from './announced.ts';
import { findDevices } from './find-devices.ts';

// Recorded on a loopback line: a cutter as Debian's avahi announces it, and Debian's ippeveprinter.
const recorded = readFileSync(join('devices/wire/finding/recorded/announcements.hex'), 'utf8')
  .trim()
  .split('\n')
  .map((line) => Buffer.from(line, 'hex'));
const recordsIn = (packet: Buffer): DnsRecord[] => {
  const { answers = [], additionals = [] } = decode(packet);
  return [...answers, ...additionals] as DnsRecord[];
};
/** A network that nobody else in this computer hears. */
const HERE_ALONE = { network: '127.0.0.1', port: 45353 };
const HERE = new Map([['potting-shed.local', '127.0.0.1']]);
const CUTTER = {
  kind: 'cutter',
  name: 'Bench cutter & plotter, “Wall”',
  model: 'Bench cutter 24',
  place: 'Workshop, by the window',
  address: 'tcp://127.0.0.1:9100',
};
const PRINTER = {
  kind: 'printer',
  name: 'Bench printer',
  model: 'Bench printer 2',
  place: 'Potting bench',
  address: 'ipp://127.0.0.1:8771/ipp/print',
  secure: 'ipps://127.0.0.1:8771/ipp/print',
  color: false,
  duplex: false,
  takesPdf: true,
};

const open: MulticastDNS[] = [];
afterEach(() => open.splice(0).forEach((line) => line.destroy()));

/** Answers questions in the network of this computer alone. */
function responder(answer: (line: MulticastDNS, names: readonly string[]) => void): MulticastDNS {
  const line = openMulticast({ interface: '127.0.0.1', bind: '0.0.0.0', port: HERE_ALONE.port });
  line.on('query', ({ questions }) =>
    answer(
      line,
      (questions ?? []).map(({ name }) => name),
    ),
  );
  open.push(line);
  return line;
}

test('devices that announce themselves are told with what they say, in any order of the messages', () => {
  for (const packets of [recorded, [...recorded].reverse()]) {
    const announced = new Announced();
    for (const packet of packets) announced.hear(recordsIn(packet));
    expect(announced.missing).toEqual([]);
    expect(announced.devices(HERE)).toEqual([CUTTER, PRINTER]);
    expect(announced.devices(new Map())).toEqual([]);
  }
});

test('what is missing is asked for; a device is told when it is known', () => {
  const announced = new Announced();
  const all = recorded.flatMap(recordsIn);
  announced.hear(all.filter(({ type }) => type === 'PTR'));
  expect(announced.devices(HERE)).toEqual([]);
  const name = 'bench printer._ipp._tcp.local';
  expect(announced.missing).toContainEqual({ name, type: 'SRV' });
  expect(announced.missing).toContainEqual({ name, type: 'TXT' });
  announced.hear(all.filter(({ type }) => type === 'SRV'));
  expect(announced.missing).toContainEqual({ name: 'potting-shed.local', type: 'A' });
  announced.hear(all.filter(({ type }) => type === 'A' || type === 'TXT'));
  expect(announced.missing).toEqual([]);
  expect(announced.devices(HERE)).toHaveLength(2);
});

const txt = (name: string, ...words: string[]): DnsRecord => ({
  name,
  type: 'TXT',
  data: words.map((word) => Buffer.from(word)),
});
const service = (kind: string, name: string, port: number, ...words: string[]): DnsRecord[] => [
  { name: `_${kind}._tcp.local`, type: 'PTR', data: `${name}._${kind}._tcp.local` },
  { name: `${name}._${kind}._tcp.local`, type: 'SRV', data: { target: 'shed.local', port } },
  txt(`${name}._${kind}._tcp.local`, ...words),
  { name: 'shed.local', type: 'A', data: '10.0.0.7' },
];
function told(...records: DnsRecord[][]) {
  const announced = new Announced();
  announced.hear(records.flat());
  return announced.devices(new Map([['shed.local', '10.0.0.7']]));
}

test('a socket is a cutter where it says so, or says nothing and does not print', () => {
  const address = 'tcp://10.0.0.7:9100';
  expect(told(service('pdl-datastream', 'Wall', 9100))).toEqual([
    { kind: 'cutter', name: 'Wall', address },
  ]);
  expect(told(service('pdl-datastream', 'Wall', 9100, 'pdl=application/postscript'))).toEqual([]);
  const printer = service('ipps', 'Desk', 631, 'rp=ipp/print');
  const both = told(printer, service('pdl-datastream', 'Desk', 9100));
  expect(both).toEqual([
    { kind: 'printer', name: 'Desk', address: 'ipps://10.0.0.7:631/ipp/print' },
  ]);
  expect(
    told(
      printer,
      service('pdl-datastream', 'Desk', 9100, 'pdl=text/plain,application/vnd.hp-HPGL'),
    ),
  ).toHaveLength(2);
});

test('hostile announcements are cut to size, and what is none is passed over', () => {
  const long = 'x'.repeat(250);
  const [one] = told(service('ipp', 'A\u202eB\nC', 631, `ty=${long}`, 'note=\u0000', 'Color=yes'));
  expect(one).toEqual({
    kind: 'printer',
    name: 'A B C',
    model: 'x'.repeat(120),
    address: 'ipp://10.0.0.7:631/',
  });
  const random = seededRandom(5);
  const announced = new Announced();
  for (let at = 0; at < 3000; at++) announced.hear(service('ipp', `Flood ${at}`, 1 + (at % 60000)));
  expect(announced.devices(new Map([['shed.local', '10.0.0.7']]))).toHaveLength(200);
  expect(
    told([{ name: 'x._ipp._tcp.local', type: 'SRV', data: { target: 'a b/../c', port: 1 } }]),
  ).toEqual([]);
  // What leads nowhere takes nobody else with it.
  const well = service('ipp', 'Well', 631, 'rp=ipp/print');
  for (const rp of ['x'.repeat(300), '#', 'a\u0000b'])
    expect(told(service('ipp', 'Ill', 631, `rp=${rp}`), well).map(({ name }) => name)).toContain(
      'Well',
    );
  expect(told(service('ipp', 'Ill', 631, `rp=${'x'.repeat(300)}`), well)).toHaveLength(1);
  // Messages that were damaged on the way never throw.
  for (let round = 0; round < 2000; round++) {
    const packet = Buffer.from(recorded[round % 2] as Buffer);
    for (let at = 0; at < 1 + random.next() * 8; at++)
      packet[Math.floor(random.next() * packet.length)] = Math.floor(random.next() * 256);
    try {
      recordsIn(packet);
    } catch {
      continue; // no message any more
    }
    announced.hear(recordsIn(packet));
    announced.devices(HERE);
  }
});

test('the network is asked for the services, and nobody else; foreign addresses are not told', async () => {
  const questions = new Set<string>();
  responder((line, names) => {
    names.forEach((name) => questions.add(name));
    for (const packet of recorded) {
      const { answers, additionals } = decode(packet);
      line.respond({ answers: answers ?? [], additionals: additionals ?? [] });
    }
    const far = service('ipp', 'Far away', 631).map((record) =>
      record.type === 'A' ? { ...record, data: '8.8.8.8' } : record,
    );
    line.respond({ answers: far as never });
  });
  const said = new Set<string>();
  const { task } = watchedTask((_, doing) => said.add(doingText(doing)));
  const found = await findDevices(task, HERE_ALONE);
  expect(found.ok && found.value).toEqual(expect.arrayContaining([CUTTER, PRINTER]));
  expect(JSON.stringify(found)).not.toContain('Far away');
  expect([...said]).toEqual(['Looking for devices']);
  expect([...questions].sort()).toEqual([
    '_ipp._tcp.local',
    '_ipps._tcp.local',
    '_pdl-datastream._tcp.local',
  ]);
});

test('a network in which nobody answers is no error; a cancel ends the search at once', async () => {
  expect(await findDevices(unwatched, HERE_ALONE)).toMatchObject({ ok: true });
  const { task, cancel } = watchedTask(() => undefined);
  const began = Date.now();
  setTimeout(cancel, 100);
  await expect(findDevices(task, HERE_ALONE)).rejects.toThrow(Cancelled);
  expect(Date.now() - began).toBeLessThan(1500);
});

import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { encodePngImage } from '../../../core/raster/index.ts';
import { askPrinter } from './ipp-client.ts';
import { encodeIpp, GROUP, ipp, type IppAttribute } from './ipp-message.ts';
import { pictureOf } from './printer-picture.ts';

const ended: (() => unknown)[] = [];
afterEach(async () => {
  for (const end of ended.splice(0)) await end();
});

/** A printer that says what it is told to, and gives away what stands at paths of it. */
async function printerThatSays(
  attributes: (host: string) => Record<string, IppAttribute>,
  at: Readonly<Record<string, (answer: ServerResponse) => void>> = {},
): Promise<string> {
  let host = '';
  const server = createServer((request: IncomingMessage, answer: ServerResponse) => {
    request.resume();
    const path = request.url ?? '';
    if (request.method === 'GET')
      return (at[path] ?? ((gone) => gone.writeHead(404).end()))(answer);
    const body = encodeIpp({
      version: [1, 1],
      code: 0,
      request: 1,
      groups: [
        {
          tag: GROUP.operation,
          attributes: new Map([
            ['attributes-charset', ipp.charset('utf-8')],
            ['attributes-natural-language', ipp.language('en')],
          ]),
        },
        { tag: GROUP.printer, attributes: new Map(Object.entries(attributes(host))) },
      ],
    });
    answer.writeHead(200, { 'Content-Type': 'application/ipp' }).end(body);
    return undefined;
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  ended.push(() => {
    server.closeAllConnections();
    server.close();
  });
  host = `127.0.0.1:${(server.address() as AddressInfo).port}`;
  return `ipp://${host}/ipp/print`;
}

async function supplies(attributes: Record<string, IppAttribute>) {
  const told = await askPrinter(await printerThatSays(() => attributes));
  return told.ok ? told.value.supplies : told.problem;
}

test('supplies are told by their names, with what is left of what they hold', async () => {
  expect(
    await supplies({
      'printer-supply': ipp.octets(
        'index=1;type=ink;maxcapacity=200;level=160;colorantname=cyan;',
        'index=2;type=toner;maxcapacity=100;level=10;colorantname=black;',
        'index=3;type=ink;maxcapacity=100;level=0;colorantname=photo black;',
        'index=4;type=ink;maxcapacity=-2;level=-3;colorantname=mauve;',
      ),
      'printer-supply-description': ipp.text('Cyan tank', 'Black toner'),
    }),
  ).toEqual([
    { name: 'Cyan tank', level: 80, color: '#00a0d0', state: 'well' },
    { name: 'Black toner', level: 10, color: '#222222', state: 'low' },
    { name: 'photo black ink', level: 0, color: '#222222', state: 'out' },
    { name: 'mauve ink', state: 'well' },
  ]);
});

test('lists of markers are read where a printer has those alone; what fills is not used up', async () => {
  expect(
    await supplies({
      'marker-names': ipp.name('Tri-colour', 'Waste'),
      'marker-levels': ipp.integer(18, 30),
      'marker-low-levels': ipp.integer(20, 0),
      'marker-high-levels': ipp.integer(100, 95),
      'marker-colors': ipp.name('#00FFFF', 'none'),
    }),
  ).toEqual([
    { name: 'Tri-colour', level: 18, color: '#00FFFF', state: 'low' },
    { name: 'Waste', level: 70, state: 'well' },
  ]);
  expect(await supplies({})).toEqual([]);
  expect(
    await supplies({ 'printer-supply': ipp.octets('', ';;=;level', 'level=NaN') }),
  ).toHaveLength(3);
});

const png = (side: number): Uint8Array =>
  encodePngImage({ width: side, height: side, data: new Uint8ClampedArray(side * side * 4) });
const gives =
  (bytes: Uint8Array) =>
  (answer: ServerResponse): void =>
    void answer.writeHead(200, { 'Content-Type': 'image/png' }).end(bytes);

test('the picture of a printer is the largest that it shows within limits', async () => {
  const small = png(48);
  const address = await printerThatSays(
    (host) => ({
      'printer-icons': ipp.uri(`http://${host}/48.png`, `http://${host}/2000.png`),
    }),
    { '/48.png': gives(small), '/2000.png': gives(png(2000)) },
  );
  expect(await pictureOf(address)).toEqual(small);
});

test.each([
  ['what is no picture', gives(new TextEncoder().encode('<html>'))],
  ['one cut short', gives(png(48).slice(0, 12))],
  ['one without end', gives(new Uint8Array(2_000_000).fill(0x89))],
  [
    'a way elsewhere',
    (answer: ServerResponse) =>
      void answer.writeHead(302, { Location: 'http://127.0.0.1:1/' }).end(),
  ],
])('%s is no picture of a printer', async (_, give) => {
  const address = await printerThatSays(
    (host) => ({ 'printer-icons': ipp.uri(`http://${host}/icon.png`) }),
    { '/icon.png': give },
  );
  expect(await pictureOf(address)).toBeUndefined();
});

test('a picture is not fetched from another host, a file, or what is no address', async () => {
  let asked = 0;
  const elsewhere = createServer((_, answer) => {
    asked++;
    answer.end();
  });
  await new Promise<void>((done) => elsewhere.listen(0, '127.0.0.1', done));
  ended.push(() => elsewhere.close());
  const { port } = elsewhere.address() as AddressInfo;
  const address = await printerThatSays(() => ({
    'printer-icons': ipp.uri(`http://localhost:${port}/x.png`, 'file:///etc/passwd', 'x'),
  }));
  expect(await pictureOf(address)).toBeUndefined();
  expect(asked).toBe(0);
});

import { constants } from 'node:fs';
import { access, open, readdir, readFile, stat } from 'node:fs/promises';
import { platform } from 'node:os';
import type { SerialPort } from 'serialport';
import { err, ok, type Result } from '../../../core/base/index.ts';
import type { SerialLine } from '../../../core/stock/index.ts';
import type { CablePort } from '../../protocol/index.ts';
import type { CutterWire } from './cutter-wire.ts';

const DRAIN = 20_000; // ms that a cutter may keep us from sending what is left
const PRINTERS = '/dev/usb';

/** Which ports may be named: serial ones of the usual systems, and printers on USB. */
export const SERIAL_PORT =
  /^(?:COM\d{1,3}|\/dev\/(?:tty[\w.-]{1,60}|cu\.[\w.-]{1,60}|serial\/by-id\/[\w.:-]{1,120}|pts\/\d{1,5}))$/;
export const USB_PORT = /^\/dev\/usb\/lp\d{1,2}$/;

/** The ports of this computer by their names; none where the system does not tell. */
export async function listPorts(): Promise<CablePort[]> {
  const serial = async (): Promise<CablePort[]> => {
    const { SerialPort } = await import('serialport');
    const found = await SerialPort.list();
    return found
      .filter(({ path, pnpId, manufacturer }) => SERIAL_PORT.test(path) && (pnpId || manufacturer))
      .map(({ path, manufacturer, ...told }) => ({
        address: `serial:${path}`,
        name: (('friendlyName' in told && told.friendlyName) || manufacturer || path) as string,
      }));
  };
  const usb = async (): Promise<CablePort[]> =>
    (await readdir(PRINTERS))
      .map((name) => `${PRINTERS}/${name}`)
      .filter((path) => USB_PORT.test(path))
      .map((path) => ({ address: `usb:${path}`, name: path }));
  const none = (): CablePort[] => [];
  return (await Promise.all([serial().catch(none), usb().catch(none)])).flat();
}

/** Opens a serial port. */
export async function openSerial(path: string, line: SerialLine): Promise<Result<CutterWire>> {
  const closed = await whyClosed(path);
  if (closed) return closed;
  const { SerialPort } = await import('serialport');
  const { speed, bits, parity, stopBits, flow } = line;
  const port = new SerialPort({
    path,
    baudRate: speed,
    dataBits: bits,
    parity,
    stopBits,
    rtscts: flow === 'hardware',
    xon: flow === 'xon-xoff',
    autoOpen: false,
  });
  const failed = await new Promise<Error | null>((done) => port.open(done));
  if (failed) return err('cutter/port', { port: path, because: 'busy' });
  return ok(serialWire(port, speed / (1 + bits + (parity === 'none' ? 0 : 1) + stopBits)));
}

function serialWire(port: SerialPort, rate: number): CutterWire {
  const lost = new Promise<never>((_, failed) => {
    port.once('close', () => failed(new Error('closed')));
    port.on('error', failed);
  });
  lost.catch(() => undefined); // heard by whoever waits
  port.resume();
  let isEmpty = false;
  const close = (): void => {
    if (!port.isOpen) return;
    if (isEmpty) return port.close(() => undefined);
    // What the cutter does not take would hold the port for long.
    port.flush(() => port.close(() => undefined));
  };
  return {
    rate,
    write: (bytes) =>
      Promise.race([
        new Promise<void>((done, failed) => {
          port.write(bytes, (error) => (error ? failed(error) : done()));
        }),
        lost,
      ]),
    hear: (heard) => port.on('data', (part: Buffer) => heard(part.toString('latin1'))),
    async end() {
      let late: ReturnType<typeof setTimeout> | undefined;
      const timeout = new Promise<void>((done) => (late = setTimeout(done, DRAIN)));
      const drained = new Promise<void>((done, failed) => {
        port.drain((error) => (error ? failed(error) : done()));
      }).then(() => void (isEmpty = true));
      drained.catch(() => undefined); // heard below
      await Promise.race([drained, lost, timeout]).finally(() => clearTimeout(late));
    },
    destroy: close,
  };
}

/** Opens a printer on USB, where the system shows it as a file. */
export async function openUsb(path: string): Promise<Result<CutterWire>> {
  const closed = await whyClosed(path);
  if (closed) return closed;
  const file = await open(path, 'w').catch(() => undefined);
  if (!file) return err('cutter/port', { port: path, because: 'busy' });
  const close = (): unknown => file.close().catch(() => undefined);
  return ok({
    write: async (bytes) => {
      await file.writeFile(bytes);
    },
    hear: () => undefined,
    end: () => Promise.resolve(),
    destroy: () => void close(),
  });
}

/** Why a port cannot be used, with the system's own remedy; undefined where it can. */
async function whyClosed(path: string): Promise<Result<never> | undefined> {
  if (platform() === 'win32') return undefined;
  try {
    const found = await stat(path);
    if (!found.isCharacterDevice()) return err('cutter/port', { port: path, because: 'no-port' });
    await access(path, constants.R_OK | constants.W_OK);
    return undefined;
  } catch (error) {
    const { code } = error as { code?: string };
    if (code !== 'EACCES' && code !== 'EPERM')
      return err('cutter/port', { port: path, because: 'no-port' });
    const group = await groupOf(path);
    return err('cutter/port', { port: path, because: 'not-allowed', ...(group ? { group } : {}) });
  }
}

/** The group that may use a port, as the system names it. */
async function groupOf(path: string): Promise<string | undefined> {
  try {
    const { gid } = await stat(path);
    const groups = await readFile('/etc/group', 'utf8');
    return new RegExp(`^([^:]+):[^:]*:${gid}:`, 'm').exec(groups)?.[1];
  } catch {
    return undefined;
  }
}

import type { DeviceKind } from '../protocol/index.ts';
import { SERIAL_PORT, USB_PORT } from './cutters/index.ts';
import { err, ok, type ProblemValues, type Result } from '../../core/base/index.ts';

const FORMS = {
  printer: { schemes: ['ipp:', 'ipps:'], example: 'ipp://192.168.1.20/ipp/print', usual: '631' },
  cutter: { schemes: ['tcp:', 'serial:', 'usb:'], example: 'tcp://192.168.1.30:9100', usual: '' },
} satisfies Record<DeviceKind, { schemes: string[]; example: string; usual: string }>;

/**
 * Reads the address of a device as it was typed: `ipp://…` or `ipps://…` of a printer, `tcp://…:PORT`, `serial:PORT` or
 * `usb:FILE` of a cutter.
 */
export function parseAddress(kind: DeviceKind, typed: string): Result<string> {
  const { schemes, example, usual } = FORMS[kind];
  const refuse = (because: ProblemValues['device/address']['because']): Result<never> =>
    err('device/address', { kind, typed: typed.trim().slice(0, 100), example, because }, typed);
  const plain = typed.trim();
  const [, cable, named = ''] = /^(serial|usb):(.*)$/.exec(plain) ?? [];
  if (kind === 'cutter' && cable)
    return (cable === 'serial' ? SERIAL_PORT : USB_PORT).test(named)
      ? ok(plain)
      : refuse('other-port');
  let found: URL;
  try {
    found = new URL(plain);
  } catch {
    return refuse('no-address');
  }
  if (!schemes.includes(found.protocol)) return refuse('other-device');
  if (!found.hostname || /[^\w.:[\]-]/.test(found.hostname)) return refuse('no-host');
  if (found.username || found.password || found.hash) return refuse('too-much');
  const port = found.port || usual;
  if (!port) return refuse('no-port');
  const path = kind === 'printer' ? `${found.pathname || '/'}${found.search}` : '';
  return ok(`${found.protocol}//${found.hostname}:${port}${path}`);
}

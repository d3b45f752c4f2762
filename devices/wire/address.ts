import { err, ok, type Result } from '../../core/base/index.ts';

/** What kind of device an address is of. */
export type DeviceKind = 'printer' | 'cutter';

const FORMS = {
  printer: { scheme: 'ipp:', example: 'ipp://192.168.1.20/ipp/print', usual: '631' },
  cutter: { scheme: 'tcp:', example: 'tcp://192.168.1.30:9100', usual: '' },
} as const;

/** Reads the address of a device as it was typed: `ipp://…` of a printer, `tcp://…:PORT` of a cutter. */
export function parseAddress(kind: DeviceKind, typed: string): Result<string> {
  const { scheme, example, usual } = FORMS[kind];
  const refuse = (what: string): Result<never> =>
    err('device/address', what, `Accepted: an address such as ${example}.`, typed);
  const plain = typed.trim();
  let found: URL;
  try {
    found = new URL(plain);
  } catch {
    return refuse(`“${plain.slice(0, 100)}” is no address.`);
  }
  if (found.protocol !== scheme)
    return refuse(`“${plain.slice(0, 100)}” is not a ${kind}’s address.`);
  if (!found.hostname || /[^\w.:[\]-]/.test(found.hostname))
    return refuse(`“${plain.slice(0, 100)}” names no device.`);
  if (found.username || found.password || found.hash)
    return refuse('The address has more in it than a device and its path.');
  const port = found.port || usual;
  if (!port) return refuse('The address names no port.');
  const path = kind === 'printer' ? `${found.pathname || '/'}${found.search}` : '';
  return ok(`${scheme}//${found.hostname}:${port}${path}`);
}

import { pictureSize } from '../../../core/raster/index.ts';
import { IppLine, type Access } from './ipp-line.ts';
import { printerIcons } from './ipp-client.ts';

const MOST_BYTES = 400_000;
const MOST_SIDE = 1024; // px
const PNG = [0x89, 0x50, 0x4e, 0x47];

/**
 * The picture that a printer has of itself, as PNG (PWG 5100.13, printer-icons): the largest that is no
 * larger than it may be; undefined where it has none. It is fetched from the printer alone.
 */
export async function pictureOf(address: string, access?: Access): Promise<Uint8Array | undefined> {
  const asked = await printerIcons(address, access);
  if (!asked.ok) return undefined;
  const host = hostOf(address);
  const own = asked.value.filter((icon) => URL.canParse(icon) && hostOf(icon) === host);
  for (const icon of own.reverse()) {
    const picture = await fetched(icon, access);
    if (picture) return picture;
  }
  return undefined;
}

const hostOf = (address: string): string => new URL(address).hostname.toLowerCase();

async function fetched(icon: string, access: Access | undefined): Promise<Uint8Array | undefined> {
  const { protocol, hostname, port, pathname, search } = new URL(icon);
  if (protocol !== 'http:' && protocol !== 'https:') return undefined;
  const secure = protocol === 'https:';
  const usual = secure ? '443' : '80';
  const at = `${secure ? 'ipps' : 'ipp'}://${hostname}:${port || usual}${pathname}${search}`;
  // Who asks is nobody's business here; whether it is the same printer is.
  const { fingerprint } = access ?? {};
  const line = new IppLine(at, fingerprint ? { fingerprint } : {}, {
    within: 5000,
    most: MOST_BYTES,
  });
  try {
    const bytes = await line.get();
    if (!PNG.every((byte, place) => bytes[place] === byte)) return undefined;
    const { width, height } = pictureSize('png', bytes);
    return Math.max(width, height) <= MOST_SIDE && Math.min(width, height) > 0 ? bytes : undefined;
  } catch {
    return undefined; // another one may come, or none
  } finally {
    line.close();
  }
}

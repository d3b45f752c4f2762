const CHUNK = 0x8000;
const DATA = /^data:([\w+./-]*)((?:;[^,;]*)*),/;

/** A small file as a `data:` address (RFC 2397). */
export function dataAddress(type: string, bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += CHUNK)
    text += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return `data:${type};base64,${btoa(text)}`;
}

/** The bytes of a `data:` address in base64; undefined for any other address and for broken ones. */
export function findDataBytes(address: string): Uint8Array<ArrayBuffer> | undefined {
  const head = DATA.exec(address);
  if (!head?.[2]?.endsWith(';base64')) return undefined;
  try {
    const text = atob(address.slice(head[0].length).replace(/\s+/g, ''));
    return Uint8Array.from(text, (letter) => letter.charCodeAt(0));
  } catch {
    return undefined;
  }
}

import { readXml, type XmlListener } from '../../base/index.ts';

const plain = (name: string): string => name.slice(name.indexOf(':') + 1);

/** Reads a part of a workbook; names come without their prefix. A part that is not there holds nothing. */
export function readPart(
  bytes: Uint8Array | undefined,
  { open, close, text }: Pick<XmlListener, 'open' | 'close' | 'text'>,
): void {
  if (!bytes) return;
  readXml(new TextDecoder().decode(bytes), {
    open: (name, attributes) => {
      const own = Object.entries(attributes).map(([key, value]) => [plain(key), value] as const);
      open?.(plain(name), Object.fromEntries(own));
    },
    close: (name) => close?.(plain(name)),
    text: (part) => text?.(part),
  });
}

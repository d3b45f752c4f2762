import { SaxesParser } from 'saxes';

/** What is done with the parts of an XML file; names come without their prefix. */
export interface XmlListener {
  open?(name: string, attributes: Readonly<Record<string, string>>): void;
  close?(name: string): void;
  text?(text: string): void;
}

const plain = (name: string): string => name.slice(name.indexOf(':') + 1);

/** Reads an XML file from its start to its end. Throws where it is not well formed. */
export function readXml(bytes: Uint8Array | undefined, listener: XmlListener): void {
  if (!bytes) return;
  const parser = new SaxesParser({ xmlns: false });
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', ({ name, attributes }) => {
    const own = Object.entries(attributes).map(([key, value]) => [plain(key), value]);
    listener.open?.(plain(name), Object.fromEntries(own) as Record<string, string>);
  });
  parser.on('closetag', ({ name }) => listener.close?.(plain(name)));
  parser.on('text', (text) => listener.text?.(text));
  parser.on('cdata', (text) => listener.text?.(text));
  parser.write(new TextDecoder().decode(bytes)).close();
}

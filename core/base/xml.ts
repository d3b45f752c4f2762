import { SaxesParser } from 'saxes';

/** What is done with the parts of an XML file, in their order. Names are as they are written. */
export interface XmlListener {
  doctype?(text: string): void;
  open?(name: string, attributes: Readonly<Record<string, string>>): void;
  close?(name: string): void;
  /** Letters of the file, those of CDATA sections too. */
  text?(text: string): void;
}

/** Reads an XML file from its start to its end. Throws where it is not well formed. */
export function readXml(text: string, listener: XmlListener): void {
  const parser = new SaxesParser({ xmlns: false, fragment: false });
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('doctype', (doctype) => listener.doctype?.(doctype));
  parser.on('opentag', ({ name, attributes }) => listener.open?.(name, attributes));
  parser.on('closetag', ({ name }) => listener.close?.(name));
  parser.on('text', (part) => listener.text?.(part));
  parser.on('cdata', (part) => listener.text?.(part));
  parser.write(text).close();
}

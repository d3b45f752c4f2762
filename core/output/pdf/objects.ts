import type * as Library from '@cantoo/pdf-lib';
import type { PDFContext, PDFDict, PDFObject, PDFRef } from '@cantoo/pdf-lib';
import { zlibSync } from 'fflate';
import { contentHash } from '../../base/index.ts';

/** A plain value that becomes a PDF object: names are written `/Name` as strings. */
export type PdfValue =
  | number
  | boolean
  | string
  | PDFObject
  | readonly PdfValue[]
  | { readonly [key: string]: PdfValue };

/** A reference to an object that was added. */
export type PdfRef = PDFRef;

/** Collects the objects of one PDF file. The one place that knows the package that writes them. */
export class PdfObjects {
  private readonly context: PDFContext;
  private readonly library: typeof Library;

  private constructor(library: typeof Library) {
    this.library = library;
    this.context = library.PDFContext.create();
  }

  /** None yet. The package is loaded when the first file is begun: it is as large as the rest of a page. */
  static async begin(): Promise<PdfObjects> {
    return new PdfObjects(await import('@cantoo/pdf-lib'));
  }

  /** Adds a dictionary, array or the like. */
  add(value: PdfValue): PdfRef {
    return this.context.register(this.object(value));
  }

  /** Adds a stream; packed by deflate unless it already is packed in a way of its own. */
  stream(dict: { readonly [key: string]: PdfValue }, bytes: Uint8Array, packed = false): PdfRef {
    const content = packed ? bytes : zlibSync(bytes, { level: 4 });
    const entries = packed ? dict : { ...dict, Filter: '/FlateDecode' };
    const made = this.object({ ...entries, Length: content.length }) as PDFDict;
    return this.context.register(this.library.PDFRawStream.of(made, content));
  }

  /** Room for an object that others must name before it is known. */
  reserve(): PdfRef {
    return this.context.nextRef();
  }

  /** Fills a reserved room. */
  fill(ref: PdfRef, value: PdfValue): void {
    this.context.assign(ref, this.object(value));
  }

  /** Text for people, in any language. */
  text(value: string): PdfValue {
    return this.library.PDFHexString.fromText(value);
  }

  /** Plain letters as a string object, also where they begin like a name. */
  literal(value: string): PdfValue {
    return this.library.PDFString.of(value);
  }

  /** Bytes as a string object. */
  hex(bytes: Uint8Array): PdfValue {
    return this.library.PDFHexString.of(
      [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join(''),
    );
  }

  /**
   * Writes the file: no clock, and an identity that follows from the content. What is only looked at
   * has no title and needs no identity either.
   */
  async write(root: PdfRef, title: string | undefined): Promise<Uint8Array> {
    const trailer = this.context.trailerInfo;
    trailer.Root = root;
    if (title === undefined)
      return this.library.PDFWriter.forContext(this.context, Infinity).serializeToBuffer();
    trailer.Info = this.add({ Title: this.text(title), Producer: this.text('Little Peel') });
    const draft = await this.library.PDFWriter.forContext(
      this.context,
      Infinity,
    ).serializeToBuffer();
    const id = this.library.PDFHexString.of(contentHash(draft).slice(0, 32));
    trailer.ID = this.context.obj([id, id]);
    return this.library.PDFWriter.forContext(this.context, Infinity).serializeToBuffer();
  }

  private object(value: PdfValue): PDFObject {
    if (typeof value === 'string') {
      return value.startsWith('/')
        ? this.library.PDFName.of(value.slice(1))
        : this.library.PDFString.of(value);
    }
    if (Array.isArray(value)) {
      const array = this.context.obj([]);
      for (const item of value as readonly PdfValue[]) array.push(this.object(item));
      return array;
    }
    if (typeof value === 'number' || typeof value === 'boolean')
      return this.context.obj(value as number);
    if (isPdfObject(value)) return value;
    const dict = this.context.obj({});
    for (const [key, item] of Object.entries(value as { [key: string]: PdfValue })) {
      dict.set(this.library.PDFName.of(key), this.object(item));
    }
    return dict;
  }
}

function isPdfObject(value: PdfValue): value is PDFObject {
  return (
    typeof value === 'object' && 'sizeInBytes' in value && typeof value.sizeInBytes === 'function'
  );
}

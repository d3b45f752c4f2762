/** What a TIFF says, by the letter t and the number of each tag, and its pixels once they are decoded. */
export type Directory = Record<string, unknown> & {
  data: Uint8Array;
  width: number;
  height: number;
};

/** A decoder of JPEGs that gives inks as they are stored. */
interface JpegDecoder {
  width: number;
  height: number;
  parse(bytes: Uint8Array): void;
  getData(choices: {
    width: number;
    height: number;
    forceRGB: boolean;
    isSourcePDF: boolean;
  }): Uint8Array;
}

/** What of the package is used. */
interface Utif {
  decodeImage(buffer: ArrayBufferLike, directory: Directory): void;
  toRGBA8(directory: Directory): Uint8Array;
  JpegDecoder: new () => JpegDecoder;
}

/** Loads the package when the first picture that needs it comes. */
export const loadUtif = async (): Promise<Utif> =>
  ((await import('utif2')) as unknown as { default: Utif }).default;

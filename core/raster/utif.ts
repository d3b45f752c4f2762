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
export async function loadUtif(): Promise<Utif> {
  const { default: utif } = (await import('utif2')) as unknown as { default: Utif };
  return {
    toRGBA8: utif.toRGBA8,
    JpegDecoder: utif.JpegDecoder,
    decodeImage: (buffer, directory) => silently(() => utif.decodeImage(buffer, directory)),
  };
}

/** Runs what would tell the console of tiles, which is where commands print their answers. */
function silently(run: () => void): void {
  const log = console.log;
  console.log = () => undefined;
  try {
    run();
  } finally {
    console.log = log;
  }
}

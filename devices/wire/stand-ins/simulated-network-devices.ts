import { expectOk, unwatched } from '../../../core/base/index.ts';
import { countPdfPages } from '../../../core/pdf/index.ts';
import { decodePixels, encodePngImage, type RgbaImage } from '../../../core/raster/index.ts';
import type { SimulatedFaults, PrintStop } from '../../../core/run/index.ts';
import type { SimulatedDevicesState } from '../../protocol/index.ts';
import { drawnCuts, simulatedDevices } from '../../simulated/index.ts';
import { nodePlatform } from '../node-platform.ts';
import type { PrintFormat } from './print-formats.ts';
import { rasterPages } from './pwg-raster.ts';
import { SimulatedNetworkCutter } from './simulated-network-cutter.ts';
import { SimulatedNetworkPrinter, type PrinterStop } from './simulated-network-printer.ts';

const STOPS: Readonly<Record<PrintStop, PrinterStop>> = {
  jam: 'media-jam-error',
  empty: 'media-empty-error',
  media: 'media-needed',
};
const LOST_AFTER = 1500; // bytes of HPGL

/** Who is told of what simulated devices make. */
export interface Heard {
  /** A page that was printed, as PNG: of which print, and which page of it, both from 1. */
  readonly page?: (print: number, page: number, png: Uint8Array) => void;
  readonly cut?: (hpgl: string, torn: boolean) => void;
}

/** The simulated printer and cutter on ports of this computer, for the workshop and other programs. */
export class SimulatedNetworkDevices {
  private printer: SimulatedNetworkPrinter | undefined;
  private cutter: SimulatedNetworkCutter | undefined;
  private faults: SimulatedFaults = {};
  private printed = 0;
  private readonly heard: Heard;

  /** @param heard told of what comes out */
  constructor(heard: Heard = {}) {
    this.heard = heard;
  }

  /**
   * Starts both on ports, where they do not run yet; on free ones where those are taken.
   * @param strict fails where a port is taken
   */
  async start(
    { printer: printerPort, cutter: cutterPort }: { printer: number; cutter: number },
    strict = false,
  ): Promise<void> {
    const listening = async <D extends { listen(port: number): Promise<number> }>(
      device: D,
      port: number,
    ): Promise<D> => {
      await device.listen(port).catch((error: unknown) => {
        if (strict) throw error;
        return device.listen(0);
      });
      return device;
    };
    this.printer ??= await listening(
      new SimulatedNetworkPrinter((document, format) => this.pages(document, format)),
      printerPort,
    );
    this.cutter ??= await listening(
      new SimulatedNetworkCutter(({ hpgl, torn }) => this.heard.cut?.(hpgl, torn)),
      cutterPort,
    );
    this.apply(this.faults);
  }

  /** Switches faults on and off. */
  apply(faults: SimulatedFaults): void {
    this.faults = faults;
    if (this.printer) this.printer.stop = faults.stop && STOPS[faults.stop];
    if (this.cutter) this.cutter.losesAfter = faults.lost ? LOST_AFTER : undefined;
  }

  async stop(): Promise<void> {
    await Promise.all([this.printer?.close(), this.cutter?.close()]);
    this.printer = undefined;
    this.cutter = undefined;
  }

  tell(): SimulatedDevicesState {
    const { printer, cutter, faults } = this;
    return {
      faults,
      ...(printer
        ? {
            printer: {
              address: printer.address,
              jobs: printer.done.map(({ pages, id, name, media, state }) => ({
                ...{ id, name, media, state },
                pages: pages.length,
              })),
            },
          }
        : {}),
      ...(cutter
        ? {
            cutter: {
              address: cutter.address,
              cuts: cutter.done.map(({ torn, hpgl }) => ({ torn, bytes: hpgl.length })),
            },
          }
        : {}),
    };
  }

  /** A page of a job as PNG. */
  page(job: number, page: number): Uint8Array | undefined {
    return this.printer?.done.find(({ id }) => id === job)?.pages[page];
  }

  /** What the cutter cut, the latest first, as PNG. */
  async cut(index: number): Promise<Uint8Array | undefined> {
    const found = this.cutter?.done[index];
    return found && encodePngImage(await drawnCuts(nodePlatform, found.hpgl));
  }

  private async *pages(document: Uint8Array, format: PrintFormat): AsyncGenerator<Uint8Array> {
    const print = ++this.printed;
    let page = 0;
    for await (const image of this.images(document, format, print)) {
      const png = encodePngImage(image);
      this.heard.page?.(print, ++page, png);
      yield png;
    }
  }

  /** What a document looks like on paper: pictures as they are, a PDF with the errors of a printer. */
  private async *images(
    document: Uint8Array,
    format: PrintFormat,
    print: number,
  ): AsyncGenerator<RgbaImage> {
    if (format === 'image/jpeg') yield await decodePixels(nodePlatform, 'jpeg', document);
    else if (format === 'image/pwg-raster') yield* rasterPages(document);
    else yield* this.sheets(document, print);
  }

  private async *sheets(pdf: Uint8Array, print: number): AsyncGenerator<RgbaImage> {
    // What stops the printer is a matter of the protocol here; the rest shows on paper.
    const { stop, ...faults } = this.faults;
    void stop;
    const { printer } = simulatedDevices(nodePlatform, print, faults);
    const order = { pdf, name: '', sheet: { width: 0, height: 0 } };
    const printed = expectOk(await printer.print(order, unwatched));
    const count = await countPdfPages(nodePlatform, pdf);
    for (let page = 0; page < count; page++) {
      const image: RgbaImage | undefined = (await printed.sheet?.(page))?.picture.image;
      if (image) yield image;
    }
  }
}

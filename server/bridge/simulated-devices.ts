import { expectOk, unwatched } from '../../core/base/index.ts';
import { countPdfPages } from '../../core/pdf/index.ts';
import { encodePngImage, type RgbaImage } from '../../core/raster/index.ts';
import type { SimulatedFaults, PrintStop } from '../../core/run/index.ts';
import type { SimulatedDevicesState } from '../../devices/protocol/index.ts';
import { drawnHpgl, simulatedDevices } from '../../devices/simulated/index.ts';
import {
  nodePlatform,
  SimulatedNetworkCutter,
  SimulatedNetworkPrinter,
  type PrinterStop,
} from '../../devices/wire/index.ts';

const STOPS: Readonly<Record<PrintStop, PrinterStop>> = {
  jam: 'media-jam-error',
  empty: 'media-empty-error',
  media: 'media-needed',
};
const LOST_AFTER = 1500; // bytes of HPGL

/** The simulated printer and cutter on ports of this computer, for the workshop and other programs. */
export class SimulatedDevices {
  private printer: SimulatedNetworkPrinter | undefined;
  private cutter: SimulatedNetworkCutter | undefined;
  private faults: SimulatedFaults = {};
  private printed = 0;

  /** Starts both on ports, where they do not run yet; on free ones where those are taken. */
  async start(ports: { printer: number; cutter: number }): Promise<void> {
    if (!this.printer) {
      const printer = new SimulatedNetworkPrinter((pdf) => this.pages(pdf));
      await printer.listen(ports.printer).catch(() => printer.listen(0));
      this.printer = printer;
    }
    if (!this.cutter) {
      const cutter = new SimulatedNetworkCutter();
      await cutter.listen(ports.cutter).catch(() => cutter.listen(0));
      this.cutter = cutter;
    }
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
    return found && encodePngImage(await drawnHpgl(nodePlatform, found.hpgl));
  }

  private async *pages(pdf: Uint8Array): AsyncGenerator<Uint8Array> {
    // What stops the printer is a matter of the protocol here; the rest shows on paper.
    const { stop, ...faults } = this.faults;
    void stop;
    const { printer } = simulatedDevices(nodePlatform, ++this.printed, faults);
    const order = { pdf, name: '', sheet: { width: 0, height: 0 } };
    const printed = expectOk(await printer.print(order, unwatched));
    const count = await countPdfPages(nodePlatform, pdf);
    for (let page = 0; page < count; page++) {
      const image: RgbaImage | undefined = (await printed.sheet?.(page))?.picture.image;
      if (image) yield encodePngImage(image);
    }
  }
}

import { computed, type ComputedRef } from 'vue';
import type { Cutter, PrinterProfile, Tray } from '../../core/stock/index.ts';
import { useSettings } from '../ui/settings-store.ts';
import { useStockRoom } from './stock-room-store.ts';

/** The cutter that runs are cut by; undefined while cut files are only saved. */
export function useChosenCutter(): ComputedRef<Cutter | undefined> {
  const room = useStockRoom();
  const settings = useSettings();
  void room.start();
  return computed(() => room.room.cutters.find(({ id }) => id === settings.devices.cutter));
}

/** The printer in the house that runs are printed on; undefined while another program prints. */
export function useChosenPrinter(): ComputedRef<PrinterProfile | undefined> {
  const room = useStockRoom();
  const settings = useSettings();
  void room.start();
  return computed(() =>
    room.room.printers.find(({ id, address }) => id === settings.devices.printer && address),
  );
}

/** The tray that runs are printed from, as far as that is known: of the printer, or of what was measured. */
export function useChosenTray(): ComputedRef<Tray | undefined> {
  const room = useStockRoom();
  const settings = useSettings();
  const printer = useChosenPrinter();
  return computed(() => {
    const measured = room.findTray(settings.printer);
    const { value } = printer;
    if (!value) return measured?.tray;
    if (measured?.printer.id === value.id) return measured.tray;
    return value.trays.find(({ feed }) => feed) ?? value.trays[0];
  });
}

import { computed, type ComputedRef } from 'vue';
import type { Cutter, PrinterProfile } from '../../core/stock/index.ts';
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

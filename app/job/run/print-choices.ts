import { computed, type ComputedRef } from 'vue';
import {
  usualChoices,
  type PrintChoices,
  type PrinterOffers,
  type PrinterProfile,
} from '../../../core/stock/index.ts';
import { askPrinter, openDevice } from '../../session/bridge.ts';
import { nameOf, offersOf } from '../../session/printer-facts.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { texts } from '../../texts/index.ts';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../../session/job-store.ts';

const UNKNOWN: PrinterOffers = { trays: [], types: [], color: true };
const words = texts.devices.print;

/** What the chosen printer is asked for, remembered for each printer and material. */
export function usePrintChoices(printer: () => PrinterProfile | undefined) {
  const store = useJobStore();
  const settings = useSettings();
  const room = useStockRoom();
  const offers = computed(() => printer()?.offers ?? UNKNOWN);
  const material = computed(() => store.committed?.material);
  const key = computed(() => `${printer()?.id ?? ''}/${material.value?.id ?? ''}`);
  const choices: ComputedRef<PrintChoices | undefined> = computed(() => {
    if (!material.value) return undefined;
    const kept = settings.prints[key.value];
    const usual = usualChoices(material.value, offers.value);
    if (!kept) return usual;
    const { trays, types } = offers.value;
    // What the printer no longer offers is not asked for.
    return {
      ...kept,
      tray: trays.includes(kept.tray) ? kept.tray : '',
      type: types.includes(kept.type) ? kept.type : usual.type,
    };
  });
  /** In a sentence: what is asked for. */
  const asks = computed(() =>
    choices.value
      ? words.asks(
          [
            choices.value.type && nameOf(choices.value.type),
            words.ofQuality(choices.value.quality),
            choices.value.tray && nameOf(choices.value.tray),
          ].filter(Boolean),
        )
      : '',
  );

  function choose(changes: Partial<PrintChoices>): void {
    if (choices.value)
      settings.prints = { ...settings.prints, [key.value]: { ...choices.value, ...changes } };
  }

  /** Asks a printer what it can that was never asked; one that does not answer is asked when it prints. */
  async function learn(): Promise<void> {
    const now = printer();
    if (!now?.address || now.offers) return;
    const confirmed = await openDevice('printer', now.address);
    const answer = confirmed.ok ? await askPrinter(confirmed.value) : confirmed;
    if (answer.ok) await room.keepPrinter({ ...now, offers: offersOf(answer.value) });
  }

  return { offers, choices, asks, choose, learn };
}

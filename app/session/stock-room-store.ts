import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { freeId, isSame } from '../../core/base/index.ts';
import {
  NO_CORRECTION,
  SHIPPED_MATERIALS,
  SHIPPED_STOCK,
  USUAL_CUTTER,
  withUsed,
  type Correction,
  type Cutter,
  type Material,
  type PrinterProfile,
  type Stock,
  type Supply,
} from '../../core/stock/index.ts';
import { EMPTY_STOCK_ROOM, keepStockRoom, stockRoom, type StockRoom } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';

const MOST_RECENT = 6;

const without = <T extends { readonly id: string }>(all: readonly T[], id: string): T[] =>
  all.filter((one) => one.id !== id);

/** The one of an id replaced in its place, or a new one put first. */
function withOne<T extends { readonly id: string }>(all: readonly T[], one: T): T[] {
  return all.some(({ id }) => id === one.id)
    ? all.map((other) => (other.id === one.id ? one : other))
    : [one, ...all];
}

/** What a job's copy has become in the Stock room; undefined while both are alike, or it is gone. */
export function changedSince<T extends { readonly id: string }>(
  all: readonly T[],
  copy: T | undefined,
): T | undefined {
  const now = copy && all.find(({ id }) => id === copy.id);
  return now && !isSame(now, copy) ? now : undefined;
}

/** The Stock room: what ships, what was added here, what is on hand and what was used. */
export const useStockRoom = defineStore('stock-room', () => {
  const messages = useMessages();
  const room = shallowRef<StockRoom>(EMPTY_STOCK_ROOM);
  let reading: Promise<void> | undefined;

  const sheets = computed(() => [...room.value.sheets, ...SHIPPED_STOCK]);
  const materials = computed((): Material[] => [
    ...SHIPPED_MATERIALS.map(
      (shipped) => room.value.materials.find(({ id }) => id === shipped.id) ?? shipped,
    ),
    ...room.value.materials.filter(({ id }) => !SHIPPED_MATERIALS.some((one) => one.id === id)),
  ]);
  const byIds = (ids: readonly string[]): Stock[] =>
    ids.flatMap((id) => sheets.value.find((one) => one.id === id) ?? []);
  const favourites = computed(() => byIds(room.value.favourites));
  const recent = computed(() => byIds(room.value.recent));

  /** Reads what is kept, once. */
  function start(): Promise<void> {
    reading ??= stockRoom().then((found) => {
      room.value = found;
    }, messages.sayError);
    return reading;
  }

  async function change(changes: Partial<StockRoom>): Promise<void> {
    await start();
    room.value = { ...room.value, ...changes };
    await keepStockRoom(room.value).catch(messages.sayError);
  }

  /** Tells that something is gone, and brings back what was there. */
  function canUndo(text: string, before: Partial<StockRoom>): void {
    messages.say(text, { label: texts.undo, run: () => void change(before) });
  }

  const isOwn = (id: string): boolean => room.value.sheets.some((one) => one.id === id);

  function keepSheet(stock: Stock): Promise<void> {
    return change({ sheets: [stock, ...without(room.value.sheets, stock.id)] });
  }

  async function forgetSheet(stock: Stock): Promise<void> {
    const { sheets: before } = room.value;
    await change({ sheets: without(before, stock.id) });
    canUndo(texts.stock.forgotten(stock.name), { sheets: before });
  }

  function keepMaterial(material: Material): Promise<void> {
    return change({ materials: withOne(room.value.materials, material) });
  }

  /** A material like another, to be changed. */
  async function copyMaterial(like: Material): Promise<Material> {
    const id = freeId(
      'own-material',
      materials.value.map((one) => one.id),
    );
    const copy = { ...like, id, name: texts.shelf.copyOf(like.name).slice(0, 120) };
    await keepMaterial(copy);
    return copy;
  }

  /** Forgets a material of one's own, or what was changed of a shipped one. */
  async function forgetMaterial(material: Material): Promise<void> {
    const { materials: before } = room.value;
    await change({ materials: without(before, material.id) });
    canUndo(texts.stock.forgotten(material.name), { materials: before });
  }

  const isChanged = (id: string): boolean => room.value.materials.some((one) => one.id === id);

  function setFavourite(id: string, on: boolean): Promise<void> {
    const others = room.value.favourites.filter((one) => one !== id);
    return change({ favourites: on ? [id, ...others] : others });
  }

  function noteUse(stock: Stock): Promise<void> {
    const others = room.value.recent.filter((one) => one !== stock.id);
    return change({ recent: [stock.id, ...others].slice(0, MOST_RECENT) });
  }

  /** Puts a sheet of a material on hand: one pack when its size is known, else one sheet. */
  async function addSupply(stock: Stock, material: Material): Promise<Supply> {
    await start();
    const id = freeId(
      'supply',
      room.value.supplies.map((one) => one.id),
    );
    const packs = material.pack ? 1 : 0;
    const supply: Supply = { id, stock, material, packs, loose: 1 - packs, started: [] };
    await change({ supplies: [supply, ...room.value.supplies] });
    return supply;
  }

  function keepSupply(supply: Supply): Promise<void> {
    return change({ supplies: withOne(room.value.supplies, supply) });
  }

  /** Notes which labels of a started sheet are gone. */
  function useSpots(supply: Supply, sheet: number, used: readonly number[]): Promise<void> {
    return keepSupply(withUsed(supply, sheet, used));
  }

  async function removeSupply(supply: Supply): Promise<void> {
    const { supplies: before } = room.value;
    await change({ supplies: without(before, supply.id) });
    canUndo(texts.stock.forgotten(supply.stock.name), { supplies: before });
  }

  /** A new printer with one tray, under a name that is free unless it has one. */
  async function addPrinter(
    found: Partial<Pick<PrinterProfile, 'name' | 'address'>> = {},
  ): Promise<PrinterProfile> {
    await start();
    const { printers } = room.value;
    const id = freeId(
      'printer',
      printers.map((one) => one.id),
    );
    const { newName, newTray } = texts.printers;
    const name = printers.length ? `${newName} ${printers.length + 1}` : newName;
    const made: PrinterProfile = { id, name, trays: [{ id: 'tray', name: newTray }], ...found };
    await change({ printers: [...printers, made] });
    return made;
  }

  function keepPrinter(printer: PrinterProfile): Promise<void> {
    return change({ printers: withOne(room.value.printers, printer) });
  }

  async function removePrinter(printer: PrinterProfile): Promise<void> {
    const { printers: before } = room.value;
    await change({ printers: without(before, printer.id) });
    canUndo(texts.printers.removed(printer.name), { printers: before });
  }

  /** A new cutter, under a name that is free unless it has one. */
  async function addCutter(found: Partial<Pick<Cutter, 'name' | 'address'>> = {}): Promise<Cutter> {
    await start();
    const { cutters } = room.value;
    const id = freeId(
      'cutter',
      cutters.map((one) => one.id),
    );
    const { newName } = texts.devices;
    const name = cutters.length ? `${newName} ${cutters.length + 1}` : newName;
    const made: Cutter = { ...USUAL_CUTTER, id, name, ...found };
    await change({ cutters: [...cutters, made] });
    return made;
  }

  function keepCutter(cutter: Cutter): Promise<void> {
    return change({ cutters: withOne(room.value.cutters, cutter) });
  }

  async function removeCutter(cutter: Cutter): Promise<void> {
    const { cutters: before } = room.value;
    await change({ cutters: without(before, cutter.id) });
    canUndo(texts.devices.removed(cutter.name), { cutters: before });
  }

  /** Puts the simulated devices beside the others, at the addresses where they run. */
  async function addSimulated(printer: string, cutter: string): Promise<void> {
    await start();
    const { printers, cutters } = room.value;
    const { simulatedPrinter, simulatedCutter } = texts.devices;
    const { newTray } = texts.printers;
    const printing: PrinterProfile = {
      id: 'simulated-printer',
      name: simulatedPrinter,
      trays: [{ id: 'tray', name: newTray }],
      address: printer,
      duplex: true,
    };
    const cutting: Cutter = {
      ...USUAL_CUTTER,
      id: 'simulated-cutter',
      name: simulatedCutter,
      address: cutter,
    };
    await change({
      printers: withOne(printers, printing),
      cutters: withOne(cutters, cutting),
    });
  }

  /** The printers' trays of which something is known, under the names by which one is remembered. */
  const trays = computed(() =>
    room.value.printers.flatMap((printer) =>
      printer.trays
        .filter(({ front, back, feed }) => front ?? back ?? feed)
        .map((tray) => ({ id: `${printer.id}/${tray.id}`, printer, tray })),
    ),
  );

  const findTray = (id: string) => trays.value.find((one) => one.id === id);

  /** What undoes what a printer's tray does to each side; undefined where nothing is known of it. */
  async function correctionFor(id: string): Promise<Correction | undefined> {
    await start();
    const tray = findTray(id)?.tray;
    return (
      tray && {
        front: tray.front?.map ?? NO_CORRECTION.front,
        back: tray.back?.map ?? NO_CORRECTION.back,
      }
    );
  }

  return {
    room,
    sheets,
    materials,
    favourites,
    recent,
    start,
    isOwn,
    isChanged,
    keepSheet,
    forgetSheet,
    keepMaterial,
    copyMaterial,
    forgetMaterial,
    setFavourite,
    noteUse,
    addSupply,
    keepSupply,
    useSpots,
    removeSupply,
    trays,
    findTray,
    correctionFor,
    addPrinter,
    keepPrinter,
    removePrinter,
    addCutter,
    keepCutter,
    removeCutter,
    addSimulated,
  };
});

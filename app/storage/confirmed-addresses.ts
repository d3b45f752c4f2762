import { database } from './database.ts';
import { stockRoom } from './stock-room.ts';

const KEY = 'confirmed-addresses';

/**
 * The addresses of devices that somebody confirmed at this computer, by kind and address. They are in no
 * backup: what comes from elsewhere is confirmed anew before anything is sent to it.
 */
export async function confirmedAddresses(): Promise<ReadonlySet<string>> {
  const kept = await database.workshop.getItem<unknown>(KEY);
  if (Array.isArray(kept)) return new Set(kept.filter((one) => typeof one === 'string'));
  // What stood in the Stock room before this was kept had been confirmed when it was typed.
  const { printers, cutters } = await stockRoom();
  const known = [
    ...printers.flatMap(({ address }) => (address ? [`printer ${address}`] : [])),
    ...cutters.flatMap(({ address }) => (address ? [`cutter ${address}`] : [])),
  ];
  await database.workshop.setItem(KEY, known);
  return new Set(known);
}

/** Remembers that an address was confirmed. */
export async function keepConfirmed(kind: string, address: string): Promise<void> {
  const known = await confirmedAddresses();
  await database.workshop.setItem(KEY, [...new Set(known).add(`${kind} ${address}`)]);
}

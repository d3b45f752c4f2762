import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { Cancelled, type Doing } from '../../../core/base/index.ts';
import type { FoundDevice } from '../../../devices/protocol/index.ts';
import { doingText } from '../../../messages/index.ts';
import { cablePorts, confirmDevice, findDevices, type AtWork } from '../../session/bridge.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useSettings } from '../../ui/settings-store.ts';

const LONGEST_NAME = 80; // letters, of a device of the workshop

/** What was found, and by which address it is added. */
export type Addable = Pick<FoundDevice, 'kind' | 'name' | 'address'>;

/** Looks for devices that announce themselves or hang on a cable, and adds them. */
export function useDeviceSearch() {
  const room = useStockRoom();
  const settings = useSettings();
  const messages = useMessages();
  /** Undefined before anybody looked. */
  const devices = shallowRef<readonly FoundDevice[]>();
  const busy = ref(false);
  const share = ref(0);
  const doing = ref('');
  let atWork: AtWork | undefined;

  const addresses = computed(
    () => new Set([...room.room.printers, ...room.room.cutters].map(({ address }) => address)),
  );
  const isAdded = ({ address, secure }: FoundDevice): boolean =>
    addresses.value.has(address) || (secure !== undefined && addresses.value.has(secure));

  function tell(part: number, at: Doing): void {
    share.value = part;
    doing.value = doingText(at);
  }

  async function look(): Promise<void> {
    if (busy.value) return;
    busy.value = true;
    tell(0, { code: 'finding-devices', values: {} });
    const ports = cablePorts();
    const work = findDevices(tell);
    atWork = work;
    try {
      const heard = await work.done;
      const cables = (await ports).map(({ name, address }): FoundDevice => ({
        kind: 'cutter',
        name,
        address,
      }));
      if (!heard.ok) messages.sayProblem(heard.problem);
      // Cables are told even where nothing is heard.
      if (heard.ok || cables.length) devices.value = [...(heard.ok ? heard.value : []), ...cables];
    } catch (error) {
      if (!(error instanceof Cancelled)) messages.sayError(error);
    } finally {
      busy.value = false;
      atWork = undefined;
    }
  }

  const cancel = (): void => atWork?.cancel();
  onBeforeUnmount(cancel);

  /** Adds a device; the first one is what runs are done on from now on. Gives its id. */
  async function add({ kind, name, address }: Addable): Promise<string | undefined> {
    const allowed = await confirmDevice(kind, address);
    if (!allowed.ok) {
      messages.sayProblem(allowed.problem);
      return undefined;
    }
    const known = { name: name.slice(0, LONGEST_NAME), address: allowed.value };
    const made = kind === 'printer' ? await room.addPrinter(known) : await room.addCutter(known);
    if (settings.devices[kind] === 'file')
      settings.devices = { ...settings.devices, [kind]: made.id };
    if (kind === 'cutter') messages.say(texts.devices.confirm(allowed.value));
    return made.id;
  }

  function close(): void {
    cancel();
    devices.value = undefined;
  }

  return { devices, busy, share, doing, isAdded, look, cancel, add, close };
}

export type DeviceSearch = ReturnType<typeof useDeviceSearch>;

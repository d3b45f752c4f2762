import { onBeforeUnmount, ref } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import type { ExportChoices, Format, MadeFile } from '../../../core/output/index.ts';
import { calls, type Ongoing } from '../../calls/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useSettings } from '../../ui/settings-store.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { useJobStore } from '../../session/job-store.ts';

/** Makes files of the open job in a worker, with progress and a way to stop. */
export function useMaking() {
  const store = useJobStore();
  const messages = useMessages();
  const settings = useSettings();
  const { correctionFor } = useStockRoom();
  const busy = ref(false);
  const share = ref(0);
  let ongoing: Ongoing<'exportFiles'> | undefined;

  /**
   * The files of the thing that is worked on, or of all things of the set; undefined when it was stopped or went
   * wrong, which is told.
   */
  async function make(
    formats: readonly Format[],
    choices: Partial<ExportChoices> = {},
    ofAll = false,
  ): Promise<readonly MadeFile[] | undefined> {
    const { whole: job, thing } = store;
    if (!job) return undefined;
    const of = ofAll || !job.set ? {} : { thing };
    busy.value = true;
    share.value = 0;
    try {
      const printer = await correctionFor(settings.printer);
      ongoing = calls.call(
        'exportFiles',
        { job, ...of, formats, choices: printer ? { ...choices, printer } : choices },
        (part) => (share.value = part),
      );
      return await ongoing.answer;
    } catch (error) {
      if (!(error instanceof Cancelled)) messages.sayError(error);
      return undefined;
    } finally {
      busy.value = false;
    }
  }

  const cancel = (): void => ongoing?.cancel();
  onBeforeUnmount(cancel);
  return { busy, share, make, cancel };
}

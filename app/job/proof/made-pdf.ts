import { onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { Cancelled } from '../../../core/base/index.ts';
import type { Job } from '../../../core/job/index.ts';
import type { RgbaImage } from '../../../core/raster/index.ts';
import { doingText } from '../../../messages/index.ts';
import { calls, type Ongoing } from '../../calls/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { texts } from '../../texts/index.ts';

/** The print file of a job as it would be exported now, and one page of it as pixels. */
export function useMadePdf(job: () => Job | undefined, page: () => number) {
  const messages = useMessages();
  const pdf = shallowRef<Uint8Array>();
  const image = shallowRef<RgbaImage>();
  const doing = ref('');
  const share = ref(0);
  let ongoing: Ongoing<'exportFiles'> | undefined;
  let asked = 0;

  async function make(): Promise<void> {
    const value = job();
    if (!value) return;
    const mine = ++asked;
    ongoing?.cancel();
    doing.value = texts.proof.writing;
    ongoing = calls.call('exportFiles', { job: value, formats: ['pdf'] }, (part, at) => {
      share.value = part;
      doing.value = doingText(at);
    });
    try {
      const [file] = await ongoing.answer;
      if (mine !== asked) return;
      pdf.value = file?.bytes;
      await draw();
    } catch (error) {
      if (mine === asked && !(error instanceof Cancelled)) messages.sayError(error);
    } finally {
      if (mine === asked) doing.value = '';
    }
  }

  async function draw(dpi = 144): Promise<void> {
    if (!pdf.value) return;
    const of = pdf.value;
    const drawn = await calls.call('renderPage', { pdf: of, page: page(), dpi }).answer;
    if (of === pdf.value) image.value = drawn;
  }

  watch(job, () => void make(), { immediate: true });
  watch(page, () => void draw().catch(messages.sayError));
  onBeforeUnmount(() => {
    asked++;
    ongoing?.cancel();
  });
  return { pdf, image, doing, share, draw, cancel: () => ongoing?.cancel() };
}

import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { compose } from '../../../core/geometry/index.ts';
import { fileStem } from '../../../core/output/index.ts';
import {
  calibrationByRuler,
  farthest,
  ruledCrosses,
  type Calibration,
  type SheetCorners,
} from '../../../core/register/index.ts';
import type { KeptCalibration, PaperSide, PrinterProfile } from '../../../core/stock/index.ts';
import type {
  CalibrationSheet,
  ReadCalibration,
  SeenPicture,
} from '../../../core/testprint/index.ts';
import { calls } from '../../calls/index.ts';
import { useOneCall } from '../../ui/one-call.ts';
import { PICTURE_FILES } from '../../ui/picture-files.ts';
import { bytesOf, chooseFiles, download } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { PICTURED } from '../template/template-editor.ts';
import { hundredths } from '../../session/printer-facts.ts';

const words = texts.printers;
/** In which order a simulated printer has its luck. */
let luck = 1;

/** A printer of the Stock room while one side of a tray is measured. */
export function usePrinterEditor(printer: () => PrinterProfile | undefined) {
  const room = useStockRoom();
  const messages = useMessages();
  const chosen = ref('');
  const side = ref<PaperSide>('front');
  const paper = ref<keyof typeof PICTURED>('a4');
  const byRuler = ref(false);
  const { busy, answerOf, cancel } = useOneCall();
  /** What is under way, as it is told. */
  const doing = ref<string>(words.looking);
  const read = shallowRef<ReadCalibration>();
  /** The last picture, and whether its corners are being set by hand. */
  const seen = shallowRef<SeenPicture & { bytes: Uint8Array; name: string }>();
  const settingCorners = ref(false);
  const sheet = computed(() => PICTURED[paper.value]);
  const tray = computed(
    () => printer()?.trays.find(({ id }) => id === chosen.value) ?? printer()?.trays[0],
  );
  const kept = computed(() => tray.value?.[side.value]);
  const readings = reactive<{ side: number; end: number }[]>([]);

  /** What a ruler shows where the printer prints true. */
  function trueReadings(): void {
    const { width, height } = sheet.value;
    const places = ruledCrosses(sheet.value).map(({ x, y }) => ({
      side: Math.min(x, width - x),
      end: Math.min(y, height - y),
    }));
    readings.splice(0, readings.length, ...places);
  }

  watch([() => printer()?.id, () => tray.value?.id, side, paper], () => {
    cancel();
    clear();
    trueReadings();
  });
  trueReadings();

  /** What is known now: from the picture, or from the readings once one of them was changed. */
  const found = computed((): Calibration | undefined => {
    if (!byRuler.value) return read.value;
    const moved = calibrationByRuler(sheet.value, readings);
    return moved && farthest(moved.map, sheet.value) > 1e-9 ? moved : undefined;
  });
  /** How far off the correction leaves a sheet, where that was looked at. */
  const check = computed(() =>
    !byRuler.value && read.value?.corrected ? farthest(read.value.map, sheet.value) : undefined,
  );

  function sheetFor(check: boolean): CalibrationSheet {
    const correct = check && kept.value ? { correct: kept.value.map } : {};
    return {
      sheet: { ...sheet.value },
      name: [printer()?.name, tray.value?.name].filter(Boolean).join(', '),
      sides: [{ name: words.sides[side.value].toLowerCase(), ...correct }],
    };
  }

  async function save(check: boolean): Promise<void> {
    const pdf = await answerOf(calls.call('calibrationSheet', sheetFor(check)));
    const name = `${fileStem(printer()?.name ?? '')}-${check ? 'check' : 'calibration'}.pdf`;
    if (pdf) download(name, pdf, 'application/pdf');
  }

  async function look(bytes: Uint8Array, name: string, corners?: SheetCorners): Promise<void> {
    byRuler.value = false;
    doing.value = words.looking;
    const hand = corners ? { corners } : {};
    const answer = await answerOf(
      calls.call('readCalibration', { bytes, name, sheet: { ...sheet.value }, ...hand }),
    );
    if (!answer) return;
    clear();
    if (!answer.ok) return messages.sayProblem(answer.problem);
    seen.value = { ...answer.value, bytes, name };
    const found = answer.value.read;
    if (!found.ok) return messages.sayProblem(found.problem);
    if (found.value.corrected && !kept.value) return messages.say(words.notFirst);
    read.value = found.value;
  }

  /** Looks at the last picture again, with its corners where a hand has put them. */
  async function lookWithin(corners: SheetCorners): Promise<void> {
    const { value } = seen;
    if (value) await look(value.bytes, value.name, corners);
  }

  function clear(): void {
    read.value = undefined;
    seen.value = undefined;
    settingCorners.value = false;
  }

  async function take(files: readonly File[]): Promise<void> {
    const [first] = files;
    if (!first || busy.value || !printer()) return;
    await look(await bytesOf(first), first.name);
  }

  const choose = async (): Promise<void> => take(await chooseFiles(PICTURE_FILES));

  /** Prints and photographs the sheet in the computer alone; a check where there is something to check. */
  async function tryIt(): Promise<void> {
    doing.value = words.trying;
    const order = { sheet: sheetFor(kept.value !== undefined), seed: luck++ };
    const picture = await answerOf(calls.call('tryCalibration', order));
    if (picture) await look(picture, words.tryIt);
  }

  /** Keeps another state of this side of the tray. */
  async function keepSide(next: KeptCalibration | undefined): Promise<void> {
    const now = printer();
    const of = tray.value;
    if (!now || !of) return;
    const { [side.value]: before, ...others } = of;
    void before; // replaced, or left out
    const changed = next ? { ...others, [side.value]: next } : others;
    await room.keepPrinter({
      ...now,
      trays: now.trays.map((one) => (one.id === of.id ? changed : one)),
    });
  }

  /** Takes over what was found; of a check, what the correction had left. */
  async function keep(): Promise<void> {
    const { value } = found;
    const now = printer();
    if (!value || !now) return;
    const { residual, confidence } = value;
    const isCheck = check.value !== undefined && kept.value;
    await keepSide({
      map: [...(isCheck ? compose(value.map, isCheck.map) : value.map)],
      residual,
      confidence,
      by: byRuler.value ? 'ruler' : 'picture',
      sheet: { ...sheet.value },
      date: new Date().toISOString().slice(0, 10),
    });
    clear();
    trueReadings();
    byRuler.value = false;
    messages.say(words.kept(now.name));
  }

  async function noteCheck(): Promise<void> {
    if (check.value === undefined || !kept.value) return;
    await keepSide({ ...kept.value, checked: check.value });
    clear();
  }

  async function forget(): Promise<void> {
    const before = kept.value;
    await keepSide(undefined);
    messages.say(words.forgotten, { label: texts.undo, run: () => void keepSide(before) });
  }

  const state = (one: KeptCalibration | undefined): string =>
    one ? words.state(hundredths(farthest(one.map, one.sheet))) : words.unknown;

  return {
    chosen,
    side,
    paper,
    sheet,
    tray,
    kept,
    byRuler,
    busy,
    read,
    readings,
    found,
    check,
    save,
    take,
    choose,
    tryIt,
    keep,
    noteCheck,
    forget,
    state,
    doing,
    clear,
    seen,
    settingCorners,
    lookWithin,
    cancel,
  };
}

export type PrinterEditor = ReturnType<typeof usePrinterEditor>;

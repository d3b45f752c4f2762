import { computed, ref, watch } from 'vue';
import { formatLength, parseLength, type Unit } from '../../core/units/index.ts';
import { problemLine } from '../../messages/index.ts';

/**
 * A length while it is typed: its text, and what is wrong with it. `accept` takes a length over and
 * gives what became of it; an empty text is no length, which `clear` takes over where that may be.
 */
export function useTypedLength(of: {
  value: () => number | undefined;
  unit: () => Unit;
  accept: (mm: number) => number;
  clear?: () => void;
}) {
  const written = computed(() => {
    const value = of.value();
    return value === undefined ? '' : formatLength(value, of.unit());
  });
  const text = ref(written.value);
  const problem = ref('');

  function giveUp(): void {
    text.value = written.value;
    problem.value = '';
  }

  function take(): void {
    problem.value = '';
    if (text.value === written.value) return;
    if (of.clear && text.value.trim() === '') return of.clear();
    const read = parseLength(text.value, of.unit());
    if (read.ok) text.value = formatLength(of.accept(read.value), of.unit());
    else problem.value = problemLine(read.problem);
  }

  watch(written, giveUp);
  return { text, problem, take, giveUp };
}

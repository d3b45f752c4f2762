import { computed, reactive, ref, type Ref } from 'vue';
import { fieldsOfUse, type LabelUse } from '../../../../core/designs/index.ts';
import {
  fieldsSaid,
  LABEL_FIELDS,
  type LabelField,
  type LabelSays,
  type Piece,
} from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import { useHouseStyle } from '../../../session/house-style-store.ts';

type Typed = Partial<Record<LabelField, string>>;

/** What was typed last and is alike on many labels, for the next piece of this visit. */
const remembered = reactive<Typed>({});
const ALIKE: readonly LabelField[] = ['line', 'maker', 'small'];
/** What labels were made for last. */
const use = ref<LabelUse>();

const LONG: readonly LabelField[] = ['ingredients', 'use', 'warnings', 'small'];

/** Whether a field takes more than a line. */
export const isLong = (field: LabelField): boolean => LONG.includes(field);

/** How many letters a field takes: a code no more than the densest of them holds. */
export const mostLetters = (field: LabelField): number => (field === 'code' ? 1200 : 5000);

/** What the label on the desk is to say: as it says now, as it was typed, or as the house has it. */
export function useLabelSays(
  piece: Piece | undefined,
  { name, back }: { name: string; back: Ref<boolean> },
) {
  const house = useHouseStyle();
  const typed = reactive<Typed>({});
  const added = ref<readonly LabelField[]>([]);
  const now = piece ? fieldsSaid(piece.elements) : {};
  const usual = (field: LabelField): string => {
    if (field === 'name') return name;
    if (field === 'line') return texts.start.usualLine;
    if (field === 'maker') return house.style.maker || texts.start.usualMaker;
    return field === 'small' ? house.style.smallPrint : '';
  };
  /** What was said of a field by hand; undefined where only the usual is known. */
  const known = (field: LabelField): string | undefined =>
    typed[field] ?? now[field] ?? remembered[field];
  const said = (field: LabelField): string => known(field) ?? usual(field);

  function say(field: LabelField, text: string): void {
    typed[field] = text;
    if (ALIKE.includes(field)) remembered[field] = text;
  }

  /** The fields that are asked, in their order: those of the use, those it says already, and added ones. */
  const asked = computed(() => {
    const wanted = new Set<LabelField>([
      ...fieldsOfUse(use.value),
      ...(back.value ? (['ingredients', 'small'] as const) : []),
      ...LABEL_FIELDS.filter((field) => now[field] !== undefined),
      ...added.value,
    ]);
    return LABEL_FIELDS.filter((field) => wanted.has(field));
  });
  const says = computed<LabelSays>(() =>
    Object.fromEntries(asked.value.map((field) => [field, said(field)])),
  );
  /** What is typed for this label and is not the usual. */
  const own = computed<LabelSays>(() => ({
    ...Object.fromEntries(
      asked.value.map((field) => [field, known(field) ?? '']).filter(([, text]) => text !== ''),
    ),
    name: said('name'),
  }));

  return {
    use,
    asked,
    says,
    own,
    say,
    add: (field: LabelField): void => {
      added.value = [...added.value, field];
    },
  };
}

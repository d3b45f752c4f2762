<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, ref } from 'vue';
import {
  fieldsSaid,
  isNamed,
  LABEL_FIELDS,
  type LabelField,
  type PieceElement,
} from '../../../../core/piece/index.ts';
import { textChanges, typedEmphasis } from '../../../../core/type/index.ts';
import { FIELD_LANGUAGES, type FieldLanguageCode } from '../../../../messages/index.ts';
import { useHouseStyle } from '../../../session/house-style-store.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import IconButton from '../../../ui/IconButton.vue';
import SelectRow from '../../../ui/SelectRow.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import ShareButton from '../set/ShareButton.vue';
import AnotherField from './AnotherField.vue';
import FieldColumns from './FieldColumns.vue';
import { newField } from '../../artwork-state/new-elements.ts';
import { isLong, mostLetters } from './label-says.ts';
import { printedFields, printedNames } from './printed-fields.ts';

/** What the label on the desk says, a plain field for each; fields are added and taken off here. */
const props = defineProps<{ desk: DeskState }>();
const say = texts.fields;
const house = useHouseStyle();
const says = computed(() => fieldsSaid(props.desk.piece.value?.elements ?? []));
const present = computed(() => LABEL_FIELDS.filter((field) => says.value[field] !== undefined));
const printed = computed(() => printedFields(props.desk.store.committed, house.style));
const language = computed(() => printedNames(props.desk.store.committed).language);
const languages = Object.fromEntries(
  Object.entries(FIELD_LANGUAGES).map(([code, { language: own }]) => [code, own]),
) as Readonly<Record<FieldLanguageCode, string>>;
const hasNamed = computed(() => present.value.some(isNamed));
const columns = computed(() => props.desk.store.committed?.list?.columns ?? []);
const active = ref<LabelField>();
const thing = computed(() => props.desk.store.shownThing);
const isOwn = (field: LabelField): boolean => thing.value?.own?.says?.includes(field) ?? false;
/** Whether other labels of the set may say the same. */
const isShared = (field: LabelField): boolean =>
  props.desk.store.whole?.set?.look.says[field] !== undefined;

function share(field: LabelField): void {
  const { store } = props.desk;
  store.act(
    isOwn(field)
      ? { name: 'share-look', args: { thing: store.thing, role: field } }
      : { name: 'own-look', args: { thing: store.thing, own: { says: [field] } } },
  );
}

const elementsOf = (field: LabelField): readonly PieceElement[] =>
  props.desk.piece.value?.elements.filter((one) => one.field === field) ?? [];

/** All elements that say the field, as on front, back and spines, say the same. */
function change(field: LabelField, text: string): void {
  const piece = props.desk.piece.value;
  if (!piece) return;
  const changes = Object.fromEntries(
    elementsOf(field).map((one) => [
      one.id,
      one.kind === 'words' ? textChanges(one, text) : { text },
    ]),
  );
  props.desk.store.act(
    {
      name: 'change-elements',
      args: { piece: piece.id, changes, doing: say.doing(say.names[field]) },
    },
    `field-${field}`,
  );
}

function drop(field: LabelField): void {
  const piece = props.desk.piece.value;
  if (!piece) return;
  const elements = elementsOf(field).map(({ id }) => id);
  props.desk.store.act({ name: 'delete-elements', args: { piece: piece.id, elements } });
}

function add(field: LabelField): void {
  props.desk.addTo((piece) =>
    newField(piece, field, { ...printed.value, text: say.examples[field] }),
  );
}

function speak(code: FieldLanguageCode): void {
  props.desk.store.act({
    name: 'name-fields',
    args: {
      language: code,
      names: FIELD_LANGUAGES[code].names,
      before: printed.value.names,
    },
  });
}

function emphasize(event: Event): void {
  const words = typedEmphasis((event.target as HTMLInputElement).value);
  props.desk.store.act({ name: 'emphasize-words', args: { words } });
}
</script>

<template>
  <CardPanel :title="say.title">
    <p v-if="present.length === 0" class="quiet">{{ say.hint }}</p>
    <div v-for="field in present" :key="field" class="field">
      <label>
        <span class="quiet">{{ say.names[field] }}</span>
        <component
          :is="isLong(field) ? 'textarea' : 'input'"
          class="well"
          rows="2"
          :maxlength="mostLetters(field)"
          spellcheck="true"
          :value="says[field]"
          @focus="active = field"
          @input="change(field, ($event.target as HTMLInputElement).value)"
          @change="desk.store.commit()"
        />
      </label>
      <span class="tools">
        <ShareButton
          v-if="isShared(field)"
          :own="isOwn(field)"
          :thing="thing?.name ?? ''"
          @toggle="share(field)"
        />
        <IconButton :icon="mdiClose" :name="say.drop(say.names[field])" @click="drop(field)" />
      </span>
      <FieldColumns
        v-if="active === field"
        :columns="columns"
        :field="field"
        @fill="(text) => change(field, text)"
      />
    </div>
    <AnotherField class="add" :present="present" @add="add" />
    <template v-if="hasNamed">
      <SelectRow
        :label="say.language"
        :name="say.languageHint"
        :model-value="language"
        :choices="languages"
        @update:model-value="speak"
      />
      <label v-if="present.includes('ingredients')" class="emphasis" :title="say.emphasisHint">
        <span>{{ say.emphasis }}</span>
        <input
          class="well"
          :value="printed.emphasis.join(', ')"
          :placeholder="say.emphasisExample"
          @change="emphasize"
        />
      </label>
    </template>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 6px;
}
.field {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: end;
  margin-bottom: 6px;
}
.field label {
  display: grid;
  gap: 2px;
}
.tools {
  display: flex;
}
.field textarea {
  resize: vertical;
}
.field input,
.field textarea {
  min-width: 0;
}
.add {
  width: 100%;
}
.emphasis {
  display: grid;
  gap: 3px;
  margin-top: 4px;
}
</style>

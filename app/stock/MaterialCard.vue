<script setup lang="ts">
import { ref } from 'vue';
import {
  materialSchema,
  SHIPPED_MATERIALS,
  type CutSetting,
  type Material,
} from '../../core/stock/index.ts';
import { texts } from '../texts/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import { dayOf } from '../ui/dates.ts';
import FieldRows from '../ui/FieldRows.vue';
import { fieldsOf } from '../ui/fields.ts';
import MaterialTestPanel from './MaterialTestPanel.vue';
import PackRows from './PackRows.vue';
import LinkButton from '../ui/LinkButton.vue';
import { useStockRoom } from '../session/stock-room-store.ts';

/** A material with all that is known of it, to be changed. */
const props = defineProps<{ material: Material }>();
const emit = defineEmits<{ open: [id: string] }>();
const words = texts.stock.material;
const room = useStockRoom();
const testing = ref(false);
const CUTS = ['kiss', 'through', 'crease'] as const;
const FIRST_CUT: CutSetting = { force: null, speed: null, passes: 1 };

const whole = fieldsOf(materialSchema);
const print = fieldsOf(materialSchema.shape.print);
const cut = fieldsOf(materialSchema.shape.cut.shape.kiss.unwrap());
const IS = [
  whole.text('name', words.name, { needed: true }),
  whole.select('kind', words.kind, words.kinds),
  whole.color('color', words.color),
  whole.either('needsWhite', words.needsWhite, words.yesNo),
  whole.number('thickness', words.thickness, { digits: 2, step: 0.05 }),
];
const PRINTED = [
  whole.choices('ink', words.ink, words.inks),
  whole.number('drying', words.drying),
  whole.select('finish', words.finish, words.finishes, { missing: 'none' }),
  whole.either('mirrored', words.mirrored, words.mirror),
];
const IN_DIALOG = [
  print.text('paper', words.dialogPaper),
  print.text('quality', words.dialogQuality),
];
const CUT_BY = [
  whole.select('tool', words.tool, words.tools),
  whole.select('tack', words.tack, words.tacks),
];
const UNSET = { min: 0, keep: (value: number) => value || null };
const CUT_WITH = [
  cut.number('force', words.force, UNSET),
  cut.number('speed', words.speed, UNSET),
  cut.number('passes', words.passes),
];

function change(changes: Partial<Material>): void {
  void room.keepMaterial({ ...props.material, ...changes });
}

function changeCut(kind: (typeof CUTS)[number], changes: Partial<CutSetting> | null): void {
  const now = props.material.cut[kind] ?? FIRST_CUT;
  change({ cut: { ...props.material.cut, [kind]: changes && { ...now, ...changes } } });
}

const value = (event: Event): string => (event.target as HTMLTextAreaElement).value;
const isShipped = (id: string): boolean => SHIPPED_MATERIALS.some((one) => one.id === id);

async function copy(): Promise<void> {
  emit('open', (await room.copyMaterial(props.material)).id);
}
</script>

<template>
  <CardPanel :title="material.name" peeled>
    <FieldRows :fields="IS" :of="material" @change="change" />
  </CardPanel>
  <CardPanel :title="words.price">
    <PackRows :pack="material.pack" @change="change({ pack: $event })" />
  </CardPanel>
  <CardPanel :title="texts.ticket.run">
    <FieldRows :fields="PRINTED" :of="material" @change="change" />
    <h3>{{ words.dialog }}</h3>
    <FieldRows
      :fields="IN_DIALOG"
      :of="material.print"
      @change="change({ print: { ...material.print, ...$event } })"
    />
    <p class="quiet">{{ words.dialogScale }}</p>
  </CardPanel>
  <CardPanel :title="words.cutting">
    <FieldRows :fields="CUT_BY" :of="material" @change="change" />
    <p v-if="material.tested" class="quiet">
      {{
        texts.devices.test.tested(
          dayOf(material.tested.date),
          texts.devices.test.kinds[material.tested.kind],
          material.tested.note,
        )
      }}
    </p>
    <LinkButton v-if="material.tool === 'knife'" @click="testing = true">
      {{ texts.devices.test.open }}
    </LinkButton>
    <MaterialTestPanel
      v-if="testing"
      :material="material"
      @close="testing = false"
      @found="change"
    />
    <template v-for="kind in CUTS" :key="kind">
      <h3>{{ words.cuts[kind] }}</h3>
      <template v-if="material.cut[kind]">
        <FieldRows :fields="CUT_WITH" :of="material.cut[kind]" @change="changeCut(kind, $event)" />
        <LinkButton @click="changeCut(kind, null)">{{ words.noCut }}</LinkButton>
      </template>
      <LinkButton v-else @click="changeCut(kind, {})">
        {{ words.canCut }}
      </LinkButton>
    </template>
  </CardPanel>
  <CardPanel :title="words.applying">
    <textarea
      class="well note"
      rows="3"
      maxlength="600"
      :aria-label="words.applying"
      :value="material.applying"
      @change="change({ applying: value($event) })"
    />
    <h3>{{ words.wear }}</h3>
    <textarea
      class="well note"
      rows="3"
      maxlength="600"
      :aria-label="words.wear"
      :value="material.wear"
      @change="change({ wear: value($event) })"
    />
  </CardPanel>
  <LinkButton @click="copy">{{ words.copy }}</LinkButton>
  <LinkButton v-if="room.isChanged(material.id)" @click="room.forgetMaterial(material)">
    {{ isShipped(material.id) ? words.reset : words.forget }}
  </LinkButton>
</template>

<style scoped>
h3 {
  margin: 12px 0 2px;
  font-size: 13.5px;
}
p {
  margin: 6px 0 0;
}
.note {
  width: 100%;
  resize: vertical;
}
</style>

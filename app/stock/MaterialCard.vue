<script setup lang="ts">
import { ref } from 'vue';
import { SHIPPED_MATERIALS, type CutSetting, type Material } from '../../core/stock/index.ts';
import { texts } from '../texts/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import ChoicesRow from '../ui/ChoicesRow.vue';
import { dayOf } from '../ui/dates.ts';
import FactRow from '../ui/FactRow.vue';
import NumberRow from '../ui/NumberRow.vue';
import SelectRow from '../ui/SelectRow.vue';
import MaterialTestPanel from './MaterialTestPanel.vue';
import PackRows from './PackRows.vue';
import { useStockRoom } from '../session/stock-room-store.ts';

/** A material with all that is known of it, to be changed. */
const props = defineProps<{ material: Material }>();
const emit = defineEmits<{ open: [id: string] }>();
const words = texts.stock.material;
const room = useStockRoom();
const testing = ref(false);
const CUTS = ['kiss', 'through', 'crease'] as const;
const FIRST_CUT: CutSetting = { force: null, speed: null, passes: 1 };

function change(changes: Partial<Material>): void {
  void room.keepMaterial({ ...props.material, ...changes });
}

function changeCut(kind: (typeof CUTS)[number], changes: Partial<CutSetting> | null): void {
  const now = props.material.cut[kind] ?? FIRST_CUT;
  change({ cut: { ...props.material.cut, [kind]: changes && { ...now, ...changes } } });
}

const value = (event: Event): string =>
  (event.target as HTMLInputElement | HTMLTextAreaElement).value;
const named = (event: Event): void => {
  const name = value(event).trim().slice(0, 120);
  if (name) change({ name });
};
const isShipped = (id: string): boolean => SHIPPED_MATERIALS.some((one) => one.id === id);

async function copy(): Promise<void> {
  emit('open', (await room.copyMaterial(props.material)).id);
}
</script>

<template>
  <CardPanel :title="material.name" peeled>
    <FactRow as="label" :label="words.name"
      ><input class="well text" :value="material.name" maxlength="120" @change="named"
    /></FactRow>
    <SelectRow
      :label="words.kind"
      :model-value="material.kind"
      :choices="words.kinds"
      @update:model-value="change({ kind: $event })"
    />
    <FactRow as="label" :label="words.color"
      ><input
        type="color"
        class="color"
        :value="material.color"
        @change="change({ color: value($event) })"
    /></FactRow>
    <ChoicesRow
      :label="words.needsWhite"
      :model-value="material.needsWhite ? 'yes' : 'no'"
      :choices="words.yesNo"
      @update:model-value="change({ needsWhite: $event === 'yes' })"
    />
    <NumberRow
      :label="words.thickness"
      :model-value="material.thickness"
      :digits="2"
      :step="0.05"
      :min="0.02"
      :max="10"
      @update:model-value="change({ thickness: $event })"
    />
  </CardPanel>
  <CardPanel :title="words.price">
    <PackRows :pack="material.pack" @change="change({ pack: $event })" />
  </CardPanel>
  <CardPanel :title="texts.ticket.run">
    <ChoicesRow
      :label="words.ink"
      :model-value="material.ink"
      :choices="words.inks"
      @update:model-value="change({ ink: $event })"
    />
    <NumberRow
      :label="words.drying"
      :model-value="material.drying"
      :min="0"
      :max="10000"
      @update:model-value="change({ drying: $event })"
    />
    <SelectRow
      :label="words.finish"
      :model-value="material.finish ?? 'none'"
      :choices="words.finishes"
      @update:model-value="change({ finish: $event })"
    />
    <ChoicesRow
      :label="words.mirrored"
      :model-value="material.mirrored ? 'yes' : 'no'"
      :choices="words.mirror"
      @update:model-value="change({ mirrored: $event === 'yes' })"
    />
    <h3>{{ words.dialog }}</h3>
    <FactRow as="label" :label="words.dialogPaper"
      ><input
        class="well text"
        maxlength="120"
        :value="material.print.paper"
        @change="change({ print: { ...material.print, paper: value($event) } })"
    /></FactRow>
    <FactRow as="label" :label="words.dialogQuality"
      ><input
        class="well text"
        maxlength="120"
        :value="material.print.quality"
        @change="change({ print: { ...material.print, quality: value($event) } })"
    /></FactRow>
    <p class="quiet">{{ words.dialogScale }}</p>
  </CardPanel>
  <CardPanel :title="words.cutting">
    <SelectRow
      :label="words.tool"
      :model-value="material.tool"
      :choices="words.tools"
      @update:model-value="change({ tool: $event })"
    />
    <SelectRow
      :label="words.tack"
      :model-value="material.tack"
      :choices="words.tacks"
      @update:model-value="change({ tack: $event })"
    />
    <p v-if="material.tested" class="quiet">
      {{
        texts.devices.test.tested(
          dayOf(material.tested.date),
          texts.devices.test.kinds[material.tested.kind],
          material.tested.note,
        )
      }}
    </p>
    <button v-if="material.tool === 'knife'" class="link" type="button" @click="testing = true">
      {{ texts.devices.test.open }}
    </button>
    <MaterialTestPanel
      v-if="testing"
      :material="material"
      @close="testing = false"
      @found="change"
    />
    <template v-for="kind in CUTS" :key="kind">
      <h3>{{ words.cuts[kind] }}</h3>
      <template v-if="material.cut[kind]">
        <NumberRow
          :label="words.force"
          :model-value="material.cut[kind].force ?? 0"
          :min="0"
          :max="2000"
          @update:model-value="changeCut(kind, { force: $event || null })"
        />
        <NumberRow
          :label="words.speed"
          :model-value="material.cut[kind].speed ?? 0"
          :min="0"
          :max="2000"
          @update:model-value="changeCut(kind, { speed: $event || null })"
        />
        <NumberRow
          :label="words.passes"
          :model-value="material.cut[kind].passes"
          :min="1"
          :max="10"
          @update:model-value="changeCut(kind, { passes: Math.round($event) })"
        />
        <button class="link" type="button" @click="changeCut(kind, null)">{{ words.noCut }}</button>
      </template>
      <button v-else class="link" type="button" @click="changeCut(kind, {})">
        {{ words.canCut }}
      </button>
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
  <button class="link" type="button" @click="copy">{{ words.copy }}</button>
  <button
    v-if="room.isChanged(material.id)"
    class="link"
    type="button"
    @click="room.forgetMaterial(material)"
  >
    {{ isShipped(material.id) ? words.reset : words.forget }}
  </button>
</template>

<style scoped>
h3 {
  margin: 12px 0 2px;
  font-size: 13.5px;
}
p {
  margin: 6px 0 0;
}
.text {
  flex: 0 1 150px;
  min-width: 0;
}
.note {
  width: 100%;
  resize: vertical;
}
.color {
  width: 44px;
  height: 28px;
  border: 1px solid var(--field-line);
  border-radius: var(--r-field);
  padding: 2px;
  background: var(--well);
  cursor: pointer;
}
</style>

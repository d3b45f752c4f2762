<script setup lang="ts">
import { computed } from 'vue';
import type { Part } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import ChoicesRow from '../../../ui/ChoicesRow.vue';
import FactRow from '../../../ui/FactRow.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';

/** Another piece that stands in this one: as a sticker to be peeled off, or printed only. */
const props = defineProps<{ desk: DeskState; element: Part }>();
const part = computed(() => props.element);
const say = texts.stickers;
const inner = computed(() =>
  props.desk.store.committed?.pieces.find(({ id }) => id === part.value.piece),
);
</script>

<template>
  <CardPanel :title="say.sticker" peeled>
    <FactRow :label="say.of"
      ><span>{{ inner?.name ?? say.gone }}</span></FactRow
    >
    <ChoicesRow
      :label="say.cut"
      :name="say.cutLong"
      :model-value="part.cut ?? 'none'"
      :choices="say.cuts"
      @update:model-value="desk.change({ cut: $event === 'kiss' ? 'kiss' : undefined })"
    />
    <LinkButton v-if="inner" @click="desk.show(inner.id)">
      {{ say.open(inner.name) }}
    </LinkButton>
  </CardPanel>
</template>

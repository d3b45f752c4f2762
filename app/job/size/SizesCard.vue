<script setup lang="ts">
import { computed } from 'vue';
import { sizesOf } from '../../../core/job/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import { shapeWords } from '../../ui/shape-words.ts';
import LinkButton from '../../ui/LinkButton.vue';

/** The sizes of one design, each for a thing of its own. */
const chosen = defineModel<string>({ required: true });
const store = useJobStore();
const settings = useSettings();
const base = computed(() => store.job?.pieces.find(({ variant }) => !variant));
const sizes = computed(() =>
  store.job && base.value ? [base.value, ...sizesOf(store.job, base.value.id)] : [],
);

function add(): void {
  const before = new Set(sizes.value.map(({ id }) => id));
  if (!base.value || !store.act({ name: 'add-size', args: { piece: base.value.id } })) return;
  chosen.value = sizes.value.find(({ id }) => !before.has(id))?.id ?? chosen.value;
}

function remove(): void {
  const gone = chosen.value;
  if (store.act({ name: 'delete-piece', args: { piece: gone } }))
    chosen.value = base.value?.id ?? '';
}
</script>

<template>
  <CardPanel :title="texts.size.sizes" :aside="sizes.length > 1 ? String(sizes.length) : undefined">
    <div v-if="sizes.length > 1" class="sizes" role="radiogroup" :aria-label="texts.size.sizes">
      <button
        v-for="piece in sizes"
        :key="piece.id"
        type="button"
        role="radio"
        :aria-checked="piece.id === chosen"
        @click="chosen = piece.id"
      >
        <strong>{{ piece.name }}</strong>
        <span class="quiet">{{ shapeWords(piece.edge, settings.unit) }}</span>
      </button>
    </div>
    <p v-else class="quiet hint">{{ texts.size.sizesHint }}</p>
    <LinkButton @click="add">{{ texts.size.addSize }}</LinkButton>
    <LinkButton v-if="chosen !== base?.id" @click="remove">
      {{ texts.size.removeSize }}
    </LinkButton>
  </CardPanel>
</template>

<style scoped>
.sizes {
  display: flex;
  flex-direction: column;
  gap: 4px;
  margin-bottom: 6px;
}
.sizes button {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  border: 1px solid transparent;
  border-radius: var(--r-field);
  padding: 6px 10px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.sizes button[aria-checked='true'] {
  border-color: var(--apricot);
  background: var(--apricot-soft);
}
.hint {
  margin: 2px 0 4px;
}
.link + .link {
  margin-left: 14px;
}
</style>

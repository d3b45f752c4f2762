<script setup lang="ts">
import { computed } from 'vue';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import { oneOffFacts } from '../common/one-off-facts.ts';

/** The copies that differ from their pieces, wherever they lie. */
const emit = defineEmits<{ show: [copy: string, sheet: number] }>();
const store = useJobStore();
const say = texts.sheet;
const facts = computed(() => (store.committed ? oneOffFacts(store.committed) : []));

function show(copy: string): void {
  const sheet = store.committedLayout?.sheets.findIndex(({ placements }) =>
    placements.some((one) => one.copy === copy),
  );
  if (sheet !== undefined && sheet >= 0) emit('show', copy, sheet);
}
</script>

<template>
  <CardPanel v-if="facts.length" :title="say.oneOffs" :aside="String(facts.length)">
    <ul>
      <li v-for="{ copy, name, what, out } in facts" :key="copy">
        <LinkButton @click="show(copy)">{{ name }}</LinkButton>
        <span class="quiet">{{ out ? say.leftOut : what }}</span>
      </li>
    </ul>
    <LinkButton
      v-if="facts.length > 1"
      @click="
        store.act({ name: 'return-one-offs', args: { copies: facts.map(({ copy }) => copy) } })
      "
    >
      {{ say.allToPieces }}
    </LinkButton>
  </CardPanel>
</template>

<style scoped>
ul {
  max-height: 190px;
  margin: 0;
  padding: 0;
  list-style: none;
  overflow: auto;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  min-height: var(--row);
}
li .link {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
li .quiet {
  font-size: 12.5px;
  text-align: right;
}
</style>

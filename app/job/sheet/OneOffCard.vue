<script setup lang="ts">
import { computed } from 'vue';
import { copyOf, hasOwnArtwork } from '../../../core/job/index.ts';
import { filledText, fieldsOfRow, type Words } from '../../../core/piece/index.ts';
import type { SheetCopy } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import { usePieceHome } from '../common/piece-home.ts';
import { ownWords } from '../common/one-off-facts.ts';

/** What one copy has of its own beside its piece: its words to be typed, all else on the Artwork desk. */
const props = defineProps<{ copy: SheetCopy }>();
const store = useJobStore();
const say = texts.sheet;
const { homeOf, goHome } = usePieceHome();
const home = computed(() => homeOf(props.copy.placement.piece));
const name = computed(() => props.copy.placement.copy);
const found = computed(() => store.committed && copyOf(store.committed, name.value));
const own = computed(() => store.committed?.oneOffs?.[name.value]);
const differs = computed(() => (own.value && hasOwnArtwork(own.value) ? ownWords(own.value) : ''));
const words = computed(() =>
  (found.value?.piece.elements ?? []).filter(
    (one): one is Words => one.kind === 'words' && !one.hidden,
  ),
);

/** Words as they are printed on this copy. */
function printed({ text }: Words): string {
  const { committed: job } = store;
  const copy = found.value;
  if (!job || !copy) return text;
  const row = job.list && copy.row && fieldsOfRow(job.list, copy.row);
  return filledText(text, { today: job.today, number: copy.number, ...(row ? { row } : {}) });
}

function type(element: string, event: Event): void {
  const text = (event.target as HTMLTextAreaElement).value;
  const piece = props.copy.placement.piece;
  store.changeAlone(
    name.value,
    { name: 'change-elements', args: { piece, changes: { [element]: { text } } } },
    `own:${name.value}:${element}`,
  );
}
</script>

<template>
  <CardPanel :title="say.onThisCopy" :data-own="differs !== ''">
    <p v-if="own?.out" class="quiet">{{ say.emptyPlace }}</p>
    <template v-else-if="home === undefined">
      <p v-if="differs" class="differs"><span class="mark" />{{ say.differs(differs) }}</p>
      <textarea
        v-for="(one, at) in words"
        :key="one.id"
        class="well"
        rows="1"
        :aria-label="say.sayOf(at + 1)"
        :value="printed(one)"
        @input="type(one.id, $event)"
      />
      <p v-if="words.length" class="quiet">{{ say.ownHint }}</p>
    </template>
    <p class="actions">
      <router-link
        v-if="!own?.out && home === undefined"
        class="link"
        :to="{ name: 'artwork', query: { piece: copy.placement.piece, copy: name } }"
        >{{ say.changeAlone }}</router-link
      >
      <LinkButton v-if="home !== undefined" @click="goHome(copy.placement.piece)">
        {{ texts.set.changeAt(home) }}
      </LinkButton>
      <LinkButton
        v-if="differs && !own?.out && home === undefined"
        @click="store.act({ name: 'use-on-all', args: { copy: name } })"
      >
        {{ say.toAll }}
      </LinkButton>
      <LinkButton
        v-if="differs"
        @click="store.act({ name: 'return-one-offs', args: { copies: [name] } })"
      >
        {{ say.toPiece }}
      </LinkButton>
      <LinkButton
        @click="store.act({ name: 'leave-out', args: { copies: [name], out: !own?.out } })"
      >
        {{ own?.out ? say.printAgain : say.leaveOut }}
      </LinkButton>
    </p>
  </CardPanel>
</template>

<style scoped>
textarea {
  box-sizing: border-box;
  width: 100%;
  min-height: 34px;
  margin-bottom: 6px;
  padding: 6px 10px;
  field-sizing: content;
  resize: none;
}
p {
  margin: 0 0 6px;
}
.differs {
  display: flex;
  gap: 8px;
  align-items: center;
}
.mark {
  flex: none;
  width: 10px;
  height: 10px;
  border: 1.5px solid var(--plum);
  background: var(--apricot);
  transform: rotate(45deg);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 0;
}
</style>

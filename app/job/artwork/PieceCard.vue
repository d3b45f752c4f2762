<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Art } from '../../../core/art/index.ts';
import { backOf, tryCommand, type CommandCall, type Job } from '../../../core/job/index.ts';
import type { Fill } from '../../../core/piece/index.ts';
import { calls } from '../../calls/index.ts';
import { keepInDrawer } from '../../storage/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LinkButton from '../../ui/LinkButton.vue';
import PieceThumbnail from '../../session/PieceThumbnail.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import KeepDesignPanel from './start/KeepDesignPanel.vue';
import FillPicker from './fill/FillPicker.vue';
import { texts } from '../../texts/index.ts';

/** The pieces of the job, and the ground of the one on the desk. */
const props = defineProps<{ desk: DeskState }>();
const messages = useMessages();

function groundCall(ground: Fill | null, art?: Art): CommandCall {
  const piece = props.desk.piece.value?.id ?? '';
  return { name: 'change-piece', args: { piece, changes: { ground }, ...(art ? { art } : {}) } };
}

function ground(fill: Fill | null, key?: string, art?: Art): void {
  props.desk.store.act(groundCall(fill, art), key && `ground-${key}`);
}

/** The job with another ground, to be looked at only. */
function tried(fill: Fill): Job | undefined {
  const { committed } = props.desk.store;
  return committed && tryCommand(committed, groundCall(fill));
}

function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim();
  if (props.desk.piece.value && name)
    props.desk.store.act({
      name: 'change-piece',
      args: { piece: props.desk.piece.value.id, changes: { name } },
    });
}

const keeping = ref(false);
const designing = ref(false);

async function keepAsArt(): Promise<void> {
  const { piece, store } = props.desk;
  if (!piece.value || !store.job) return;
  keeping.value = true;
  try {
    const call = calls.call('pieceAsArt', { job: store.job, piece: piece.value.id });
    const made = await call.answer;
    if (!made.ok) return messages.sayProblem(made.problem);
    await keepInDrawer(made.value, Date.now());
    messages.say(texts.artwork.keptAsArt(piece.value.name));
  } catch (error) {
    messages.sayError(error);
  } finally {
    keeping.value = false;
  }
}

/** One more piece like this one: apart from it, or following it. */
function addVariety(name: 'copy-piece' | 'add-variant'): void {
  const { piece, store } = props.desk;
  if (!piece.value) return;
  const count = store.own.length + 1;
  if (
    store.act({
      name,
      args: { piece: piece.value.id, name: `${piece.value.name} ${count}`.slice(0, 120) },
    })
  ) {
    props.desk.show(store.own[count - 1]?.id ?? '');
  }
}

/** The piece on the other side of this one, or the front that this one is behind. */
const back = computed(() => {
  const { piece, store } = props.desk;
  return store.job && piece.value
    ? (piece.value.behind ?? backOf(store.job, piece.value.id)?.id)
    : undefined;
});

function addBack(): void {
  const { piece, store } = props.desk;
  if (piece.value && store.act({ name: 'add-back', args: { piece: piece.value.id } }))
    props.desk.show(back.value ?? '');
}

function remove(): void {
  const { piece, store } = props.desk;
  if (!piece.value) return;
  const { id } = piece.value;
  if (store.act({ name: 'delete-piece', args: { piece: id } }))
    props.desk.show(store.job?.pieces[0]?.id ?? '');
}
</script>

<template>
  <CardPanel v-if="desk.piece.value && desk.store.job" :title="texts.artwork.piece" peeled>
    <input
      class="well name"
      :value="desk.piece.value.name"
      :aria-label="texts.artwork.pieceName"
      maxlength="120"
      @change="rename"
    />
    <p class="quiet">{{ texts.artwork.groundHint }}</p>
    <FillPicker
      :label="texts.artwork.ground"
      :none="texts.artwork.noGround"
      :desk="desk"
      :model-value="desk.piece.value.ground"
      :tried="tried"
      @update:model-value="ground"
    />
    <LinkButton
      v-if="desk.piece.value.elements.length"
      class="keep"
      :disabled="keeping"
      @click="keepAsArt"
    >
      {{ keeping ? texts.artwork.keepingAsArt : texts.artwork.keepAsArt }}
    </LinkButton>
    <LinkButton v-if="desk.piece.value.elements.length" class="keep" @click="designing = true">
      {{ texts.start.keepOpen }}
    </LinkButton>
    <KeepDesignPanel v-if="designing" :desk="desk" @close="designing = false" />
  </CardPanel>
  <CardPanel
    v-if="desk.store.job"
    :title="texts.artwork.varieties"
    :aside="String(desk.store.own.length)"
  >
    <div class="pieces">
      <button
        v-for="piece in desk.store.own"
        :key="piece.id"
        type="button"
        :aria-pressed="piece.id === desk.piece.value?.id"
        @click="desk.show(piece.id)"
      >
        <PieceThumbnail :job="desk.store.job" :piece="piece.id" />
        <span>{{ piece.name }}</span>
      </button>
    </div>
    <div class="links">
      <LinkButton @click="addVariety('copy-piece')">
        {{ texts.artwork.addAVariety }}
      </LinkButton>
      <LinkButton
        v-if="desk.piece.value?.elements.length"
        :title="texts.variants.addHint"
        @click="addVariety('add-variant')"
      >
        {{ texts.variants.add }}
      </LinkButton>
      <LinkButton v-if="desk.piece.value && !back" @click="addBack">
        {{ texts.artwork.addBack }}
      </LinkButton>
      <LinkButton v-if="desk.store.own.length > 1" @click="remove">
        {{ texts.artwork.deleteThisOne }}
      </LinkButton>
    </div>
  </CardPanel>
</template>

<style scoped>
.name {
  box-sizing: border-box;
  width: 100%;
  font-family: var(--display);
  font-size: 16px;
}
p {
  margin: 10px 0 0;
}
.keep {
  display: block;
}
.pieces {
  display: grid;
  gap: 4px;
  margin-bottom: 6px;
}
.pieces button {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 42px;
  border: 0;
  border-radius: 10px;
  padding: 3px 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.pieces button:hover,
.pieces button[aria-pressed='true'] {
  background: var(--apricot-soft);
}
.pieces svg {
  flex: none;
  width: 36px;
  height: 36px;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
</style>

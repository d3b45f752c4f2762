<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { boxAround } from '../../../core/geometry/index.ts';
import type { CopyId, SheetCopy } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import CheckRow from '../../ui/CheckRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import { moveCall } from './move-call.ts';

/** What can be done with one copy or several: turned, pinned, repeated in steps, put back. */
const props = defineProps<{ copies: readonly SheetCopy[]; sheet: number }>();
const emit = defineEmits<{ gone: [] }>();
const store = useJobStore();
const say = texts.sheet;

const names = computed(() => props.copies.map(({ placement }) => placement.copy));
const pinned = computed(() =>
  names.value.every((name) => store.job?.plan.handPlaces[name]?.pinned === true),
);
const moved = computed(() => names.value.filter((name) => store.job?.plan.handPlaces[name]));

function turn(): void {
  store.act(
    moveCall(props.copies, props.sheet, ({ angle }) => ({
      angle: (((angle + 90) % 360) + 360) % 360,
    })),
  );
}

function takeAway(): void {
  if (store.act({ name: 'remove-copies', args: { copies: names.value } })) emit('gone');
}

const repeating = ref(false);
const across = ref(2);
const down = ref(1);
const gap = ref(store.job?.plan.gap ?? 0);
watch(names, () => (repeating.value = false));
const more = computed(() => (across.value * down.value - 1) * props.copies.length);

function repeat(): void {
  const box = boxAround(props.copies.map((copy) => copy.box));
  if (!box) return;
  const [dx, dy] = [box.right - box.left + gap.value, box.bottom - box.top + gap.value];
  const copies: CopyId[] = names.value;
  const done = store.act({
    name: 'repeat-copies',
    args: { copies, across: across.value, down: down.value, dx, dy },
  });
  if (done) repeating.value = false;
}
</script>

<template>
  <CheckRow
    :label="say.pinned"
    :model-value="pinned"
    @update:model-value="store.act({ name: 'pin-copies', args: { copies: names, pinned: $event } })"
  />
  <p class="actions">
    <LinkButton @click="turn">{{ say.turn }}</LinkButton>
    <LinkButton :aria-expanded="repeating" @click="repeating = !repeating">
      {{ say.repeat }}
    </LinkButton>
    <LinkButton @click="store.act({ name: 'print-only', args: { copies: names } })">
      {{ say.now.these(names.length) }}
    </LinkButton>
    <LinkButton @click="takeAway">
      {{ say.takeAway }}
    </LinkButton>
    <LinkButton
      v-if="moved.length"
      @click="store.act({ name: 'return-copies', args: { copies: moved } })"
    >
      {{ moved.length > 1 ? say.backAll(moved.length) : say.back }}
    </LinkButton>
  </p>
  <div v-if="repeating" class="repeat">
    <NumberRow v-model="across" :label="say.across" :min="1" :max="60" />
    <NumberRow v-model="down" :label="say.down" :min="1" :max="60" />
    <LengthRow v-model="gap" :label="say.gapLong" :name="say.repeatGap" :min="0" :max="200" />
    <LinkButton :disabled="more === 0" @click="repeat">
      {{ say.repeatMore(more) }}
    </LinkButton>
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 4px 0 0;
}
.repeat {
  margin-top: 8px;
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
</style>

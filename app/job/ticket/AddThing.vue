<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { thingsOf, type CommandCall, type Job } from '../../../core/job/index.ts';
import { THING_KINDS, type MeasuredThing } from '../../../core/things/index.ts';
import { useHouseStyle } from '../../session/house-style-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useShelf } from '../../session/shelf-store.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import OverlayPanel from '../../ui/OverlayPanel.vue';
import JobChips from '../common/JobChips.vue';
import BeginningPicture from '../../ui/thing-pictures/BeginningPicture.vue';
import { callForThing } from './new-thing.ts';

/** What else gets a label in this look: another thing, or a job that is there already. */
const emit = defineEmits<{ close: [] }>();
const say = texts.set;
const store = useJobStore();
const shelf = useShelf();
const house = useHouseStyle();
const messages = useMessages();
const router = useRouter();
onMounted(() => void Promise.all([house.load(), shelf.refresh()]));

const others = computed(() =>
  shelf.jobs.map(({ job }) => job).filter(({ id }) => id !== store.whole?.id),
);

/** Whether it is a part of the set now; it is shown. */
function added(call: CommandCall): boolean {
  if (!store.act(call)) return false;
  const last = store.whole && thingsOf(store.whole).at(-1);
  if (last) store.showThing(last.id);
  emit('close');
  return true;
}

async function add(kind: MeasuredThing['kind']): Promise<void> {
  if (store.whole && added(callForThing(store.whole, kind, house.style)))
    await router.push({ name: 'size' });
}

function join(other: Job): void {
  const first = texts.set.names[store.whole?.thing.kind ?? 'own'];
  if (added({ name: 'join-job', args: { other, first } })) messages.say(say.joined(other.name));
}
</script>

<template>
  <OverlayPanel :title="say.add" @close="$emit('close')">
    <p class="quiet">{{ say.addHint }}</p>
    <div class="kinds">
      <button v-for="kind in THING_KINDS" :key="kind" type="button" @click="add(kind)">
        <BeginningPicture :beginning="kind" />
        <span>
          <strong>{{ texts.shelf.beginnings[kind].name }}</strong>
          <span class="quiet">{{ texts.shelf.beginnings[kind].hint }}</span>
        </span>
      </button>
    </div>
    <h3>{{ say.join }}</h3>
    <p v-if="others.length === 0" class="quiet">{{ say.joinNone }}</p>
    <JobChips :jobs="others" @choose="join" />
  </OverlayPanel>
</template>

<style scoped>
p {
  margin: 0 0 10px;
}
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 8px;
}
button {
  border: 1px solid var(--line);
  border-radius: var(--r-job);
  background: var(--card);
  color: var(--ink);
  font: inherit;
  text-align: start;
  cursor: pointer;
}
.kinds button {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 12px;
}
.kinds strong,
.kinds span span {
  display: block;
}
button:hover {
  border-color: var(--apricot);
  background: var(--apricot-soft);
}
h3 {
  margin: 18px 0 8px;
  font-size: 14px;
}
</style>

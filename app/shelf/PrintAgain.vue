<script setup lang="ts">
import { computed, reactive } from 'vue';
import { useRouter } from 'vue-router';
import { frontsOf, groupsOf, type Job, type SheetGroup } from '../../core/job/index.ts';
import { isByRow } from '../../core/sheet/index.ts';
import { usePrintAgain } from '../session/print-again.ts';
import PieceThumbnail from '../session/PieceThumbnail.vue';
import { texts } from '../texts/index.ts';
import NumberField from '../ui/NumberField.vue';
import OverlayPanel from '../ui/OverlayPanel.vue';

/** Which things of a set are printed again, and how many of each of their labels. */
const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const say = texts.again;
const router = useRouter();
const again = usePrintAgain();
const MOST = 500;

const groups = computed(() => groupsOf(props.job));
const chosen = reactive(new Set(groups.value.map(({ id }) => id)));
/** Numbers that were typed. */
const counts = reactive(new Map<string, number>());

/** How many it was set to make of its first label, of which a list gives them a row. */
function countOf({ job }: SheetGroup): number {
  const id = frontsOf(job)[0]?.id ?? '';
  return (isByRow(job, id) ? job.plan.copiesPerRow?.[id] : job.plan.wanted[id]) ?? 1;
}
const isListed = ({ job }: SheetGroup): boolean => isByRow(job, frontsOf(job)[0]?.id ?? '');

function choose(id: string): void {
  if (!chosen.delete(id)) chosen.add(id);
}

async function go(): Promise<void> {
  const left = groups.value
    .filter(({ id }) => chosen.has(id))
    .map(({ id, name }) => ({ thing: id, name, count: counts.get(id) }));
  again.start(props.job.id, left);
  emit('close');
  await router.push(`/job/${props.job.id}/run`);
}
</script>

<template>
  <OverlayPanel :title="say.title(job.name)" @close="emit('close')">
    <div v-for="group in groups" :key="group.id" class="row">
      <label>
        <input type="checkbox" :checked="chosen.has(group.id)" @change="choose(group.id)" />
        <PieceThumbnail :job="group.job" :piece="group.job.pieces[0]?.id ?? ''" />
        <span class="name">
          {{ group.name }}
          <span class="quiet">{{ group.job.stock.name }}, {{ group.job.material.name }}</span>
        </span>
      </label>
      <span class="quiet">{{ isListed(group) ? say.aRow : say.ofEach }}</span>
      <NumberField
        :label="say.countOf(group.name)"
        :model-value="counts.get(group.id) ?? countOf(group)"
        :min="1"
        :max="MOST"
        @update:model-value="counts.set(group.id, $event)"
      />
    </div>
    <v-btn color="primary" :disabled="chosen.size === 0" @click="go">{{ say.go }}</v-btn>
  </OverlayPanel>
</template>

<style scoped>
.row {
  display: flex;
  gap: 12px;
  align-items: center;
  border-bottom: 1px dashed var(--line);
  padding: 6px 0;
}
label {
  display: flex;
  flex: 1;
  gap: 12px;
  align-items: center;
  min-width: 0;
}
svg {
  flex: none;
  width: 44px;
  height: 44px;
}
input {
  accent-color: var(--plum);
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
}
.name .quiet {
  display: block;
  font-size: 12.5px;
}
.v-btn {
  margin-top: 14px;
}
</style>

<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';
import { drawingsOf, readyMade, type ReadyMade, type Subject } from './ready-made.ts';

/** The ready-made pictures by subject; a subject is fetched when it is looked at. */
const props = defineProps<{ typed: string }>();
defineEmits<{ choose: [picture: ReadyMade] }>();
const words = texts.art;
const messages = useMessages();
const all = shallowRef<readonly ReadyMade[]>([]);
const subject = ref<Subject | ''>('plants');
const drawings = shallowRef<Readonly<Record<string, string>>>({});
const subjects = Object.entries(words.subjects) as [Subject, string][];
const FIRST = 240;

const found = computed(() => {
  const wanted = props.typed.trim().toLowerCase().split(/\s+/).filter(Boolean);
  return all.value
    .filter((one) => wanted.length > 0 || subject.value === '' || one.subject === subject.value)
    .filter(({ name }) => wanted.every((word) => name.toLowerCase().includes(word)))
    .slice(0, FIRST);
});

async function load(): Promise<void> {
  try {
    const wanted = [...new Set(found.value.map((one) => one.subject))];
    for (const one of wanted) {
      const more = await drawingsOf(one);
      drawings.value = { ...drawings.value, ...more };
    }
  } catch (error) {
    messages.sayError(error);
  }
}

onMounted(async () => {
  all.value = await readyMade().catch((error: unknown) => {
    messages.sayError(error);
    return [];
  });
});
watch(found, load);

const address = ({ id }: ReadyMade): string | undefined => {
  const svg = drawings.value[id];
  return svg && `data:image/svg+xml,${encodeURIComponent(svg)}`;
};
</script>

<template>
  <div>
    <div class="subjects" role="group" :aria-label="words.parts.ready">
      <button
        v-for="[key, name] in subjects"
        :key="key"
        type="button"
        :aria-pressed="subject === key && typed === ''"
        @click="subject = key"
      >
        {{ name }}
      </button>
    </div>
    <ul class="grid" :aria-label="words.parts.ready">
      <li v-for="one in found" :key="one.subject + one.id">
        <button type="button" class="one" :title="one.name" @click="$emit('choose', one)">
          <img v-if="address(one)" :src="address(one)" :alt="one.name" draggable="false" />
        </button>
      </li>
    </ul>
    <p v-if="all.length && found.length === 0" class="quiet">{{ words.noMatch(typed) }}</p>
  </div>
</template>

<style scoped>
.subjects {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-bottom: 14px;
}
.subjects button {
  min-height: var(--row);
  border: 1px solid var(--field-line);
  border-radius: 17px;
  padding: 2px 14px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.subjects button[aria-pressed='true'],
.subjects button:hover {
  background: var(--apricot-soft);
  font-weight: 600;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(72px, 1fr));
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.one {
  width: 100%;
  height: 72px;
  border: 1px solid transparent;
  border-radius: var(--r-card);
  padding: 8px;
  background: var(--release);
  cursor: pointer;
}
.one:hover,
.one:focus-visible {
  border-color: var(--plum);
}
img {
  width: 100%;
  height: 100%;
  object-fit: contain;
}
</style>

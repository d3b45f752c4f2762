<script setup lang="ts">
import { mdiTune } from '@mdi/js';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { UNITS, type Unit } from '../../core/units/index.ts';
import { useJobStore } from '../session/job-store.ts';
import { texts } from '../texts/index.ts';
import { useShelf } from '../session/shelf-store.ts';
import ChoiceRow from '../ui/ChoiceRow.vue';
import { CURRENCIES } from '../ui/money.ts';
import { useSettings } from '../ui/settings-store.ts';

const props = defineProps<{
  inJob: boolean;
  /** The place of the workshop that is open; none in a job. */
  here: keyof typeof texts.places | undefined;
}>();
const settings = useSettings();
const shelf = useShelf();
const store = useJobStore();
const router = useRouter();

const keep = computed(() => {
  if (!props.inJob || store.state !== 'open') return { state: 'kept', text: texts.kept.all };
  return { state: store.keepState, text: texts.kept[store.keepState] };
});
const units = Object.fromEntries(UNITS.map((unit) => [unit, unit])) as Record<Unit, string>;

function search(): void {
  if (props.here !== 'shelf') void router.push('/');
}
</script>

<template>
  <header class="bar">
    <router-link class="brand" to="/">
      <svg viewBox="0 0 32 32" aria-hidden="true">
        <path d="M16 3A13 13 0 1 0 29 16H22A6 6 0 0 1 16 10Z" fill="#5d2a53" />
        <path d="M16 3V10A6 6 0 0 0 22 16H29C29 8.8 23.2 3 16 3Z" fill="#f2a65a" />
      </svg>
      <span class="display">{{ texts.brand }}</span>
    </router-link>
    <nav>
      <router-link
        v-for="(name, place) in texts.places"
        :key="place"
        class="place"
        :to="{ name: place }"
        :class="{ here: here === place }"
        >{{ name }}</router-link
      >
    </nav>
    <input
      v-model="shelf.query"
      class="search"
      type="search"
      :placeholder="texts.search"
      :aria-label="texts.search"
      @keydown.enter="search"
      @input="search"
    />
    <span class="keep" :class="keep.state" role="status"
      ><i aria-hidden="true" />{{ keep.text }}</span
    >
    <v-menu :close-on-content-click="false" location="bottom end">
      <template #activator="{ props: menu }">
        <button v-bind="menu" class="tune" type="button" :aria-label="texts.settings.open">
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiTune" /></svg>
        </button>
      </template>
      <div class="settings">
        <p>{{ texts.settings.unit }}</p>
        <ChoiceRow v-model="settings.unit" :label="texts.settings.unit" :choices="units" />
        <p>{{ texts.settings.theme }}</p>
        <ChoiceRow
          v-model="settings.theme"
          :label="texts.settings.theme"
          :choices="texts.settings.themes"
        />
        <p>{{ texts.settings.currency }}</p>
        <select v-model="settings.currency" class="well" :aria-label="texts.settings.currency">
          <option v-for="one in CURRENCIES" :key="one" :value="one">{{ one }}</option>
        </select>
      </div>
    </v-menu>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  flex: none;
  align-items: center;
  gap: 14px;
  box-sizing: border-box;
  height: 52px;
  border-bottom: 1px solid var(--line);
  padding: 0 16px;
  background: var(--card);
}
.brand {
  display: flex;
  align-items: center;
  gap: 9px;
  margin-right: 10px;
  border-radius: 10px;
  color: var(--plum);
  font-size: 19px;
  text-decoration: none;
}
.brand svg {
  width: 28px;
  height: 28px;
}
nav {
  flex: 1;
}
.place {
  display: inline-block;
  border-radius: 20px;
  padding: 7px 14px;
  color: var(--ink-2);
  font-weight: 500;
  text-decoration: none;
}
.place:hover {
  background: var(--well);
}
.here {
  background: var(--apricot-soft);
  color: var(--ink);
  font-weight: 600;
}
.search {
  width: 200px;
  height: 32px;
  border: 1px solid var(--field-line);
  border-radius: 17px;
  padding: 0 14px;
  background: var(--well);
  color: var(--ink);
  font: inherit;
}
.search::placeholder {
  color: var(--ink-2);
  opacity: 1;
}
.keep {
  display: flex;
  align-items: center;
  gap: 7px;
  min-width: 102px;
  color: var(--leaf-text);
}
.keep i {
  width: 9px;
  height: 9px;
  border-radius: 50%;
  background: currentcolor;
}
.keeping,
.reading {
  color: var(--amber-text);
}
.failed {
  color: var(--brick-text);
  font-weight: 600;
}
.tune {
  width: 34px;
  height: 34px;
  border: 0;
  border-radius: 50%;
  background: none;
  cursor: pointer;
}
.tune:hover {
  background: var(--apricot-soft);
}
.tune svg {
  width: 20px;
  fill: var(--plum);
}
.settings {
  border-radius: var(--r-card);
  padding: 4px 16px 16px;
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
}
.settings p {
  margin: 12px 0 6px;
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { ref } from 'vue';
import { texts } from '../../texts/index.ts';
import CheckRow from '../../ui/CheckRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** Numbers for the rows of a column: from where, in which steps, in order or drawn. */
defineProps<{ counted?: boolean }>();
const emit = defineEmits<{
  fill: [how: { from: number; step: number; digits: number; draw?: number; count: number }];
  back: [];
}>();
const say = texts.list;
const from = ref(1);
const step = ref(1);
const digits = ref(3);
const count = ref(100);
const draws = ref(false);

function fill(): void {
  // The draw can be made again by its number; which one it is may be left to chance.
  const draw = draws.value ? { draw: Math.floor(Math.random() * 1e6) } : {};
  emit('fill', {
    from: from.value,
    step: step.value,
    digits: digits.value,
    count: count.value,
    ...draw,
  });
}
</script>

<template>
  <form class="numbers" @submit.prevent="fill">
    <NumberRow v-if="counted" v-model="count" :label="say.count" :min="1" :max="5000" />
    <NumberRow v-model="from" :label="say.from" :min="-999999" :max="999999999" />
    <NumberRow v-model="step" :label="say.step" :min="-1000" :max="1000" />
    <NumberRow v-model="digits" :label="say.digits" :min="1" :max="12" />
    <CheckRow v-model="draws" :label="say.draw" />
    <div class="acts">
      <LinkButton type="submit">{{ say.fillIn }}</LinkButton>
      <LinkButton @click="emit('back')">{{ say.back }}</LinkButton>
    </div>
  </form>
</template>

<style scoped>
.numbers {
  width: 100%;
  max-width: 300px;
}
.acts {
  display: flex;
  gap: 18px;
}
</style>

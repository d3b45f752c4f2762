<script setup lang="ts">
import { computed } from 'vue';
import { fromMm, type Unit } from '../../core/units/index.ts';
import { useSettings } from './settings-store.ts';
import { useTypedLength } from './typed-length.ts';

/** A length to read and type, in the user's unit unless another is set. Enter or leaving takes it over. */
const props = defineProps<{
  modelValue: number;
  label: string;
  unit?: Unit;
  min?: number;
  max?: number;
  step?: number;
}>();
const emit = defineEmits<{ 'update:modelValue': [mm: number] }>();
const settings = useSettings();
const unit = computed(() => props.unit ?? settings.unit);
function limited(mm: number): number {
  return Math.min(props.max ?? Infinity, Math.max(props.min ?? -Infinity, mm));
}

const { text, problem, take, giveUp } = useTypedLength({
  value: () => props.modelValue,
  unit: () => unit.value,
  accept(typed) {
    const mm = limited(typed);
    if (Math.abs(mm - props.modelValue) > 1e-9) emit('update:modelValue', mm);
    return mm;
  },
});

function stepBy(direction: number, event: KeyboardEvent): void {
  const step = (props.step ?? 0.5) * (event.shiftKey ? 10 : 1);
  emit(
    'update:modelValue',
    limited(Math.round((props.modelValue + direction * step) * 1000) / 1000),
  );
}

const size = computed(() =>
  Math.max(6, String(fromMm(props.modelValue, unit.value).toFixed(1)).length + 3),
);
</script>

<template>
  <span class="field">
    <input
      v-model="text"
      class="well length"
      :size="size"
      :aria-label="label"
      :aria-invalid="problem !== ''"
      inputmode="decimal"
      @blur="take"
      @keydown.enter="take"
      @keydown.esc="giveUp"
      @keydown.up.prevent="stepBy(1, $event)"
      @keydown.down.prevent="stepBy(-1, $event)"
      @focus="($event.target as HTMLInputElement).select()"
    />
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped>
.length {
  text-align: right;
}
[aria-invalid='true'] {
  border-color: var(--brick);
}
.field {
  display: inline-flex;
  flex-direction: column;
  align-items: flex-end;
  max-width: 100%;
}
.problem {
  margin: 2px 0 4px;
  color: var(--brick-text);
  font-size: 12.5px;
  text-align: right;
}
</style>

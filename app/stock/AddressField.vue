<script setup lang="ts">
import { ref, watch } from 'vue';
import type { DeviceKind } from '../../devices/protocol/index.ts';
import { confirmDevice, isConfirmed } from '../session/bridge.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';

/** The address of a device: typed, then confirmed, so that nothing is sent where nobody meant it. */
const props = defineProps<{
  kind: DeviceKind;
  label: string;
  address: string;
  example: string;
  hint: string;
}>();
const emit = defineEmits<{ confirmed: [address: string] }>();
const messages = useMessages();
const typed = ref(props.address);
/** Whether the address that is kept came from elsewhere, and nobody has confirmed it here. */
const fromElsewhere = ref(false);
watch(
  () => props.address,
  async (address) => {
    typed.value = address;
    fromElsewhere.value = address !== '' && !(await isConfirmed(props.kind, address));
  },
  { immediate: true },
);

async function confirm(): Promise<void> {
  const text = typed.value.trim();
  if (text === props.address && !fromElsewhere.value) return;
  if (!text) return emit('confirmed', '');
  const done = await confirmDevice(props.kind, text);
  if (!done.ok) return messages.sayProblem(done.problem);
  typed.value = done.value;
  fromElsewhere.value = false;
  emit('confirmed', done.value);
  messages.say(texts.devices.confirm(done.value));
}
</script>

<template>
  <label class="address">
    <span>{{ label }}</span>
    <span class="row">
      <input
        v-model="typed"
        class="well"
        maxlength="300"
        spellcheck="false"
        :placeholder="example"
        @keydown.enter="confirm"
      />
      <v-btn
        v-if="typed.trim() !== address || fromElsewhere"
        color="primary"
        variant="tonal"
        height="32"
        @click="confirm"
        >{{ texts.confirm }}</v-btn
      >
    </span>
    <span v-if="fromElsewhere" class="look">{{ texts.devices.fromElsewhere }}</span>
    <span class="quiet">{{ hint }}</span>
  </label>
</template>

<style scoped>
.address {
  display: grid;
  gap: 3px;
  margin: 6px 0;
}
.row {
  display: flex;
  gap: 6px;
}
.row input {
  flex: 1;
  min-width: 0;
}
.look {
  color: var(--amber-text);
  font-size: 12.5px;
}
.quiet {
  font-size: 12.5px;
}
</style>

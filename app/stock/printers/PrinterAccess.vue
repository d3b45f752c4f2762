<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Problem, Result } from '../../../core/base/index.ts';
import { logInToPrinter, trustPrinter } from '../../session/bridge.ts';
import { texts } from '../../texts/index.ts';
import FactRow from '../../ui/FactRow.vue';
import { useMessages } from '../../ui/messages-store.ts';

/** What a printer wants before it is spoken to: trust in its certificate, or a name and password. */
const props = defineProps<{ address: string; refused: Problem }>();
const emit = defineEmits<{ open: [] }>();
const words = texts.devices;
const messages = useMessages();
const user = ref('');
const password = ref('');

const certificate = computed(() => {
  const { refused } = props;
  const changed = refused.code === 'printer/certificate-changed';
  if (!changed && refused.code !== 'printer/certificate-unknown') return undefined;
  return {
    title: changed ? words.changedCertificate : words.unknownCertificate,
    hint: changed ? words.compareChanged : words.compare,
    fingerprint: refused.values.fingerprint,
  };
});
const login = computed(() =>
  props.refused.code === 'printer/wants-login' ? props.refused.values : undefined,
);

async function goOn(asked: Promise<Result<unknown>>, says?: string): Promise<void> {
  const done = await asked;
  if (!done.ok) return messages.sayProblem(done.problem);
  if (says) messages.say(says);
  emit('open');
}
</script>

<template>
  <div v-if="certificate" class="ask" role="group" :aria-label="certificate.title">
    <h3>{{ certificate.title }}</h3>
    <p class="quiet">{{ certificate.hint }}</p>
    <p class="fingerprint">{{ certificate.fingerprint.replaceAll(':', ' ') }}</p>
    <v-btn
      color="primary"
      variant="tonal"
      @click="goOn(trustPrinter(address, certificate.fingerprint), words.trusted)"
      >{{ words.trust }}</v-btn
    >
  </div>
  <form
    v-else-if="login"
    class="ask"
    :aria-label="words.wantsLogin"
    @submit.prevent="goOn(logInToPrinter(address, user.trim(), password))"
  >
    <h3>{{ words.wantsLogin }}</h3>
    <p v-if="login.wrong" class="wrong">{{ words.wrongLogin }}</p>
    <FactRow as="label" :label="words.user">
      <input
        v-model="user"
        class="well"
        autocomplete="off"
        maxlength="200"
        pattern="[^:]+"
        required
      />
    </FactRow>
    <FactRow as="label" :label="words.password">
      <input v-model="password" class="well" type="password" autocomplete="off" maxlength="200" />
    </FactRow>
    <p class="quiet">{{ words.loginHint }}</p>
    <v-btn color="primary" variant="tonal" type="submit">{{ words.logIn }}</v-btn>
  </form>
</template>

<style scoped>
.ask {
  margin: 6px 0 8px;
  padding: 10px 12px;
  border: 1px solid var(--amber-text);
  border-radius: 6px;
}
h3 {
  margin: 0 0 4px;
  font-size: 13.5px;
}
p {
  margin: 0 0 8px;
  font-size: 12.5px;
}
.fingerprint {
  font-family: monospace;
  font-size: 12.5px;
  line-height: 1.5;
  overflow-wrap: anywhere;
}
.ask input {
  width: 130px;
}
.wrong {
  color: var(--amber-text);
}
</style>

<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import type { Point } from '../../../core/geometry/index.ts';
import type { SheetCorners } from '../../../core/register/index.ts';
import type { SeenLoaded } from '../../../core/run/index.ts';
import { problemText } from '../../../messages/index.ts';
import { PICTURE_FILES } from '../../ui/picture-files.ts';
import { calls } from '../../calls/index.ts';
import { useOneCall } from '../../ui/one-call.ts';
import PhotoCorners from '../../ui/PhotoCorners.vue';
import { hundredths } from '../../session/printer-facts.ts';
import { bytesOf, chooseFiles } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import LengthField from '../../ui/LengthField.vue';
import { useMessages } from '../../ui/messages-store.ts';
import PixelPicture from '../../ui/PixelPicture.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useFileDrops } from '../../ui/file-drops.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';

/** For a cutter without a sensor: how the loaded sheet lies, from a phone or scanner picture of it. */
const props = defineProps<{ sheet: number; width: number; height: number }>();
const emit = defineEmits<{ done: [places: readonly Point[]]; close: [] }>();
const words = texts.run.byPicture;
const store = useJobStore();
const settings = useSettings();
const messages = useMessages();
const onCarrier = (store.committed?.material.tack ?? 'none') !== 'none';
const lain = ref<keyof typeof words.frames>(onCarrier ? 'carrier' : 'sheet');
const carrierSide = (side: 'width' | 'height') =>
  computed({
    get: () => settings.carrier[side],
    set: (length: number) => (settings.carrier = { ...settings.carrier, [side]: length }),
  });
const [carrierWidth, carrierHeight] = [carrierSide('width'), carrierSide('height')];
const frame = computed(() =>
  lain.value === 'carrier'
    ? { width: carrierWidth.value, height: carrierHeight.value }
    : { width: props.width, height: props.height },
);
const taken = shallowRef<{ bytes: Uint8Array; name: string }>();
const seen = shallowRef<SeenLoaded>();
const { busy, answerOf, cancel } = useOneCall();
const located = computed(() => (seen.value?.read.ok ? seen.value.read.value : undefined));
const why = computed(() =>
  seen.value && !seen.value.read.ok ? seen.value.read.problem : undefined,
);
const { over, drop } = useFileDrops((files) => void take(files));
/** In which order a made-up picture has its luck. */
let luck = 1;

async function look(corners?: SheetCorners): Promise<void> {
  const job = store.committed;
  if (!taken.value || !job) return;
  const call = calls.call('locateSheet', {
    ...{ ...taken.value, job, sheet: props.sheet, frame: frame.value },
    ...(corners ? { corners } : {}),
  });
  const answer = await answerOf(call);
  if (!answer) return;
  if (answer.ok) seen.value = answer.value;
  else messages.sayProblem(answer.problem);
}

async function take([first]: readonly File[]): Promise<void> {
  if (!first || busy.value) return;
  taken.value = { bytes: await bytesOf(first), name: first.name };
  await look();
}

async function tryIt(): Promise<void> {
  const job = store.committed;
  if (!job) return;
  lain.value = 'sheet';
  const order = { job, sheet: props.sheet, seed: luck++ };
  const bytes = await answerOf(calls.call('tryLoaded', order));
  if (!bytes) return;
  taken.value = { bytes, name: words.tryIt };
  await look();
}

const choose = async (): Promise<void> => take(await chooseFiles(PICTURE_FILES));
const share = ({ x, y }: Point): Record<string, string> => ({
  left: `${(100 * x) / frame.value.width}%`,
  top: `${(100 * y) / frame.value.height}%`,
});
onBeforeUnmount(cancel);
</script>

<template>
  <div
    class="loaded"
    :class="{ over }"
    role="group"
    :aria-label="words.title"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop="drop"
  >
    <p v-if="busy" class="doing" role="status">
      {{ words.looking }}
      <LinkButton @click="cancel">{{ texts.cancel }}</LinkButton>
    </p>
    <template v-else-if="located">
      <p data-lies>
        <strong>{{ words.found(located.seen, located.places.length) }}</strong>
        {{ words.within(hundredths(Math.max(0.01, located.residual))) }}
      </p>
      <div class="seen" :style="{ '--ratio': frame.width / frame.height }">
        <PixelPicture class="flat" :image="located.flat" :label="words.picture" />
        <span
          v-for="(place, at) in located.places"
          :key="at"
          class="mark"
          :style="share(place)"
        ></span>
      </div>
      <div class="ways">
        <v-btn color="primary" @click="emit('done', located.places)">{{
          texts.run.cutThere
        }}</v-btn>
        <LinkButton @click="seen = undefined">{{ words.another }}</LinkButton>
      </div>
    </template>
    <template v-else-if="seen && why">
      <p role="alert">
        <strong>{{ problemText(why).what }}</strong> {{ problemText(why).remedy }}
      </p>
      <PhotoCorners
        class="corners"
        :photo="seen"
        :done-label="texts.stock.read.cornersDone"
        @done="look"
      />
      <LinkButton @click="seen = undefined">{{ words.another }}</LinkButton>
    </template>
    <template v-else>
      <p>
        <strong>{{ words.title }}</strong> {{ words.hint }}
      </p>
      <ChoicesRow v-model="lain" :label="words.corners" :choices="words.frames" />
      <div v-if="lain === 'carrier'" class="carrier">
        <LengthField v-model="carrierWidth" :label="words.carrierWidth" :min="50" :max="1500" />
        ×
        <LengthField v-model="carrierHeight" :label="words.carrierHeight" :min="50" :max="1500" />
      </div>
      <div class="ways">
        <v-btn color="primary" @click="choose">{{ words.choose }}</v-btn>
        <LinkButton @click="tryIt">{{ words.tryIt }}</LinkButton>
      </div>
      <p class="quiet">{{ words.drop }}</p>
    </template>
    <LinkButton class="close" @click="emit('close')">{{ words.close }}</LinkButton>
  </div>
</template>

<style scoped>
.loaded {
  display: flex;
  flex-direction: column;
  gap: 12px;
  align-items: flex-start;
  box-sizing: border-box;
  min-height: 0;
  border: 2px dashed transparent;
  border-radius: var(--r-card);
  padding: 8px 18px;
  overflow: auto;
}
p {
  margin: 0;
}
.over {
  border-color: var(--apricot);
}
.seen {
  position: relative;
  width: min(100%, (100vh - 420px) * var(--ratio));
  aspect-ratio: var(--ratio);
  box-shadow: var(--shadow-paper);
}
.flat {
  width: 100%;
  height: 100%;
}
.mark {
  position: absolute;
  width: 24px;
  height: 24px;
  border: 2px solid var(--apricot);
  border-radius: 50%;
  transform: translate(-50%, -50%);
}
.carrier,
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.corners {
  align-self: stretch;
}
.close {
  margin-top: auto;
}
</style>

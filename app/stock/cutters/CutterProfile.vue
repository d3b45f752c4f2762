<script setup lang="ts">
import { computed } from 'vue';
import { z } from 'zod';
import {
  gcodeProfileSchema,
  hpglProfileSchema,
  parseCutProfile,
  USUAL_PROFILE,
  writeCutProfile,
  type CutProfile,
} from '../../../core/stock/index.ts';
import { chooseFiles, download } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useMessages } from '../../ui/messages-store.ts';
import SelectRow from '../../ui/SelectRow.vue';

/** How a cutter is spoken to: as every other, or by a profile of its own. */
const props = defineProps<{ profile: CutProfile | undefined; name: string; serial: boolean }>();
const emit = defineEmits<{ change: [profile: CutProfile | undefined] }>();
const words = texts.devices.profile;
const messages = useMessages();

const hpgl = computed(() => (props.profile?.language === 'hpgl' ? props.profile : undefined));
const gcode = computed(() => (props.profile?.language === 'gcode' ? props.profile : undefined));
/** What is sent besides the cuts, by the field that says it. */
const commands = computed(() => {
  const { before = '', after = '' } = props.profile ?? {};
  return { ...(hpgl.value ? { initialise: hpgl.value.initialise } : {}), before, after };
});
const line = computed(() => (props.profile ?? USUAL_PROFILE).line);

const ofHpgl = fieldsOf(hpglProfileSchema);
const ofGcode = fieldsOf(gcodeProfileSchema);
const HPGL = [
  ofHpgl.number('unitsPerMm', words.unitsPerMm),
  ofHpgl.select('settings', words.settings, words.ofSettings),
  ofHpgl.check('penUpAfter', words.penUpAfter),
  ofHpgl.number('longest', words.longest, {
    keep: (bytes) => (bytes > 0 ? Math.max(40, Math.round(bytes)) : 0),
  }),
];
const GCODE = [
  ofGcode.select('tool', words.tool, words.ofTool),
  ofGcode.number('lifted', words.lifted, { when: ({ tool }) => tool === 'z' }),
  ofGcode.number('feed', words.feed),
  ofGcode.check('answers', words.answers),
];
const HPGL_ENDS = [ofHpgl.select('lineEnd', words.lineEnd, words.lineEnds)];
const GCODE_ENDS = [ofGcode.select('lineEnd', words.lineEnd, words.gcodeLineEnds)];
const kinds = z.object({ kiss: z.number(), through: z.number(), crease: z.number() });
const ofKind = fieldsOf(kinds);
const byKind = (least: number, most: number) =>
  (['kiss', 'through', 'crease'] as const).map((kind) =>
    ofKind.number(kind, words.kinds[kind], { min: least, max: most, step: most > 100 ? 10 : 0.1 }),
  );
const POWER = byKind(0, 100_000);
const DEPTH = byKind(-50, 50);
const ofEither = fieldsOf(
  hpglProfileSchema.pick({ origin: true, turned: true, mirrorX: true, mirrorY: true }),
);
const AXES = [
  ofEither.select('origin', words.origin, words.origins),
  ofEither.check('turned', words.turned),
  ofEither.check('mirrorX', words.mirrorX),
  ofEither.check('mirrorY', words.mirrorY),
];
const SPEEDS = [1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200, 250000];
const named = (numbers: readonly number[]): Record<string, string> =>
  Object.fromEntries(numbers.map((number) => [String(number), String(number)]));
/** How its port is set, a row each. */
const cable = computed(() => [
  { key: 'speed' as const, choices: named([...SPEEDS, line.value.speed]), isNumber: true },
  { key: 'flow' as const, choices: words.flows, isNumber: false },
  { key: 'bits' as const, choices: named([7, 8]), isNumber: true },
  { key: 'parity' as const, choices: words.parities, isNumber: false },
  { key: 'stopBits' as const, choices: named([1, 2]), isNumber: true },
]);

/** Takes a change over where the profile can have it. */
function keep(changes: object): void {
  const next = { ...(props.profile ?? USUAL_PROFILE), ...changes };
  const read = parseCutProfile(JSON.stringify(next), props.name);
  if (read.ok) emit('change', read.value);
  else messages.sayProblem(read.problem);
}

function speak(language: string): void {
  if (language === 'usual') return emit('change', undefined);
  if (language === 'hpgl') return emit('change', { ...USUAL_PROFILE, line: line.value });
  emit('change', gcodeProfileSchema.parse({ language: 'gcode', line: line.value }));
}

async function take(): Promise<void> {
  const [file] = await chooseFiles('.json,application/json');
  if (!file) return;
  const read = parseCutProfile(await file.text(), file.name);
  if (!read.ok) return messages.sayProblem(read.problem);
  emit('change', read.value);
  messages.say(words.taken(file.name));
}

function save(profile: CutProfile): void {
  const bytes = new TextEncoder().encode(writeCutProfile(profile));
  download(`${props.name}-profile.json`, bytes, 'application/json');
}

const typed = (event: Event): string =>
  (event.target as HTMLTextAreaElement).value.replace(/\r\n?/g, '\n');
</script>

<template>
  <CardPanel :title="words.title">
    <SelectRow
      :label="words.language"
      :model-value="profile?.language ?? 'usual'"
      :choices="words.languages"
      @update:model-value="speak"
    />
    <p v-if="!profile" class="quiet">{{ words.usualHint }}</p>
    <FieldRows v-if="hpgl" :fields="HPGL" :of="hpgl" @change="keep" />
    <template v-if="gcode">
      <FieldRows :fields="GCODE" :of="gcode" @change="keep" />
      <template v-if="gcode.tool === 'm3'">
        <h3>{{ words.power }}</h3>
        <FieldRows
          :fields="POWER"
          :of="gcode.power"
          @change="keep({ power: { ...gcode.power, ...$event } })"
        />
      </template>
      <template v-else>
        <h3>{{ words.depth }}</h3>
        <FieldRows
          :fields="DEPTH"
          :of="gcode.depth"
          @change="keep({ depth: { ...gcode.depth, ...$event } })"
        />
      </template>
    </template>
    <template v-if="profile">
      <h3>{{ words.axes }}</h3>
      <FieldRows :fields="AXES" :of="profile" @change="keep" />
      <h3>{{ words.commands }}</h3>
      <label v-for="(value, key) in commands" :key="key" class="commands">
        <span>{{ words[key] }}</span>
        <textarea
          class="well"
          rows="2"
          spellcheck="false"
          maxlength="400"
          :value="value"
          @change="keep({ [key]: typed($event) })"
        ></textarea>
      </label>
      <FieldRows v-if="hpgl" :fields="HPGL_ENDS" :of="hpgl" @change="keep" />
      <FieldRows v-else-if="gcode" :fields="GCODE_ENDS" :of="gcode" @change="keep" />
    </template>
    <div class="ways">
      <LinkButton v-if="profile" @click="save(profile)">{{ words.save }}</LinkButton>
      <LinkButton @click="take">{{ words.take }}</LinkButton>
    </div>
  </CardPanel>
  <CardPanel v-if="serial" :title="words.cable">
    <p class="quiet">{{ words.cableHint }}</p>
    <SelectRow
      v-for="{ key, choices, isNumber } in cable"
      :key="key"
      :label="words[key]"
      :model-value="String(line[key])"
      :choices="choices"
      @update:model-value="keep({ line: { ...line, [key]: isNumber ? Number($event) : $event } })"
    />
  </CardPanel>
</template>

<style scoped>
h3 {
  margin: 10px 0 2px;
  font-size: 13.5px;
}
p {
  margin: 0 0 8px;
  font-size: 12.5px;
}
.commands {
  display: grid;
  gap: 3px;
  margin: 4px 0;
}
textarea {
  font-family: monospace;
  font-size: 12.5px;
  resize: vertical;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin-top: 6px;
}
</style>

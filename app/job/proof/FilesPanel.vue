<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import {
  FORMATS,
  formPlaceholders,
  parsePages,
  USUAL_CHOICES,
  type ExportChoices,
  type Format,
  type MadeFile,
} from '../../../core/output/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CheckRow from '../../ui/CheckRow.vue';
import FactRow from '../../ui/FactRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import { useMessages } from '../../ui/messages-store.ts';
import OverlayPanel from '../../ui/OverlayPanel.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useMaking } from './making.ts';
import MakingRow from './MakingRow.vue';
import PrinterRow from './PrinterRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { kilobytes, saveFiles } from './saved-files.ts';

/** Every kind of file with what it is for, how it is made, and what came out. The last choice is remembered. */
const emit = defineEmits<{ close: [] }>();
const store = useJobStore();
const settings = useSettings();
const room = useStockRoom();
const messages = useMessages();
const making = useMaking();
const say = texts.proof;
const THICK = 0.35; // mm beyond which paper does not go round corners
const placeholders = computed(() => (store.committed ? formPlaceholders(store.committed) : []));
const can = (format: Format): boolean => format !== 'form' || placeholders.value.length > 0;
const wanted = ref<readonly Format[]>(
  FORMATS.filter((format) => settings.files.formats.includes(format)),
);
const formats = computed(() => wanted.value.filter(can));
const choices = ref<ExportChoices>({ ...USUAL_CHOICES, ...settings.files.choices });
/** Which sheets are meant, as it is typed. */
const pages = ref('');
const count = computed(() => store.committedLayout?.sheets.length ?? 0);
const ofAll = ref(store.whole?.set !== undefined);
const made = shallowRef<readonly MadeFile[]>();
const has = (...some: Format[]): boolean => some.some((one) => formats.value.includes(one));
/** The tray of the printer that pages are put right for. */
const tray = computed(() => room.findTray(settings.printer)?.tray.name);
const dialog = computed(() => {
  const { committed: job } = store;
  if (!job) return [];
  const { stock, material } = job;
  const { dialog: words } = say;
  const length = (mm: number): string => formatLength(mm, settings.unit);
  return [
    [words.paper, `${stock.name}, ${length(stock.width)} × ${length(stock.height)}`],
    [words.scale, words.scaleIs],
    [words.margins, words.marginsAre],
    [words.type, material.print.paper || material.name],
    [words.quality, material.print.quality],
    [
      words.tray,
      tray.value ??
        (material.thickness > THICK ? words.trayIs(length(material.thickness)) : words.trayUsual),
    ],
    [words.side, words.sideIs],
    [
      words.both,
      job.pieces.some(({ behind }) => behind)
        ? words.bothOn[job.plan.turnOver ?? 'long']
        : words.bothOff,
    ],
  ].filter(([, value]) => value !== '');
});

function choose(format: Format, on: boolean): void {
  wanted.value = FORMATS.filter((one) => (one === format ? on : wanted.value.includes(one)));
}

function set(changes: Partial<ExportChoices>): void {
  choices.value = { ...choices.value, ...changes };
}

function share(name: string, on: boolean): void {
  const others = choices.value.shared.filter((one) => one !== name);
  set({ shared: on ? [...others, name] : others });
}

async function save(): Promise<void> {
  const { shared, ...kept } = choices.value;
  settings.files = { formats: [...wanted.value], choices: kept };
  const sheets = parsePages(pages.value, count.value);
  if (!sheets.ok) return messages.sayProblem(sheets.problem);
  const only = pages.value.trim() && !ofAll.value ? { sheets: sheets.value } : {};
  const files = await making.make(
    formats.value,
    { ...kept, ...only, shared: [...shared] },
    ofAll.value,
  );
  if (!files) return;
  made.value = files;
  give();
}

function give(): void {
  if (made.value && store.committed) saveFiles(made.value, store.committed.name);
}
</script>

<template>
  <OverlayPanel :title="say.filesOf(store.committed?.name ?? '')" @close="emit('close')">
    <div class="sides">
      <fieldset>
        <legend>{{ say.which }}</legend>
        <label
          v-for="format in FORMATS"
          :key="format"
          class="format"
          :class="{ not: !can(format) }"
        >
          <input
            type="checkbox"
            :checked="formats.includes(format)"
            :disabled="!can(format)"
            @change="choose(format, !formats.includes(format))"
          />
          <strong>{{ say.formats[format].name }}</strong>
          <span class="quiet">{{ say.formats[format].purpose }}</span>
        </label>
        <p v-if="!can('form')" class="quiet">{{ say.fillNone }}</p>
      </fieldset>
      <fieldset>
        <legend>{{ say.how }}</legend>
        <CheckRow v-if="store.whole?.set" v-model="ofAll" :label="texts.set.ofAll" />
        <FactRow v-if="!ofAll" as="label" :label="say.sheets"
          ><input v-model="pages" class="well pages" :placeholder="say.allSheets(count)"
        /></FactRow>
        <PrinterRow v-if="has('pdf', 'png', 'jpeg')" />
        <template v-if="has('pdf')">
          <CheckRow
            :label="say.cutLayer"
            :model-value="choices.cutLayer"
            @update:model-value="set({ cutLayer: $event })"
          />
          <CheckRow
            :label="say.outlines"
            :model-value="choices.outlines"
            @update:model-value="set({ outlines: $event })"
          />
          <CheckRow
            :label="say.smallPictures"
            :model-value="choices.smallPictures"
            @update:model-value="set({ smallPictures: $event })"
          />
        </template>
        <template v-if="has('form')">
          <p>{{ say.eachOwn }}</p>
          <CheckRow
            v-for="name in placeholders"
            :key="name"
            :label="name"
            :model-value="choices.shared.includes(name)"
            @update:model-value="share(name, $event)"
          />
          <CheckRow
            v-if="store.committed?.list"
            :label="say.filled"
            :model-value="choices.filled"
            @update:model-value="set({ filled: $event })"
          />
        </template>
        <CheckRow
          v-if="has('approval')"
          :label="say.approvalPictures"
          :model-value="choices.approvalPictures"
          @update:model-value="set({ approvalPictures: $event })"
        />
        <template v-if="has('png', 'jpeg')">
          <NumberRow
            :label="say.dpi"
            :model-value="choices.dpi"
            :min="36"
            :max="600"
            @update:model-value="set({ dpi: $event })"
          />
          <CheckRow
            v-if="has('png')"
            :label="say.clear"
            :model-value="choices.clear"
            @update:model-value="set({ clear: $event })"
          />
        </template>
        <template v-if="has('pdf')">
          <h3>{{ say.inDialog }}</h3>
          <FactRow v-for="[label, value] in dialog" :key="label" :label="label ?? ''"
            ><span class="value">{{ value }}</span></FactRow
          >
        </template>
      </fieldset>
    </div>
    <section v-if="made" class="made" :aria-label="say.savedAs">
      <h3>{{ say.savedAs }}</h3>
      <ul>
        <li v-for="file in made" :key="file.name">
          <span>{{ file.name }}</span>
          <span class="quiet"
            >{{ kilobytes([file])
            }}<template v-if="file.pages !== undefined"
              >, {{ say.pages(file.pages) }}</template
            ></span
          >
        </li>
      </ul>
    </section>
    <template #foot>
      <MakingRow v-if="making.busy.value" :share="making.share.value" @cancel="making.cancel" />
      <LinkButton v-else-if="made" @click="give">{{ say.again }}</LinkButton>
      <v-btn
        color="primary"
        height="38"
        :disabled="formats.length === 0 || making.busy.value"
        @click="save"
        >{{ say.save(formats.length) }}</v-btn
      >
    </template>
  </OverlayPanel>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 26px;
}
fieldset {
  min-width: 0;
  margin: 0;
  border: 0;
  padding: 0;
}
legend,
h3 {
  margin: 0 0 4px;
  padding: 0;
  font-size: 13.5px;
  font-weight: 600;
}
h3 {
  margin-top: 12px;
}
.format {
  display: grid;
  grid-template-columns: 18px auto 1fr;
  gap: 8px;
  align-items: center;
  min-height: 34px;
}
.format input {
  accent-color: var(--plum);
}
.format .quiet {
  font-size: 12.5px;
  text-align: right;
}
.not {
  opacity: 0.6;
}
p {
  margin: 2px 0;
  font-size: 12.5px;
}
.value {
  text-align: right;
}
.pages {
  width: 130px;
}
.made {
  margin-top: 14px;
  border-top: 1px solid var(--line);
}
ul {
  max-height: 132px;
  margin: 0;
  padding: 0;
  list-style: none;
  overflow: auto;
}
li {
  display: flex;
  justify-content: space-between;
  min-height: 26px;
}
@media (max-width: 700px) {
  .sides {
    grid-template-columns: 1fr;
  }
}
</style>

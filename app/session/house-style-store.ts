import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { NO_HOUSE_STYLE, type HouseStyle } from '../../core/designs/index.ts';
import { MOST_PALETTE_COLORS, parsePalette } from '../../core/color/index.ts';
import { bytesOf, houseStyle, keepHouseStyle } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';

/** The workshop's own style, kept in this browser. */
export const useHouseStyle = defineStore('house-style', () => {
  const style = shallowRef<HouseStyle>(NO_HOUSE_STYLE);
  const loaded = ref(false);
  const messages = useMessages();

  async function load(): Promise<void> {
    if (loaded.value) return;
    loaded.value = true;
    try {
      style.value = await houseStyle();
    } catch (error) {
      messages.sayError(error);
    }
  }

  function change(changes: Partial<HouseStyle>): void {
    style.value = { ...style.value, ...changes };
    keepHouseStyle(style.value).catch(messages.sayError);
  }

  /** Keeps colours as the first palette of the style, under a name that is free; gives that name. */
  function keepPalette(wanted: string, colors: readonly string[]): string {
    const taken = style.value.palettes.map(({ name }) => name);
    let name = wanted.slice(0, 50);
    for (let count = 2; taken.includes(name); count++) name = `${wanted.slice(0, 46)} ${count}`;
    const kept = { name, colors: colors.slice(0, MOST_PALETTE_COLORS) };
    change({ palettes: [kept, ...style.value.palettes].slice(0, 40) });
    return name;
  }

  /** Keeps the palettes that files name. */
  async function takePalettes(files: readonly File[]): Promise<void> {
    await load();
    for (const file of files) {
      const read = parsePalette(new TextDecoder().decode(await bytesOf(file)), file.name);
      if (!read.ok) return messages.sayProblem(read.problem);
      const { colors, over } = read.value;
      const name = keepPalette(read.value.name, colors);
      messages.say(texts.start.tookPalette(name, colors.length, over));
    }
  }

  return { style, load, change, keepPalette, takePalettes };
});

import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { NO_HOUSE_STYLE, type HouseStyle } from '../../../../core/designs/index.ts';
import { houseStyle, keepHouseStyle } from '../../../storage/index.ts';
import { useMessages } from '../../../ui/messages-store.ts';

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

  return { style, load, change };
});

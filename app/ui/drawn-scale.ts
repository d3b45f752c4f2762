import { onBeforeUnmount, ref, watch, type Ref } from 'vue';

const QUIET = 140; // ms without another zoom before things are drawn anew
/** So much larger or smaller than it was drawn a picture may be shown for that while. */
const MOST = 4;

/**
 * The scale that a bench is drawn at. While it is zoomed what was drawn is only shown larger or
 * smaller, which costs nothing; when it has been quiet it is drawn anew.
 */
export function useDrawnScale(scale: () => number): Ref<number> {
  const drawn = ref(scale());
  let timer: ReturnType<typeof setTimeout> | undefined;
  const draw = (): void => {
    drawn.value = scale();
  };
  watch(scale, (now) => {
    clearTimeout(timer);
    const by = now / drawn.value;
    if (by > MOST || by < 1 / MOST) draw();
    else timer = setTimeout(draw, QUIET);
  });
  onBeforeUnmount(() => clearTimeout(timer));
  return drawn;
}

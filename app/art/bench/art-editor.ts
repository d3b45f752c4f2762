import { computed, ref, shallowRef, watch } from 'vue';
import {
  PLAIN_PIXELS,
  PLAIN_VECTOR,
  USUAL_CLEARING,
  vectorNodes,
  type Art,
  type BrushStroke,
  type PixelRecipe,
  type ReadArt,
  type Recipe,
  type VectorNodes,
  type VectorRecipe,
} from '../../../core/art/index.ts';
import type { Preview } from '../../../core/prepare/index.ts';
import { Cancelled } from '../../../core/base/index.ts';
import { artCalls, type Ongoing } from '../../calls/index.ts';
import { artBytes } from '../../storage/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useHistory } from './recipe-history.ts';

const PREVIEW = 1100; // pixels

/**
 * A picture that is being prepared: its original, the recipe, and how it would come out. Nothing is
 * written until it is made.
 */
export function useArtEditor() {
  const messages = useMessages();
  /** What was opened, and what it was made from; the same for art that was never changed. */
  const opened = shallowRef<Art>();
  const original = shallowRef<Art>();
  const pixels = shallowRef<PixelRecipe>(PLAIN_PIXELS);
  const vector = shallowRef<VectorRecipe>(PLAIN_VECTOR);
  const histories = { pixels: useHistory(pixels), vector: useHistory(vector) };
  const nodes = shallowRef<VectorNodes>([]);
  const preview = shallowRef<Preview>();
  /** The original as small as the preview, for its colours. */
  const source = shallowRef<Preview>();
  const busy = ref(false);
  const making = ref(false);

  /**
   * Opens art, with the recipe that it was made by.
   * @param known other art by its id, where an original may be found
   */
  async function open(art: Art, known: (id: string) => Art | undefined): Promise<void> {
    const from = art.made && art.made.recipe.kind !== 'spread' ? known(art.made.from) : undefined;
    const recipe = from ? art.made?.recipe : undefined;
    opened.value = art;
    original.value = from ?? art;
    pixels.value = recipe?.kind === 'pixels' ? recipe : PLAIN_PIXELS;
    vector.value = recipe?.kind === 'vector' ? recipe : PLAIN_VECTOR;
    histories.pixels.forget();
    histories.vector.forget();
    preview.value = undefined;
    source.value = undefined;
    if (original.value.kind === 'vector')
      nodes.value = vectorNodes((await artBytes(original.value.id)) ?? new Uint8Array());
    else {
      await look();
      const plain = { art: original.value, recipe: null, most: PREVIEW };
      const shown = await artCalls.call('previewArt', plain).answer.catch(messages.sayError);
      if (shown?.ok) source.value = shown.value;
    }
  }

  let ongoing: Ongoing<'makeArt'> | undefined;

  /** Gives up what is being made. */
  function stop(): void {
    ongoing?.cancel();
  }

  let asked = 0;
  let looking = false;

  /** Shows the picture by the recipe of now; while it is worked out, only the newest wish counts. */
  async function look(): Promise<void> {
    asked++;
    if (looking) return;
    looking = true;
    busy.value = true;
    try {
      for (let done = -1; done !== asked;) {
        done = asked;
        const art = original.value;
        if (!art || art.kind === 'vector') break;
        const call = artCalls.call('previewArt', { art, recipe: pixels.value, most: PREVIEW });
        const shown = await call.answer;
        if (!shown.ok) {
          messages.sayProblem(shown.problem);
          break;
        }
        if (original.value?.id === art.id) preview.value = shown.value;
      }
    } catch (error) {
      messages.sayError(error);
    } finally {
      looking = false;
      busy.value = false;
    }
  }

  watch(pixels, () => void look());

  const { change, step } = histories.pixels;

  function clearing(changes: Partial<NonNullable<PixelRecipe['clear']>> | null): void {
    const now = pixels.value.clear ?? USUAL_CLEARING;
    change({ clear: changes === null ? null : { ...now, ...changes } });
  }

  const addStroke = (stroke: BrushStroke): void =>
    step({ strokes: [...pixels.value.strokes, stroke] });
  const changeVector = histories.vector.change;
  const history = computed(() =>
    original.value?.kind === 'vector' ? histories.vector : histories.pixels,
  );
  /** Recipes of earlier days bring strokes along: these are taken back one by one too. */
  const isPainted = computed(() => {
    const { free, strokes } = pixels.value;
    return original.value?.kind !== 'vector' && (free?.strokes.length ?? 0) + strokes.length > 0;
  });
  const canUndo = computed(() => history.value.canUndo.value || isPainted.value);
  function undo(): void {
    if (history.value.canUndo.value) return history.value.undo();
    if (!isPainted.value) return;
    const { free, strokes } = pixels.value;
    if (strokes.length) step({ strokes: strokes.slice(0, -1) });
    else if (free) step({ free: { ...free, strokes: free.strokes.slice(0, -1) } });
    history.value.forget();
  }
  const redo = (): void => history.value.redo();

  const recipe = computed<Recipe>(() =>
    original.value?.kind === 'vector' ? vector.value : pixels.value,
  );
  /** Whether the recipe does nothing: then the original itself is what is wanted. */
  const isPlain = computed(() => {
    const plain = recipe.value.kind === 'vector' ? PLAIN_VECTOR : PLAIN_PIXELS;
    return JSON.stringify(recipe.value) === JSON.stringify(plain);
  });

  /** The picture at its full size; undefined when it could not be made. */
  async function make(): Promise<ReadArt | undefined> {
    const art = original.value;
    if (!art) return undefined;
    making.value = true;
    try {
      if (isPlain.value) {
        const bytes = await artBytes(art.id);
        return bytes && { art, bytes, leftOut: [] };
      }
      ongoing = artCalls.call('makeArt', { art, recipe: recipe.value });
      const made = await ongoing.answer;
      if (made.ok) return made.value;
      messages.sayProblem(made.problem);
    } catch (error) {
      if (!(error instanceof Cancelled)) messages.sayError(error);
    } finally {
      making.value = false;
      ongoing = undefined;
    }
    return undefined;
  }

  return {
    opened,
    original,
    pixels,
    vector,
    nodes,
    preview,
    source,
    busy,
    making,
    isPlain,
    open,
    change,
    step,
    undo,
    canUndo,
    redo,
    clearing,
    addStroke,
    changeVector,
    make,
    stop,
  };
}

export type ArtEditor = ReturnType<typeof useArtEditor>;

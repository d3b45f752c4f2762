import { computed, shallowRef, watch, type ComputedRef } from 'vue';
import { boxAbout } from '../../../core/geometry/index.ts';
import type { CompiledPiece } from '../../../core/piece/index.ts';
import { pageSources, resourceVersion } from '../../session/page-resources.ts';
import { canvasOf, type Canvas } from '../../ui/canvas.ts';
import { drawnBox, useDrawnPicture } from '../../ui/drawn-picture.ts';

const PIXELS = 1200; // on the longer side

const isDesigned = ({ piece }: CompiledPiece): boolean =>
  piece.elements.length > 0 || piece.ground !== null;

/** A label as pixels on its paper, drawn anew when it has changed; nothing for one without artwork. */
export function useLabelCanvas(
  label: () => CompiledPiece | undefined,
  paper: () => string,
): ComputedRef<Canvas | undefined> {
  const made = shallowRef<Canvas>();
  const url = useDrawnPicture(() => {
    void resourceVersion.value;
    const now = label();
    return now && isDesigned(now)
      ? drawnBox(now.nodes, boxAbout({ x: 0, y: 0 }, now.width, now.height))
      : undefined;
  }, pageSources);
  watch(url, async (address) => {
    const now = label();
    if (!address || !now) return;
    const image = new Image();
    image.src = address;
    // One that was taken back meanwhile cannot be read any more.
    const isRead = await image.decode().then(
      () => true,
      () => false,
    );
    if (!isRead || url.value !== address) return;
    const scale = PIXELS / Math.max(now.width, now.height);
    const canvas = canvasOf(now.width * scale, now.height * scale, true);
    canvas.context.fillStyle = paper();
    canvas.context.fillRect(0, 0, canvas.canvas.width, canvas.canvas.height);
    canvas.context.drawImage(image, 0, 0, canvas.canvas.width, canvas.canvas.height);
    made.value = canvas;
  });
  return computed(() => {
    const now = label();
    return now && isDesigned(now) ? made.value : undefined;
  });
}

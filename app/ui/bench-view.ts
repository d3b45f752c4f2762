import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent, type ZoomTransform } from 'd3-zoom';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch, type Ref } from 'vue';
import type { Box, Point } from '../../core/geometry/index.ts';
import { useSettings } from './settings-store.ts';

/** How the bench is looked at: pixels to the mm and where (0, 0) mm stands. */
export interface BenchView {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

type BenchElement = SVGSVGElement | HTMLElement;

/** Room kept free around the paper for trays, px. */
const MARGIN = { left: 56, top: 92, right: 40, bottom: 92 };
/** A selection is not zoomed to beyond that, px to the mm. */
const CLOSE = 40;
/** How wide rulers are, px. */
export const RULER = 18;
/** How much of the paper stays in view however far it is moved, px. */
const SEEN = 90;

/**
 * Zoom and pan of a bench by wheel, pinch, drag of the empty bench and keys.
 * @param element the element of the bench that hears wheel and pointer
 * @param frame what is to be seen, in mm
 * @param covered how much more of the top trays cover than they mostly do, px
 */
export function useBenchView(
  element: Ref<BenchElement | null>,
  frame: () => Box,
  covered: () => number = () => 0,
) {
  const settings = useSettings();
  const transform = shallowRef<ZoomTransform>(zoomIdentity);
  const size = ref({ width: 0, height: 0 });
  let touched = false;

  const behaviour = zoom<BenchElement, unknown>()
    .scaleExtent([0.5, 120])
    .filter(
      (event: Event) =>
        event.type === 'wheel' ||
        (!(event.target as Element).closest('[data-grip]') &&
          !(event as MouseEvent).shiftKey &&
          (event as MouseEvent).button !== 2),
    )
    .constrain((next) => inReach(next, frame(), size.value))
    .on('zoom', (event: D3ZoomEvent<BenchElement, unknown>) => {
      if (event.sourceEvent) touched = true;
      transform.value = event.transform;
    });

  function set(next: ZoomTransform): void {
    if (element.value) select(element.value).call(behaviour.transform, next);
  }

  /** Shows the whole frame in the room between the trays. */
  function fit(): void {
    const { left, top, right, bottom } = frame();
    const [width, height] = [
      size.value.width - MARGIN.left - MARGIN.right,
      size.value.height - MARGIN.top - covered() - MARGIN.bottom,
    ];
    if (width <= 0 || height <= 0) return;
    touched = false;
    look(
      { x: (left + right) / 2, y: (top + bottom) / 2 },
      Math.min(width / (right - left), height / (bottom - top)),
    );
  }

  /** Puts a place of the paper in the middle at a scale. */
  function look(at: Point, scale: number): void {
    const middle = {
      x: (MARGIN.left + size.value.width - MARGIN.right) / 2,
      y: (MARGIN.top + covered() + size.value.height - MARGIN.bottom) / 2,
    };
    set(zoomIdentity.translate(middle.x - at.x * scale, middle.y - at.y * scale).scale(scale));
  }

  /** Zooms about the middle. */
  function zoomBy(factor: number): void {
    touched = true;
    if (element.value) select(element.value).call(behaviour.scaleBy, factor);
  }

  /** Shows a box in the room between the trays. */
  function showBox({ left, top, right, bottom }: Box): void {
    touched = true;
    const across = (size.value.width - MARGIN.left - MARGIN.right) / Math.max(right - left, 1);
    const down = (size.value.height - MARGIN.top - MARGIN.bottom) / Math.max(bottom - top, 1);
    const scale = Math.min(CLOSE, Math.min(across, down) * 0.85);
    look({ x: (left + right) / 2, y: (top + bottom) / 2 }, scale);
  }

  /** One mm of paper takes one mm of the screen, as it was measured with a card or is usual. */
  function trueSize(): void {
    const { left, top, right, bottom } = frame();
    touched = true;
    look({ x: (left + right) / 2, y: (top + bottom) / 2 }, settings.pxPerMm);
  }

  /** The place on the paper under a pointer. */
  function toMm(event: { clientX: number; clientY: number }): Point {
    const box = element.value?.getBoundingClientRect();
    const [x, y] = transform.value.invert([
      event.clientX - (box?.left ?? 0),
      event.clientY - (box?.top ?? 0),
    ]);
    return { x, y };
  }

  const observer = new ResizeObserver(([entry]) => {
    if (!entry) return;
    size.value = { width: entry.contentRect.width, height: entry.contentRect.height };
    if (!touched) fit();
  });

  onMounted(() => {
    if (!element.value) return;
    select(element.value).call(behaviour).on('dblclick.zoom', null);
    observer.observe(element.value);
  });
  onBeforeUnmount(() => observer.disconnect());
  watch(
    () => [...Object.values(frame()), covered()].join(),
    () => {
      if (!touched) fit();
    },
  );

  const view = computed<BenchView>(() => ({
    scale: transform.value.k,
    x: transform.value.x,
    y: transform.value.y,
  }));
  const percent = computed(() => Math.round((transform.value.k / settings.pxPerMm) * 100));
  return { view, percent, size, fit, look, showBox, zoomBy, trueSize, toMm };
}

/** The nearest view in which some of the frame is still seen. */
function inReach(
  next: ZoomTransform,
  { left, top, right, bottom }: Box,
  { width, height }: { width: number; height: number },
): ZoomTransform {
  if (width === 0 || height === 0) return next;
  const clamp = (value: number, low: number, high: number): number =>
    Math.max(Math.min(low, high), Math.min(high, value));
  const x = clamp(next.x, SEEN - right * next.k, width - SEEN - left * next.k);
  const y = clamp(next.y, SEEN - bottom * next.k, height - SEEN - top * next.k);
  return x === next.x && y === next.y ? next : zoomIdentity.translate(x, y).scale(next.k);
}

export type BenchControls = ReturnType<typeof useBenchView>;

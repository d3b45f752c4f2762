import { onBeforeUnmount, shallowRef, watchEffect, type ShallowRef } from 'vue';
import type { Drawing, DrawingNode } from '../../core/drawing/index.ts';
import { translation, type Box } from '../../core/geometry/index.ts';
import { pageSvgFile, type PageSources } from './drawing-svg.ts';
import { inTurn } from './in-turn.ts';

/*
 * Drawings as images. What is only looked at is one item for the browser to paint, where its drawing
 * would be hundreds that are gone through with every change of the page. It stays sharp at every size,
 * as its shapes stay shapes.
 */

const REST = 150; // ms without another change before what is shown already is drawn anew
const MOST_PIXELS = 1000; // a picture in something that is only looked at needs no more on screen

const inlined = new Map<string, Promise<string | undefined>>();

/** Two pictures at a time, so that other work comes in between. */
const make = inTurn(2);

/** A picture as a data address, made smaller: an SVG that is used as an image cannot name others. */
function inlineUrl(art: string, sources: PageSources, most: number): Promise<string | undefined> {
  const url = sources.imageUrl(art);
  if (!url) return Promise.resolve(undefined);
  const key = `${most} ${url}`;
  const known = inlined.get(key) ?? makeInline(url, most).catch(() => undefined);
  inlined.set(key, known);
  return known;
}

async function makeInline(url: string, most: number): Promise<string> {
  const bitmap = await createImageBitmap(await (await fetch(url)).blob());
  const scale = Math.min(1, most / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  );
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const small = await canvas.convertToBlob({ type: 'image/webp', quality: 0.9 });
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => fail(reader.error ?? new Error('unreadable'));
    reader.readAsDataURL(small);
  });
}

interface Inlining {
  /** Pixels a side of pictures. */
  readonly most: number;
  /** Whether somebody still waits for it. */
  readonly isWanted: () => boolean;
}

/** A drawing as the text of an SVG file that names nothing outside itself. */
async function selfContained(
  drawing: Drawing,
  sources: PageSources,
  { most, isWanted }: Inlining,
): Promise<string> {
  const named = new Set<string>();
  const svg = pageSvgFile(drawing, { ...sources, imageUrl: (art) => void named.add(art) });
  if (!named.size) return svg;
  const inline = new Map<string, string | undefined>();
  await make(async () => {
    for (const art of named) if (isWanted()) inline.set(art, await inlineUrl(art, sources, most));
  });
  return pageSvgFile(drawing, { ...sources, imageUrl: (art) => inline.get(art) });
}

/** The address of an SVG file as an image, ready to be shown so that nothing flickers. */
async function imageOf(svg: string): Promise<string> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  const image = new Image();
  image.src = url;
  await image.decode().catch(() => undefined);
  return url;
}

/** Nodes as a drawing of what lies in a box. */
export const drawnBox = (
  children: readonly DrawingNode[],
  { left, top, right, bottom }: Box,
): Drawing => ({
  width: right - left,
  height: bottom - top,
  symbols: {},
  nodes: [{ kind: 'group', transform: translation(-left, -top), children }],
});

/**
 * The address of a drawing as an image; whoever asks gives it back with `URL.revokeObjectURL`. Pictures in it
 * have `most` pixels a side.
 */
export async function drawnPicture(
  drawing: Drawing,
  sources: PageSources,
  most = MOST_PIXELS,
): Promise<string> {
  return imageOf(await selfContained(drawing, sources, { most, isWanted: () => true }));
}

/**
 * The address of a drawing that changes as an image; the one before stays until the next is ready.
 * While it changes with every key or frame it waits, as nothing else should wait for it.
 */
export function useDrawnPicture(
  drawing: () => Drawing | undefined,
  sources: PageSources,
  most = MOST_PIXELS,
): ShallowRef<string | undefined> {
  const url = shallowRef<string>();
  let shown = '';
  let round = 0;
  let waiting: ReturnType<typeof setTimeout> | undefined;
  const show = (next: string | undefined): void => {
    if (url.value) URL.revokeObjectURL(url.value);
    url.value = next;
  };
  watchEffect(() => {
    const drawn = drawing();
    const own = ++round;
    clearTimeout(waiting);
    if (!drawn) return;
    if (shown) waiting = setTimeout(() => void draw(drawn, own), REST);
    else void draw(drawn, own);
  });
  async function draw(drawn: Drawing, own: number): Promise<void> {
    const isWanted = (): boolean => own === round;
    const svg = await selfContained(drawn, sources, { most, isWanted });
    if (!isWanted() || svg === shown) return;
    const next = await imageOf(svg);
    if (!isWanted()) return URL.revokeObjectURL(next);
    shown = svg;
    show(next);
  }
  onBeforeUnmount(() => {
    round++;
    clearTimeout(waiting);
    show(undefined);
  });
  return url;
}

import { shallowRef } from 'vue';
import type { Art } from '../../../core/art/index.ts';
import type { Point } from '../../../core/geometry/index.ts';
import {
  tryCommand,
  type CommandCall,
  type ElementChanges,
  type Job,
} from '../../../core/job/index.ts';
import { elementInZone, type Piece, type PieceElement } from '../../../core/piece/index.ts';
import { mainZone } from '../../../core/things/index.ts';
import { copyableStyle } from './copyable-style.ts';
import { newWords } from './new-elements.ts';
import type { Selection } from './selection.ts';

/** Steps of the job that change what is selected, or add to the piece that is on the desk. */
export function useElementCommands({ store, piece, elements, selected, zones, zone }: Selection) {
  /** The element whose style was copied. */
  const copiedStyle = shallowRef<PieceElement>();

  function callFor(change: (element: PieceElement) => ElementChanges, art?: Art, doing?: string) {
    if (!piece.value || elements.value.length === 0) return undefined;
    const changes = Object.fromEntries(elements.value.map((one) => [one.id, change(one)]));
    return {
      name: 'change-elements' as const,
      args: {
        piece: piece.value.id,
        changes,
        ...(art ? { art } : {}),
        ...(doing === undefined ? {} : { doing }),
      },
    };
  }

  /** Changes each selected element; steps of the same key are one. */
  function changeEach(
    change: (element: PieceElement) => ElementChanges,
    { key, art, doing }: { key?: string; art?: Art | undefined; doing?: string } = {},
  ): void {
    const call = callFor(change, art, doing);
    if (call) store.act(call, key && `${key}:${selected.value.join()}`);
  }

  /** Changes the selected elements alike; steps of the same key are one. */
  function change(changes: ElementChanges, key?: string, art?: Art): void {
    changeEach(() => changes, { ...(key === undefined ? {} : { key }), art });
  }

  /** Changes the selected elements in a step that may still grow. */
  function stage(changes: ElementChanges, key: string): void {
    const call = callFor(() => changes);
    if (call) store.stage(call, `${key}:${selected.value.join()}`);
  }

  /** The job with the selected elements changed, to be looked at only. */
  function tried(change: (element: PieceElement) => ElementChanges): Job | undefined {
    const call = callFor(change);
    return call && store.committed && tryCommand(store.committed, call);
  }

  function add(element: PieceElement, more: { art?: Art } = {}): void {
    addAll([element], more.art ? { art: [more.art] } : {});
  }

  function addAll(
    added: readonly PieceElement[],
    more: { art?: readonly Art[]; doing?: string } = {},
  ): void {
    if (!piece.value || added.length === 0) return;
    const [first] = added;
    addBy(
      added.length === 1 && first && more.doing === undefined
        ? {
            name: 'add-element',
            args: {
              piece: piece.value.id,
              element: first,
              ...(more.art?.[0] ? { art: more.art[0] } : {}),
            },
          }
        : { name: 'add-elements', args: { piece: piece.value.id, elements: added, ...more } },
    );
  }

  /** Does a step and selects the elements that it has added. */
  function addBy(call: CommandCall): void {
    const before = new Set(piece.value?.elements.map(({ id }) => id));
    if (store.act(call))
      selected.value =
        piece.value?.elements.flatMap(({ id }) => (before.has(id) ? [] : [id])) ?? [];
  }

  /** Adds something new: to the zone that is looked at, or to the front, where the label has zones. */
  function addNew(made: PieceElement, more: { art?: Art } = {}): void {
    const room = zone.value ?? mainZone(zones.value);
    const followsEdge = made.kind === 'plate' && made.rim !== undefined;
    const { value: now } = piece;
    add(
      now && room && !followsEdge
        ? elementInZone(made, { zone: room, edge: now.edge, safe: now.safe }, 'as-on-label')
        : made,
      more,
    );
  }

  function addTo(make: (now: Piece) => PieceElement): void {
    if (piece.value) addNew(make(piece.value));
  }

  const addWords = (bent: boolean): void => addTo((now) => newWords(now, bent));

  function nudge({ x, y }: Point): void {
    const moving = elements.value.filter(({ locked }) => !locked);
    if (!piece.value || moving.length === 0) return;
    const changes = Object.fromEntries(
      moving.map((one) => [one.id, { x: one.x + x, y: one.y + y }]),
    );
    store.act(
      { name: 'change-elements', args: { piece: piece.value.id, changes, doing: 'nudge' } },
      `nudge:${selected.value.join()}`,
    );
  }

  function remove(): void {
    if (piece.value)
      store.act({
        name: 'delete-elements',
        args: { piece: piece.value.id, elements: selected.value },
      });
  }

  function duplicate(): void {
    if (piece.value)
      addBy({
        name: 'duplicate-elements',
        args: { piece: piece.value.id, elements: selected.value },
      });
  }

  function copyStyle(element: PieceElement): void {
    copiedStyle.value = element;
  }

  function pasteStyle(): void {
    const { value } = copiedStyle;
    if (value) changeEach((element) => copyableStyle(value, element), { doing: 'give a look to' });
  }

  return {
    copiedStyle,
    copyStyle,
    pasteStyle,
    change,
    changeEach,
    stage,
    tried,
    add,
    addNew,
    addWords,
    addAll,
    addBy,
    addTo,
    nudge,
    remove,
    duplicate,
  };
}

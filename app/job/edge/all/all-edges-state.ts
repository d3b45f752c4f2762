import { computed, ref } from 'vue';
import { isSame } from '../../../../core/base/index.ts';
import {
  ownPieces,
  pieceArea,
  sharedEdgeSchema,
  type CommandCall,
  type SharedEdge,
} from '../../../../core/job/index.ts';
import type { Piece } from '../../../../core/piece/index.ts';
import { plainBuild } from '../../../../core/shape/index.ts';
import { copyCount, copyParts } from '../../../../core/sheet/index.ts';
import { printable } from '../../../../core/stock/index.ts';
import { useJobStore } from '../../../session/job-store.ts';
import { useMessages } from '../../../ui/messages-store.ts';

const SHARED = Object.keys(sharedEdgeSchema.shape) as (keyof SharedEdge)[];

/** What many pieces can share of how their edge is made. */
export function sharedOf({ build, edge, name }: Piece): SharedEdge {
  const all = build ?? plainBuild(edge, name);
  return Object.fromEntries(SHARED.map((key) => [key, all[key]])) as unknown as SharedEdge;
}

interface Step {
  readonly call: CommandCall;
  readonly key: string | undefined;
}

/** All pieces of the open job with their edges: which are chosen, what they share, and changes of them together. */
export function useAllEdges() {
  const store = useJobStore();
  const messages = useMessages();
  const picked = ref<ReadonlySet<string>>(new Set());
  const busy = ref(false);
  /** Whether the edges as they were when this was opened are shown as well. */
  const showsBefore = ref(true);

  /** Those that have an edge of their own: sizes, varieties and other sides have that of another piece. */
  const pieces = computed(() =>
    (store.job ? ownPieces(store.job) : []).filter(({ variant, behind }) => !variant && !behind),
  );
  const before = new Map(pieces.value.map((piece) => [piece.id, piece]));
  const chosen = computed(() => {
    const found = pieces.value.filter(({ id }) => picked.value.has(id));
    return found.length ? found : pieces.value;
  });
  const ids = computed(() => chosen.value.map(({ id }) => id));

  /** What most pieces share. */
  const common = computed<SharedEdge | undefined>(() => {
    const kinds: { edge: SharedEdge; count: number }[] = [];
    for (const piece of pieces.value) {
      const edge = sharedOf(piece);
      const kind = kinds.find((one) => isSame(one.edge, edge));
      if (kind) kind.count++;
      else kinds.push({ edge, count: 1 });
    }
    return kinds.sort((one, other) => other.count - one.count)[0]?.edge;
  });
  const differs = (piece: Piece): boolean =>
    common.value !== undefined && !isSame(sharedOf(piece), common.value);
  /** What the chosen pieces share, as most of them have it. */
  const shared = computed<SharedEdge>(() => {
    const [first] = chosen.value;
    const usual = chosen.value.find((piece) => !differs(piece)) ?? first;
    return usual ? sharedOf(usual) : sharedOf(NONE);
  });
  const mixed = computed(
    () => chosen.value.filter((piece) => !isSame(sharedOf(piece), shared.value)).length,
  );

  let next: Step | undefined;

  /** Does a step that may take long; of steps that come meanwhile the last one follows. */
  async function act(call: CommandCall, key?: string): Promise<void> {
    next = { call, key };
    if (busy.value) return;
    busy.value = true;
    try {
      for (let one: Step | undefined = next; one; one = next) {
        next = undefined;
        await store.actInWorker(one.call, one.key);
      }
    } catch (error) {
      messages.sayError(error);
    } finally {
      busy.value = false;
    }
  }

  function share(changes: Partial<SharedEdge>, of: readonly string[] = ids.value): void {
    const key = `share:${Object.keys(changes).join()}`;
    void act({ name: 'share-edge', args: { pieces: of, changes } }, key);
  }

  function choose(id: string): void {
    const now = new Set(picked.value);
    if (!now.delete(id)) now.add(id);
    picked.value = now;
  }

  /** What the copies of the chosen pieces cover, mm², and of how much that can be printed on. */
  const area = computed(() => {
    const { committed: job } = store;
    if (!job) return { covered: 0, sheets: 0 };
    const covered = chosen.value.reduce(
      (sum, piece) => sum + areaOf(piece) * copyCount(job, piece.id),
      0,
    );
    const { left, top, right, bottom } = printable(job.stock);
    return { covered, sheets: covered / ((right - left) * (bottom - top)) };
  });
  /** Copies of the chosen pieces that a hand has placed. */
  const placed = computed(
    () =>
      Object.keys(store.committed?.plan.handPlaces ?? {}).filter((copy) =>
        ids.value.includes(copyParts(copy).piece),
      ).length,
  );

  return {
    store,
    pieces,
    picked,
    chosen,
    ids,
    busy,
    before,
    showsBefore,
    shared,
    common,
    mixed,
    differs,
    area,
    placed,
    act,
    share,
    choose,
  };
}

export type AllEdgesState = ReturnType<typeof useAllEdges>;

const areas = new WeakMap<Piece, number>();

function areaOf(piece: Piece): number {
  const known = areas.get(piece) ?? pieceArea(piece);
  areas.set(piece, known);
  return known;
}

/** What stands for a piece where there is none. */
const NONE: Piece = {
  id: '',
  name: '',
  edge: { kind: 'circle', diameter: 40 },
  bleed: 2,
  safe: 2,
  ground: null,
  elements: [],
};

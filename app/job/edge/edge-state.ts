import { computed, ref, watch } from 'vue';
import { Cancelled, isSame } from '../../../core/base/index.ts';
import { artSize, USUAL_TOLERANCE } from '../../../core/art/index.ts';
import {
  compose,
  flatten,
  mapPath,
  placed,
  outlineFirstWay,
  signedArea,
  type Point,
} from '../../../core/geometry/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import { pictureMap, pictureSize, type Piece, type Picture } from '../../../core/piece/index.ts';
import {
  pathPart,
  plainBuild,
  plainShape,
  rimOf,
  shapePath,
  shapeSize,
  STICKER_EDGE,
  type BoxedKind,
  type EdgeBuild,
  type EdgePart,
  type EdgeShape,
  type NodePlace,
  type Punched,
} from '../../../core/shape/index.ts';
import { artCalls, type Ongoing } from '../../calls/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** The edge of the piece on the desk: how it is made, what of it is chosen, and how it is changed. */
export function useEdgeState(desk: DeskState) {
  const messages = useMessages();
  const { store, piece } = desk;
  const chosen = ref(0);
  const hole = ref<number>();
  const editing = ref(false);
  const point = ref<NodePlace>();
  const busy = ref('');
  const tolerance = ref(USUAL_TOLERANCE);
  const traced = ref<{ nodes: number; deviation: number }>();

  const build = computed<EdgeBuild>(
    () => piece.value?.build ?? plainBuild(piece.value?.edge ?? CIRCLE, texts.edge.edge),
  );
  const parts = computed(() => build.value.parts);
  const part = computed(() => parts.value[chosen.value] ?? parts.value[0]);
  const pictures = computed(
    () => piece.value?.elements.filter((one): one is Picture => one.kind === 'picture') ?? [],
  );
  const follows = computed(() => piece.value?.variant !== undefined);
  const rings = computed(() =>
    piece.value ? outlineFirstWay(flatten(shapePath(piece.value.edge))) : [],
  );
  const facts = computed(() => ({
    parts: rings.value.filter((ring) => signedArea(ring) > 0).length,
    nodes:
      piece.value?.edge.kind === 'outline'
        ? piece.value.edge.rings.reduce((sum, ring) => sum + ring.length, 0)
        : undefined,
  }));
  /** The least material between each punched hole and the outline around it, mm. */
  const rims = computed(() =>
    build.value.punched.map((one) => {
      const around = rings.value.filter((ring) => signedArea(ring) > 0);
      return rimOf(one, around);
    }),
  );

  watch(
    () => piece.value?.id,
    () => {
      chosen.value = 0;
      hole.value = undefined;
      editing.value = false;
      traced.value = undefined;
    },
  );

  /** Pieces that have the same edge, and get the same one again: varieties of one shape. */
  function alike(one: Piece): string[] {
    if (one.elements.some(({ kind }) => kind === 'picture') && one.build) return [];
    return (store.job?.pieces ?? [])
      .filter(
        (other) =>
          other.id !== one.id &&
          !other.variant &&
          !other.guest &&
          isSame(other.edge, one.edge) &&
          isSame(other.build, one.build),
      )
      .map(({ id }) => id);
  }

  function command(next: EdgeBuild, doing: string): CommandCall | undefined {
    const one = piece.value;
    if (!one) return undefined;
    return { name: 'build-edge', args: { piece: one.id, also: alike(one), build: next, doing } };
  }

  /** Changes how the edge is made; steps of the same key are one. */
  function change(changes: Partial<EdgeBuild>, doing = 'change the edge', key?: string): void {
    const call = command({ ...build.value, ...changes }, doing);
    if (call) store.act(call, key);
  }

  function withPart(at: number, changes: Partial<EdgePart>): EdgeBuild {
    const now = parts.value.map((one, index) => (index === at ? { ...one, ...changes } : one));
    return { ...build.value, parts: now };
  }

  function changePart(changes: Partial<EdgePart>, key?: string): void {
    const call = command(withPart(chosen.value, changes), 'change the shape');
    if (call) store.act(call, key && `${key}:${chosen.value}`);
  }

  /** Another kind of shape in place of the chosen one, about as large. */
  function reshape(kind: BoxedKind): void {
    if (!part.value || part.value.shape.kind === kind) return;
    const { width, height } = shapeSize(part.value.shape);
    const flatter = ['ellipse', 'banner', 'ticket'].includes(kind) && width === height;
    const shape = plainShape(kind, width, flatter ? height * 0.75 : height, 3);
    changePart({ shape, name: texts.edge.shapes[kind] });
  }

  function addShape(kind: BoxedKind): void {
    const { width, height } = shapeSize(piece.value?.edge ?? CIRCLE);
    const side = Math.max(4, Math.min(width, height) * 0.5);
    const shape = plainShape(kind, side, side, 2);
    const added = {
      use: 'add',
      name: texts.edge.shapes[kind],
      shape,
      x: width / 3,
      y: 0,
      angle: 0,
    };
    change({ parts: [...parts.value, added as EdgePart] }, 'add a shape to the edge');
    chosen.value = parts.value.length - 1;
  }

  function removePart(at: number): void {
    const left = parts.value.filter((_, index) => index !== at);
    const [first, ...rest] = left;
    if (!first) return;
    change({ parts: [{ ...first, use: 'add' }, ...rest] }, 'take a shape out of the edge');
    chosen.value = 0;
  }

  let ongoing: Ongoing<'traceArt'> | undefined;

  /** Traces pictures where they stand on the piece, and makes their outline the edge. */
  async function trace(of: readonly Picture[]): Promise<void> {
    busy.value = texts.edge.tracing;
    try {
      const made: EdgePart[] = [];
      let [nodes, deviation] = [0, 0];
      for (const picture of of) {
        const art = store.job?.art[picture.art];
        if (!art) continue;
        const scale = pictureSize(picture, art).width / artSize(art).width;
        const within = tolerance.value / scale;
        ongoing = artCalls.call('traceArt', { art, tolerance: within });
        const done = await ongoing.answer;
        if (!done.ok) return messages.sayProblem(done.problem);
        nodes += done.value.nodes;
        deviation = Math.max(deviation, done.value.deviation * scale);
        const map = compose(placed(picture.x, picture.y, picture.angle), pictureMap(picture, art));
        made.push(pathPart(mapPath(done.value.path, map), art.name));
      }
      if (made.length === 0) return;
      const before = piece.value?.build;
      const first = !before?.parts.some(({ shape }) => shape.kind === 'outline');
      change(
        {
          parts: made,
          ...(first ? { offset: STICKER_EDGE.offset, holes: STICKER_EDGE.holes } : {}),
        },
        'trace the picture',
      );
      chosen.value = 0;
      traced.value = { nodes, deviation };
    } catch (error) {
      if (!(error instanceof Cancelled)) messages.sayError(error);
    } finally {
      busy.value = '';
      ongoing = undefined;
    }
  }

  /** Gives up tracing. */
  function stop(): void {
    ongoing?.cancel();
  }

  /** An outline from a file: in the place of a shape that was only there to begin with, else one more. */
  function addPart(made: EdgePart): void {
    const [only] = parts.value;
    const begins = parts.value.length === 1 && only?.shape.kind !== 'outline';
    change({ parts: begins ? [made] : [...parts.value, made] }, 'take an outline from a file');
    chosen.value = parts.value.length - 1;
  }

  function addHole(slot: boolean): void {
    const { height } = shapeSize(piece.value?.edge ?? CIRCLE);
    const size = slot ? { width: 12, height: 4 } : { width: 5, height: 5 };
    const made: Punched = { x: 0, y: -height / 2 + 3 + size.height / 2 + 1, ...size, angle: 0 };
    change({ punched: [...build.value.punched, made] }, 'punch a hole');
    hole.value = build.value.punched.length - 1;
  }

  function withHole(at: number, changes: Partial<Punched>): EdgeBuild {
    const punched = build.value.punched.map((one, index) =>
      index === at ? { ...one, ...changes } : one,
    );
    return { ...build.value, punched };
  }

  function changeHole(at: number, changes: Partial<Punched>, key?: string): void {
    const call = command(withHole(at, changes), 'change a hole');
    if (call) store.act(call, key && `${key}:${at}`);
  }

  function removeHole(at: number): void {
    change({ punched: build.value.punched.filter((_, index) => index !== at) }, 'take a hole out');
    hole.value = undefined;
  }

  type Creases = NonNullable<Piece['creases']>;

  function creasesCommand(creases: Creases): CommandCall | undefined {
    return (
      piece.value && {
        name: 'change-piece',
        args: { piece: piece.value.id, changes: { creases } },
      }
    );
  }

  function changeCreases(creases: Creases, key?: string): void {
    const call = creasesCommand(creases);
    if (call) store.act(call, key);
  }

  function addCrease(): void {
    const { width } = shapeSize(piece.value?.edge ?? CIRCLE);
    const [from, to]: [Point, Point] = [
      { x: -width / 2, y: 0 },
      { x: width / 2, y: 0 },
    ];
    changeCreases([...(piece.value?.creases ?? []), [from, to]]);
  }

  /** Begins to move single nodes: the edge as it is becomes the one shape that it is made from. */
  function startEditing(): void {
    const edge = piece.value?.edge;
    if (!edge) return;
    const single = parts.value.length === 1 && parts.value[0]?.shape.kind === 'outline';
    const plain = single && build.value.offset === 0;
    if (!plain) {
      const solid = pathPart(shapePath(edge), texts.edge.edge);
      const made = { ...plainBuild(edge, texts.edge.edge), parts: [solid], holes: 'keep' as const };
      const call = command(made, 'edit points');
      if (call && !store.act(call)) return;
    }
    chosen.value = 0;
    editing.value = true;
  }

  /** The command that gives the only outline other nodes. */
  function nodesCommand(rings_: Extract<EdgeShape, { kind: 'outline' }>['rings']) {
    return command(withPart(0, { shape: { kind: 'outline', rings: rings_ } }), 'move a point');
  }

  return {
    store,
    piece,
    build,
    parts,
    part,
    chosen,
    hole,
    editing,
    point,
    choosePoint: (place: NodePlace) => (point.value = place),
    busy,
    tolerance,
    traced,
    pictures,
    follows,
    facts,
    rims,
    change,
    command,
    withPart,
    changePart,
    reshape,
    addShape,
    addPart,
    removePart,
    trace,
    stop,
    addHole,
    withHole,
    changeHole,
    removeHole,
    creasesCommand,
    changeCreases,
    addCrease,
    startEditing,
    nodesCommand,
  };
}

export type EdgeState = ReturnType<typeof useEdgeState>;

const CIRCLE: EdgeShape = { kind: 'circle', diameter: 40 };

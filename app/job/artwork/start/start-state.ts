import { computed, ref, shallowRef } from 'vue';
import type { Art } from '../../../../core/art/index.ts';
import {
  DESIGN_COLORS,
  DESIGN_FACES,
  designsFor,
  type DesignColors,
  type DesignFaces,
  type DesignFamily,
  type DesignName,
} from '../../../../core/designs/index.ts';
import {
  callForDesign,
  tryCommand,
  type CommandCall,
  type Job,
  type OwnDesign,
} from '../../../../core/job/index.ts';
import type { LabelSays } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { useOwnDesigns } from '../../../session/own-designs.ts';
import { useHouseStyle } from '../../../session/house-style-store.ts';
import { designedLabel, designedSet, roomsOf, type DesignedFrom } from './designed-label.ts';
import { useLabelSays } from '../fields/label-says.ts';
import { useWhenQuiet } from '../../../ui/when-quiet.ts';

const words = texts.start;

/** The manner that was looked for last. */
const family = ref<DesignFamily>();

/** Each has the same colours and typefaces, however it was found. */
const ALL_DESIGNS = designsFor();

/** Starting designs for the piece on the desk, with its own words and picture. */
export function useStart(desk: DeskState) {
  const house = useHouseStyle();
  const ownDesigns = useOwnDesigns();
  void house.load();
  void ownDesigns.load();
  const picture = shallowRef<Art | undefined>(firstPicture());
  const colorsAt = ref(0);
  const facesAt = ref(0);
  const chosen = ref<DesignName>();
  const isSet = computed(() => desk.store.whole?.set !== undefined);
  /** Whether all things of the set get the design. */
  const forAll = ref(false);

  function firstName(): string {
    const piece = desk.piece.value;
    const job = desk.store.job;
    return piece && piece.name !== 'Label' ? piece.name : (job?.name ?? '');
  }

  function firstPicture(): Art | undefined {
    const known = desk.store.job?.art ?? {};
    const used = desk.piece.value?.elements.find((one) => one.kind === 'picture');
    return (used?.kind === 'picture' ? known[used.art] : undefined) ?? Object.values(known)[0];
  }

  /** The house's own come first. */
  const colors = computed<readonly DesignColors[]>(() => [
    ...house.style.palettes.flatMap(({ name: called, colors: [ground, ink, accent, soft] }) =>
      ground && ink
        ? [{ name: called, ground, ink, accent: accent ?? ink, soft: soft ?? ground }]
        : [],
    ),
    ...DESIGN_COLORS,
  ]);
  const faces = computed<readonly DesignFaces[]>(() => [
    ...(house.style.faces ? [{ name: words.ownFaces, ...house.style.faces }] : []),
    ...DESIGN_FACES,
  ]);
  const rooms = computed(() => {
    const { value: piece } = desk.committedPiece;
    const thing = desk.store.committed?.thing;
    return piece && thing ? roomsOf(piece, thing) : undefined;
  });
  const label = useLabelSays(desk.committedPiece.value, {
    name: firstName(),
    back: computed(() => rooms.value?.back !== undefined),
  });
  const designs = computed(() =>
    rooms.value ? designsFor({ use: label.use.value, family: family.value }) : [],
  );
  /** Each design is shown in colours and typefaces of its own; the chosen one leads. */
  const lookOf = (design: DesignName): { colors: DesignColors; faces: DesignFaces } => {
    const at = ALL_DESIGNS.indexOf(design);
    const own = <T>(list: readonly T[], from: number, step: number): T =>
      list[(from + at * step) % list.length] as T;
    return {
      colors: own(colors.value, colorsAt.value, 1),
      faces: own(faces.value, facesAt.value, 5),
    };
  };

  /** Previews wait until nothing is typed. */
  const shownSays = useWhenQuiet(() => label.says.value);
  const shownOwn = useWhenQuiet(() => label.own.value);

  function callFor(design: DesignName | 'blank', says: LabelSays): CommandCall | undefined {
    const piece = desk.committedPiece.value;
    if (!piece || !rooms.value) return undefined;
    const from = design === 'blank' ? words.blank : words.names[design];
    if (design === 'blank')
      return { name: 'set-artwork', args: { piece: piece.id, ground: null, elements: [], from } };
    const { value: art } = picture;
    const made = designedLabel(design, rooms.value, { ...designedFrom(design), says });
    const args = { piece: piece.id, ...made, ...(art ? { art: [art] } : {}), from, design };
    return { name: 'set-artwork', args };
  }

  const designedFrom = (design: DesignName): DesignedFrom => ({
    job: desk.store.committed,
    house: house.style,
    look: lookOf(design),
    art: picture.value,
  });

  /** The same for all things of the set. */
  function callForAll(design: DesignName): CommandCall | undefined {
    const { whole, thing: here } = desk.store;
    const { value: says } = label.says;
    const args = whole && designedSet(whole, design, { ...designedFrom(design), here, says });
    return args && { name: 'design-things', args: { ...args, from: words.names[design] } };
  }

  /** The job with a design, to be looked at only. */
  function tried(design: DesignName | 'blank'): Job | undefined {
    const call = callFor(design, shownSays.value);
    return call && desk.store.committed && tryCommand(desk.store.committed, call);
  }

  /** A design of the workshop's own on this piece, with what is typed where that is not the usual. */
  function ownCall(design: OwnDesign, says: LabelSays): CommandCall | undefined {
    const piece = desk.committedPiece.value;
    if (!piece) return undefined;
    const call = callForDesign(design, piece, {
      says,
      art: picture.value?.id,
    });
    const art = [...(call.args.art ?? []), ...(picture.value ? [picture.value] : [])];
    return { ...call, args: { ...call.args, art } };
  }

  /** The workshop's own designs, each with the job as it would be. */
  const owned = computed(() =>
    ownDesigns.list.flatMap((design) => {
      const call = ownCall(design, shownOwn.value);
      const job = call && desk.store.committed && tryCommand(desk.store.committed, call);
      return job ? [{ design, job }] : [];
    }),
  );

  function useOwn(design: OwnDesign): void {
    const call = ownCall(design, label.own.value);
    if (!call || !desk.store.act(call, `start:${desk.piece.value?.id ?? ''}`)) return;
    chosen.value = undefined;
    desk.clear();
  }

  function use(design: DesignName | 'blank'): void {
    const isForAll = forAll.value && isSet.value && design !== 'blank';
    const call = isForAll ? callForAll(design) : callFor(design, label.says.value);
    if (!call || !desk.store.act(call, `start:${desk.piece.value?.id ?? ''}`)) return;
    chosen.value = design === 'blank' ? undefined : design;
    desk.clear();
  }

  /** What was typed is put on the label, where a design was chosen for it. */
  function refresh(): void {
    if (chosen.value) use(chosen.value);
  }

  function shuffle(what: 'colors' | 'faces'): void {
    if (what === 'colors') colorsAt.value++;
    else facesAt.value++;
    refresh();
  }

  return {
    label,
    isSet,
    forAll,
    family,
    refresh,
    rooms,
    picture,
    designs,
    chosen,
    faces,
    lookOf,
    tried,
    use,
    owned,
    useOwn,
    shuffle,
  };
}

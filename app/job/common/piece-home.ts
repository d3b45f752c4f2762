import { useRouter } from 'vue-router';
import { useJobStore } from '../../session/job-store.ts';

/** The way to where a piece is changed that lies on these sheets as a guest. */
export function usePieceHome() {
  const store = useJobStore();
  const router = useRouter();

  const guestOf = (piece: string | undefined) =>
    store.committed?.pieces.find(({ id }) => id === piece)?.guest;

  /** What a guest belongs to, as it is called; undefined for a piece of one's own. */
  function homeOf(piece: string | undefined): string | undefined {
    const guest = guestOf(piece);
    if (!guest) return undefined;
    if (guest.job !== undefined) return guest.jobName ?? '';
    return store.things.find(({ id }) => id === guest.thing)?.name;
  }

  async function goHome(piece: string): Promise<void> {
    const guest = guestOf(piece);
    if (!guest) return;
    const query = { piece: guest.piece };
    if (guest.job !== undefined) {
      await router.push({ name: 'artwork', params: { id: guest.job }, query });
    } else if (guest.thing !== undefined) {
      await router.push({ name: 'artwork', query });
      store.showThing(guest.thing);
    }
  }

  return { homeOf, goHome };
}

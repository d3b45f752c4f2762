import localforage from 'localforage';

const store = (storeName: string): LocalForage =>
  localforage.createInstance({ name: 'little-peel', storeName });

/** Where everything of the workshop is kept in this browser. */
export const database = {
  /** Job values by id. */
  jobs: store('jobs'),
  /** Bytes of art by hash. */
  art: store('art'),
  /** What is known of the art in the drawer, by hash. */
  drawer: store('drawer'),
  /** What was deleted, until the shelf is next opened. */
  trash: store('trash'),
  /** Runs by id. */
  runs: store('runs'),
  /** Earlier versions of jobs, by the job's id. */
  versions: store('versions'),
  /** Jobs that are kept as starting designs, by id. */
  designs: store('designs'),
  /** Settings and small facts of the workshop by name. */
  workshop: store('workshop'),
} as const;

/** Whether an error says that the browser has no more room. */
export function isFull(error: unknown): boolean {
  const name = error instanceof Error || error instanceof DOMException ? error.name : '';
  return /quota/i.test(name) || /quota|no space|disk is full/i.test(String(error));
}

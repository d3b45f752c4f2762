/** Who may write a job: one tab at a time. */
export interface WriterLock {
  /** Gives up writing, or waiting for it. */
  release(): void;
}

/** What a tab is told about its part. */
export interface WriterWatch {
  /** This tab writes from now on. */
  onWriter(): void;
  /** Another tab writes; this one reads. */
  onReader(): void;
}

const LEASE = 4000; // ms after which a silent tab is taken for gone

/**
 * Asks to write a job. With Web Locks the browser keeps the order; on plain-http addresses, which
 * have none, a lease in local storage does. `take` pushes another tab aside.
 */
export function askToWrite(job: string, watch: WriterWatch, take = false): WriterLock {
  return navigator.locks ? byLock(job, watch, take) : byLease(job, watch, take);
}

function byLock(job: string, watch: WriterWatch, take: boolean): WriterLock {
  const name = `little-peel-writer:${job}`;
  let letGo: () => void = () => undefined;
  let ended = false;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  const hold = (lock: Lock | null): Promise<void> | undefined => {
    if (ended) return undefined;
    if (lock) {
      watch.onWriter();
      return held;
    }
    watch.onReader();
    // Waits its turn: when the other tab closes, this one writes.
    void navigator.locks.request(name, hold).catch(() => undefined);
    return undefined;
  };
  const options: LockOptions = take ? { steal: true } : { ifAvailable: true };
  navigator.locks.request(name, options, hold).catch(() => {
    if (!ended) watch.onReader();
  });
  return {
    release() {
      ended = true;
      letGo();
    },
  };
}

interface Lease {
  readonly tab: string;
  readonly until: number;
}

function byLease(job: string, watch: WriterWatch, take: boolean): WriterLock {
  const key = `little-peel-writer:${job}`;
  const tab = `${Date.now()}-${Math.random()}`;
  let writes: boolean | undefined;
  const read = (): Lease | undefined => {
    const text = localStorage.getItem(key);
    return text ? (JSON.parse(text) as Lease) : undefined;
  };
  const renew = (forced: boolean): void => {
    const lease = read();
    const mine = forced || !lease || lease.tab === tab || lease.until < Date.now();
    if (mine)
      localStorage.setItem(key, JSON.stringify({ tab, until: Date.now() + LEASE } satisfies Lease));
    if (mine !== writes) {
      writes = mine;
      if (mine) watch.onWriter();
      else watch.onReader();
    }
  };
  renew(take);
  const timer = setInterval(() => renew(false), LEASE / 4);
  return {
    release() {
      clearInterval(timer);
      if (writes) localStorage.removeItem(key);
    },
  };
}

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

/** How long another tab of this job is waited for that may just be closing it, ms. */
const PATIENCE = 1500;

const lockName = (job: string): string => `little-peel-writer:${job}`;

/**
 * Does something as the only writer of a job; says whether it was done: not where the job is open for
 * writing in a tab.
 */
export async function asWriter(job: string, work: () => Promise<unknown>): Promise<boolean> {
  if (!navigator.locks) return asLeaseholder(job, work);
  let done = false;
  const signal = AbortSignal.timeout(PATIENCE);
  try {
    await navigator.locks.request(lockName(job), { signal }, async () => {
      await work();
      done = true;
    });
  } catch (error) {
    if (!(error instanceof DOMException)) throw error;
  }
  return done;
}

async function asLeaseholder(job: string, work: () => Promise<unknown>): Promise<boolean> {
  const lease = readLease(job);
  if (lease && lease.until >= Date.now()) return false;
  keepLease(job, `${Date.now()}-${Math.random()}`);
  try {
    await work();
    return true;
  } finally {
    localStorage.removeItem(lockName(job));
  }
}

function byLock(job: string, watch: WriterWatch, take: boolean): WriterLock {
  const name = lockName(job);
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

function readLease(job: string): Lease | undefined {
  const text = localStorage.getItem(lockName(job));
  return text ? (JSON.parse(text) as Lease) : undefined;
}

function keepLease(job: string, tab: string): void {
  const lease: Lease = { tab, until: Date.now() + LEASE };
  localStorage.setItem(lockName(job), JSON.stringify(lease));
}

function byLease(job: string, watch: WriterWatch, take: boolean): WriterLock {
  const tab = `${Date.now()}-${Math.random()}`;
  let writes: boolean | undefined;
  const renew = (forced: boolean): void => {
    const lease = readLease(job);
    const mine = forced || !lease || lease.tab === tab || lease.until < Date.now();
    if (mine) keepLease(job, tab);
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
      if (writes) localStorage.removeItem(lockName(job));
    },
  };
}

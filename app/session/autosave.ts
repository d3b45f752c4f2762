/** Keeps the newest value within a second, however fast values come. */
export interface Autosave<T> {
  /** A new value is there. */
  changed(value: T): void;
  /** Keeps what is waiting now. */
  flush(): Promise<void>;
}

const QUIET = 250; // ms without a change
const LATEST = 700; // ms that a change may wait at most

/**
 * @param keep writes a value; may reject
 * @param tell hears what became of it
 */
export function autosave<T>(
  keep: (value: T) => Promise<void>,
  tell: (state: 'keeping' | 'kept' | 'failed', error?: unknown) => void,
): Autosave<T> {
  let waiting: { value: T } | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let since = 0;
  let writing: Promise<void> = Promise.resolve();

  const write = (): Promise<void> => {
    clearTimeout(timer);
    const next = waiting;
    waiting = undefined;
    since = 0;
    if (!next) return writing;
    writing = writing
      .then(() => keep(next.value))
      .then(
        () => (waiting ? undefined : tell('kept')),
        (error: unknown) => {
          waiting ??= next; // nothing is lost: the next change tries again
          tell('failed', error);
        },
      );
    return writing;
  };

  return {
    changed(value) {
      waiting = { value };
      since ||= Date.now();
      tell('keeping');
      clearTimeout(timer);
      timer = setTimeout(
        () => void write(),
        Math.max(0, Math.min(QUIET, since + LATEST - Date.now())),
      );
    },
    flush: write,
  };
}

/** Tells other tabs that a job was kept, so that readers show it. */
const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel('little-peel') : undefined;

/** Says that a job was kept. */
export function tellKept(job: string): void {
  channel?.postMessage({ job });
}

/** Hears of jobs that other tabs keep; gives the way to stop hearing. */
export function hearKept(hear: (job: string) => void): () => void {
  const listen = ({ data }: MessageEvent<{ job: string }>): void => hear(data.job);
  channel?.addEventListener('message', listen);
  return () => channel?.removeEventListener('message', listen);
}

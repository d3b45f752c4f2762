import { createPinia, setActivePinia } from 'pinia';
import { createApp } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { createJob, type Beginning } from '../../core/job/index.ts';
import type { DeskState } from '../job/artwork-state/desk-state.ts';
import './page-globals.ts';

let number = 0;

/** The Artwork desk of a new job that is open, and no other. */
export async function openDesk(beginning: Beginning = 'lid'): Promise<DeskState> {
  const { useJobStore } = await import('../session/job-store.ts');
  const { keepJob } = await import('../storage/index.ts');
  const { useDeskState } = await import('../job/artwork-state/desk-state.ts');
  const id = `desk-${++number}`;
  const pinia = createPinia();
  setActivePinia(pinia);
  const routes = [{ path: '/', component: {} }];
  const router = createRouter({ history: createMemoryHistory(), routes });
  await keepJob(createJob(beginning, { id, today: '2026-04-18' }), 1);
  await useJobStore().open(id);
  return createApp({}).use(pinia).use(router).runWithContext(useDeskState);
}

/** Keeps what was done and closes the job. */
export async function closeDesk(): Promise<void> {
  const { useJobStore } = await import('../session/job-store.ts');
  const store = useJobStore();
  await store.flush();
  store.close();
}

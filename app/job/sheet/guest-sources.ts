import { guestsOf, isOutdated, thingAlone, type Job } from '../../../core/job/index.ts';

/** The jobs of which a label is another now than as a guest on the sheets of a job. */
export function sourcesOutdated(host: Job, jobs: readonly Job[]): Job[] {
  const guests = guestsOf(host);
  return jobs.filter((source) =>
    guests.some(
      (piece) =>
        piece.guest?.job === source.id &&
        isOutdated(host, piece, ofThing(source, piece.guest.thing)),
    ),
  );
}

const ofThing = (source: Job, thing: string | undefined): Job =>
  thing === undefined ? source : thingAlone(source, thing);

import type { texts } from '../texts/index.ts';

export type Subject = keyof typeof texts.art.subjects;

/** A drawing that ships: known by its name until it is looked at. */
export interface ReadyMade {
  readonly id: string;
  readonly subject: Subject;
  readonly name: string;
}

let index: Promise<readonly ReadyMade[]> | undefined;
const subjects = new Map<Subject, Promise<Readonly<Record<string, string>>>>();

async function read<T>(file: string): Promise<T> {
  const answer = await fetch(`/pictures/${file}.json`);
  if (!answer.ok) throw new Error(`pictures/${file}.json: ${answer.status}`);
  return (await answer.json()) as T;
}

/** The names of all drawings. */
export function readyMade(): Promise<readonly ReadyMade[]> {
  index ??= read<ReadyMade[]>('index').catch((error: unknown) => {
    index = undefined;
    throw error;
  });
  return index;
}

/** The drawings of a subject as SVG text by id; fetched when it is first looked at. */
export function drawingsOf(subject: Subject): Promise<Readonly<Record<string, string>>> {
  const known = subjects.get(subject) ?? read<Record<string, string>>(subject);
  subjects.set(subject, known);
  known.catch(() => subjects.delete(subject));
  return known;
}

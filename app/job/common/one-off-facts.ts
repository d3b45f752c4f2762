import { copyOf, hasOwnArtwork, type Job, type OneOff } from '../../../core/job/index.ts';
import { fieldOf } from '../../../core/piece/index.ts';
import type { CopyId } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';

const say = texts.sheet;

/** What of a copy is its own, in a word for each kind. */
export function ownWords({ ground, elements = {}, without, added }: OneOff): string {
  const fields = Object.values(elements).flatMap(({ changes }) => Object.keys(changes));
  const has = (...names: string[]): boolean => names.some((name) => fields.includes(name));
  const kinds: (string | false | undefined)[] = [
    has('text') && say.own.words,
    has('color', 'fill', 'inks', 'line') && say.own.color,
    has('art') && say.own.picture,
    ground !== undefined && say.own.ground,
    (without ?? added) !== undefined && say.own.more,
  ];
  return kinds.filter(Boolean).join(', ') || say.own.more;
}

/** A copy as people know it: what its row says first, or its number. */
export function copyName(job: Job, copy: string): string {
  return named(job, copy, (number) => number);
}

/** The same where copies of several pieces stand together. */
export function copyTitle(job: Job, copy: string): string {
  return named(job, copy, (number, piece) => `${piece}, ${number}`);
}

function named(job: Job, copy: string, without: (number: string, piece: string) => string): string {
  const found = copyOf(job, copy);
  if (!found) return '';
  const first = job.list && found.row && fieldOf(job.list, found.row, job.list.columns[0] ?? '');
  return first || without(say.copyNumber(found.number), found.piece.name);
}

/** A copy that differs from its piece. */
export interface OneOffFact {
  readonly copy: CopyId;
  readonly name: string;
  /** What it has of its own. */
  readonly what: string;
  readonly out: boolean;
}

/** The copies of a job that differ and are made. */
export function oneOffFacts(job: Job): OneOffFact[] {
  return Object.entries(job.oneOffs ?? {}).flatMap(([copy, own]): OneOffFact[] =>
    copyOf(job, copy)
      ? [
          {
            copy: copy as CopyId,
            name: copyName(job, copy),
            what: hasOwnArtwork(own) ? ownWords(own) : '',
            out: own.out === true,
          },
        ]
      : [],
  );
}

import type { ProblemCode, ProblemValues } from '../../../core/base/index.ts';
import type { Sentences } from '../../sentences.ts';
import type { Words } from '../../words.ts';

/** Sentences for the problems of some domains: what stands before the slash of their codes. */
export type ProblemWords<D extends string> = Words<
  Pick<ProblemValues, Extract<ProblemCode, `${D}/${string}`>>,
  Sentences
>;

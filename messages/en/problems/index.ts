import type { Coded, ProblemCode, ProblemValues } from '../../../core/base/index.ts';
import type { Sentences } from '../../sentences.ts';
import { wordsFor, type Words } from '../../words.ts';
import { CODES } from './codes.ts';
import { DEVICES } from './devices.ts';
import { FILES } from './files.ts';
import { JOBS } from './jobs.ts';
import { PACKING } from './packing.ts';
import { THINGS } from './things.ts';

const PROBLEMS: Words<ProblemValues, Sentences> = {
  ...CODES,
  ...DEVICES,
  ...FILES,
  ...JOBS,
  ...PACKING,
  ...THINGS,
};

/** Whether there are words for a code. */
export const isProblemCode = (code: string): code is ProblemCode => Object.hasOwn(PROBLEMS, code);

/** A problem in a sentence, and what to do about it. */
export const problemText = (problem: Coded<ProblemValues>): Sentences =>
  wordsFor(PROBLEMS, problem);

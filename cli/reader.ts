import {
  readArt,
  takeIn,
  type ReadArt,
  type TakeInChoices,
  type TakenIn,
} from '../core/art/index.ts';
import type { Result, Task } from '../core/base/index.ts';
import { nodePlatform } from '../devices/wire/index.ts';

/** A file by the name that it is known by. */
export interface NamedFile {
  readonly bytes: Uint8Array;
  readonly name: string;
}

/** Reads files with pictures. */
export interface Reader {
  read(file: NamedFile): Promise<Result<ReadArt>>;
  takeIn(file: NamedFile, how: { choices: TakeInChoices; task: Task }): Promise<TakenIn>;
}

/** Reads in this thread, for as long as it takes. */
export const plainReader: Reader = {
  read: ({ bytes, name }) => readArt(nodePlatform, bytes, name),
  takeIn: (file, how) => takeIn(nodePlatform, file, how),
};

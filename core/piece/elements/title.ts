import type { Coded, NoValues } from '../../base/index.ts';

/** What elements without a name of their own are, by code, with what tells them apart. */
export interface UntitledElements {
  'bar-code': { text: string };
  combined: { parts: readonly ElementTitle[] };
  'drawn-line': NoValues;
  'drawn-shape': NoValues;
  'empty-words': NoValues;
  'missing-picture': NoValues;
  ornament: { name: string };
  piece: { id: string };
  plate: { shape: string };
  'qr-code': { text: string };
  ring: { shape: string };
}

/** What an element is called: by a name or words of its own, or by what it is. */
export type ElementTitle = string | Coded<UntitledElements>;

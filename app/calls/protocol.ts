import type { Doing } from '../../core/base/index.ts';
import type { CallAnswer, CallArgs, CallName } from '../../core/calls.ts';

/** What a page says to its worker. */
export type ToWorker =
  | {
      readonly kind: 'call';
      readonly id: number;
      readonly name: CallName;
      readonly args: CallArgs<CallName>;
    }
  | { readonly kind: 'cancel'; readonly id: number }
  /** Whether what is under way is to wait where it looks up. */
  | { readonly kind: 'hold'; readonly on: boolean }
  | { readonly kind: 'art'; readonly art: string; readonly bytes: Uint8Array | undefined };

/** What a worker says to its page. */
export type FromWorker =
  | {
      readonly kind: 'progress';
      readonly id: number;
      readonly share: number;
      readonly doing: Doing;
    }
  | { readonly kind: 'found'; readonly id: number; readonly part: unknown }
  | { readonly kind: 'done'; readonly id: number; readonly answer: CallAnswer<CallName> }
  | { readonly kind: 'cancelled'; readonly id: number }
  | { readonly kind: 'failed'; readonly id: number; readonly message: string }
  | { readonly kind: 'needs-art'; readonly art: string };

import type { NestKind } from './turned.ts';

/** A kind of outline with how many are wanted. */
export interface NestWish extends NestKind {
  /** mm² */
  readonly area: number;
  /** Of a circle, mm. */
  readonly diameter?: number;
  readonly wanted: number;
  /** What a copy counts where answers are held against each other; its area unless given, mm². */
  readonly worth?: number;
  /** As many as fit: comes after those with a number, and shares what is left by area. */
  readonly most: boolean;
}

/** A copy: its outline turned about its own origin, which then stands at a place of the sheet, mm. */
export interface NestPlace {
  readonly kind: number;
  readonly x: number;
  readonly y: number;
  readonly angle: number;
}

/** What a sheet holds. */
export interface Nested {
  readonly places: readonly NestPlace[];
  /** Of all copies that are placed, mm². */
  readonly area: number;
  /** What all copies that are placed count together, mm²: a search never gives up some of it. */
  readonly worth: number;
  /** Whether nothing that is wanted is left over. */
  readonly all: boolean;
}

/** What is asked for while a sheet is worked on. */
export interface Watch {
  readonly yieldNow: () => Promise<void>;
  /** Whether the time is up. */
  readonly over: () => boolean;
}

/** A sheet that is filled better and better. */
export interface SheetSearch {
  /** Begins with copies that lie already; those that cannot lie there are left out. */
  begin(places: readonly NestPlace[]): void;
  /** The first answer; part of it may be told while the rest is being placed. */
  first(watch: Watch, report?: () => void): Promise<void>;
  /** Whether there is something left to place that has a place at all. */
  left(): boolean;
  /** Tries to place more. Tells whether there is more now. */
  attempt(watch: Watch): Promise<boolean>;
  answer(): Nested;
}

import type { Stock, Supply } from '../../core/stock/index.ts';

/** A sheet as it is offered to choose from. */
export interface Offered {
  readonly stock: Stock;
  readonly note: string;
  readonly fact: string;
  /** What is on hand of it, where that is offered. */
  readonly supply?: Supply | undefined;
  /** How many labels it holds; 0 where the job's label does not fit. */
  readonly perSheet?: number;
}

/** Sheets under one heading. */
export interface OfferGroup<O extends Offered = Offered> {
  readonly title: string;
  readonly offers: readonly O[];
}

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' });

/** A day as it is said: “18 April”. */
export function dayOf(iso: string): string {
  return DAY.format(new Date(iso));
}

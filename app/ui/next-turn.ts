/** Lets the page answer between two pieces of work. */
export const nextTurn = (): Promise<void> => new Promise((go) => setTimeout(go, 0));

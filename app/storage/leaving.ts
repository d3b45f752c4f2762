let isLeaving = false;

/** Whether the page is being left: what is kept by the database may come too late. */
export const leaving = (): boolean => isLeaving;

/**
 * Has what is being typed taken over when the page is left by another address, a reload or the end of the
 * browser: no field hears that it is left then.
 */
export function takeOverOnLeaving(): void {
  addEventListener('pagehide', () => {
    isLeaving = true;
    const { activeElement } = document;
    if (activeElement instanceof HTMLElement) activeElement.blur();
  });
  addEventListener('pageshow', () => (isLeaving = false));
}

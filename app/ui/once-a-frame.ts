/**
 * What several events of a frame ask for is done once, with the frame that shows it, so that events
 * never hold a frame back.
 * @returns asks for it; `now` does what was asked for at once, before something else that relies on it
 */
export function onceAFrame(run: () => void): { ask(): void; now(): void } {
  let frame = 0;
  function now(): void {
    if (!frame) return;
    cancelAnimationFrame(frame);
    removeEventListener('pointerdown', now, true);
    frame = 0;
    run();
  }
  function ask(): void {
    if (frame) return;
    frame = requestAnimationFrame(now);
    addEventListener('pointerdown', now, true);
  }
  return { ask, now };
}

/** How long (ms) to wait where the screen shows nothing, so that hidden pages do little. */
const HIDDEN = 250;

/**
 * Does something once for each picture that the screen shows, however often it is asked for in between.
 *
 * @returns what asks for it
 */
export function oncePerFrame(act: () => void): () => void {
  let waiting = false;
  const now = () => {
    waiting = false;
    act();
  };
  return () => {
    if (waiting) return;
    waiting = true;
    if (document.visibilityState === 'hidden') setTimeout(now, HIDDEN);
    else requestAnimationFrame(now);
  };
}

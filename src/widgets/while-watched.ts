/** Nobody watches a page that has not been touched for so long, ms. */
const IDLE = 60_000;
/** Longest step, s: after a pause nothing jumps. */
const LONGEST = 0.1;

const SIGNS = ["pointermove", "pointerdown", "keydown", "wheel", "scroll", "focus"] as const;

/**
 * Draws frame by frame while the element is on the screen, the page is seen, and somebody has touched it in the last
 * minute; otherwise nothing runs. `frame` is given the seconds since the last one.
 * @returns what ends it
 */
export function whileWatched(element: Element, frame: (seconds: number) => void): () => void {
  let [request, last, touched, onScreen] = [0, 0, performance.now(), true];
  const tick = (now: number) => {
    if (!onScreen || document.hidden || now - touched > IDLE) {
      request = 0;
      return;
    }
    frame(Math.min(LONGEST, Math.max(0, now - last) / 1000));
    last = now;
    request = requestAnimationFrame(tick);
  };
  const wake = () => {
    if (request !== 0) return;
    last = performance.now();
    request = requestAnimationFrame(tick);
  };
  const touch = () => {
    touched = performance.now();
    wake();
  };
  const seen = new IntersectionObserver(([entry]) => {
    onScreen = entry!.isIntersecting;
    if (onScreen) wake();
  });
  seen.observe(element);
  for (const sign of SIGNS) window.addEventListener(sign, touch, { passive: true, capture: true });
  document.addEventListener("visibilitychange", touch);
  wake();
  return () => {
    cancelAnimationFrame(request);
    seen.disconnect();
    for (const sign of SIGNS) window.removeEventListener(sign, touch, { capture: true });
    document.removeEventListener("visibilitychange", touch);
  };
}

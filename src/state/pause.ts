/** Waits so many ms; rejects with an AbortError when the signal is aborted before. */
export const pause = (ms: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, ms);
    signal.addEventListener("abort", () => {
      clearTimeout(timer);
      reject(new DOMException("", "AbortError"));
    });
  });

"use client";
import { useEffect } from "react";
import { create } from "zustand";

/** How far the application can do without a network. */
interface Offline {
  /** Kept whole: it starts without a network. */
  ready: boolean;
  /** A newer build is kept, and waits until it is wanted. */
  waiting: ServiceWorker | undefined;
  /** This browser keeps nothing. */
  refused: boolean;
}
export const useOffline = create<Offline>(() => ({ ready: false, waiting: undefined, refused: false }));

/** So often it is looked whether there is a newer build, ms. */
const LOOK = 60 * 60_000;

/** Keeps the application for days without a network, and hears of newer builds; they never interrupt. */
export function useServiceWorker(): void {
  useEffect(() => {
    if (!("serviceWorker" in navigator)) return useOffline.setState({ refused: true });
    let timer: ReturnType<typeof setInterval> | undefined;
    const { serviceWorker } = navigator;
    const begin = async () => {
      const own = await serviceWorker.register("/sw.js", { scope: "/", updateViaCache: "none" });
      const look = () => {
        if (own.active) useOffline.setState({ ready: true });
        // The first one of all takes over by itself: there is nothing that it could interrupt.
        if (own.waiting && own.active) useOffline.setState({ waiting: own.waiting });
      };
      const watch = (worker: ServiceWorker | null) => worker?.addEventListener("statechange", look);
      watch(own.installing);
      own.addEventListener("updatefound", () => watch(own.installing));
      look();
      // Without a network there is no newer one to hear of.
      timer = setInterval(() => {
        own.update().catch(() => undefined);
      }, LOOK);
    };
    begin().catch(() => useOffline.setState({ refused: true }));
    return () => clearInterval(timer);
  }, []);
}

/** Goes over to the newer build: the page is loaded anew once it has taken over. */
export function takeNewer(): void {
  const { waiting } = useOffline.getState();
  if (!waiting) return;
  navigator.serviceWorker.addEventListener("controllerchange", () => location.reload(), { once: true });
  waiting.postMessage("take-over");
}

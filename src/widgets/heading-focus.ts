"use client";
import { useEffect, useRef } from "react";

/** A heading that comes late is waited for, ms. */
const LATE = 3000;

/**
 * After a move to another page the focus is on its heading, so that a screen reader says where one is and the keyboard
 * goes on from there; on the page's main part until the heading is there.
 */
export function useHeadingFocus(path: string): void {
  const last = useRef(path);
  useEffect(() => {
    if (last.current === path) return;
    last.current = path;
    const main = document.querySelector<HTMLElement>("main");
    if (!main) return;
    const focus = (): boolean => {
      const heading = main.querySelector<HTMLElement>("h1, h2");
      // Whoever has moved on meanwhile is left where they are.
      if (document.activeElement !== main && document.activeElement !== document.body) return true;
      if (!heading) return false;
      heading.tabIndex = -1;
      heading.style.outline = "none";
      heading.focus({ preventScroll: true });
      return true;
    };
    main.focus({ preventScroll: true });
    if (focus()) return;
    const watch = new MutationObserver(() => focus() && watch.disconnect());
    watch.observe(main, { childList: true, subtree: true });
    const end = setTimeout(() => watch.disconnect(), LATE);
    return () => {
      watch.disconnect();
      clearTimeout(end);
    };
  }, [path]);
}

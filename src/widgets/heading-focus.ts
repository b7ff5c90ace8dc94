"use client";
import { useEffect, useRef } from "react";

/**
 * After a move to another page the focus is on its heading, so that a screen reader says where one is and the keyboard
 * goes on from there: on the page's main part until the heading is there, and on the heading that takes its place. It
 * ends as soon as the focus is set elsewhere.
 */
export function useHeadingFocus(path: string): void {
  const last = useRef(path);
  useEffect(() => {
    if (last.current === path) return;
    last.current = path;
    const main = document.querySelector<HTMLElement>("main");
    if (!main) return;
    let focused: HTMLElement | null = null;
    const watch = new MutationObserver(() => focus());
    const focus = (): void => {
      const active = document.activeElement;
      // Whoever has moved on meanwhile is left where they are.
      if (active !== main && active !== document.body && active !== focused) return watch.disconnect();
      const heading = main.querySelector<HTMLElement>("h1") ?? main.querySelector<HTMLElement>("h2");
      if (!heading || heading === active) return;
      focused = heading;
      heading.tabIndex = -1;
      heading.style.outline = "none";
      heading.focus({ preventScroll: true });
    };
    main.focus({ preventScroll: true });
    watch.observe(main, { childList: true, subtree: true });
    focus();
    return () => watch.disconnect();
  }, [path]);
}

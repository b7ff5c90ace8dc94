"use client";
import { useEffect } from "react";

/** A letter that does something here. */
export function useKey(letter: string, run: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (
        event.metaKey ||
        event.ctrlKey ||
        event.altKey ||
        target.closest("input, textarea, [role=dialog], [role=combobox], [role=listbox]")
      )
        return;
      if (event.key.toLowerCase() === letter) run();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [letter, run]);
}

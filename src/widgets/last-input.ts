"use client";

/** Whether the hand was on the keyboard last, or on the screen: where the focus goes afterwards hangs on it. */
let last: "pointer" | "key" = "key";
if (typeof window !== "undefined") {
  window.addEventListener("pointerdown", () => (last = "pointer"), true);
  window.addEventListener("keydown", () => (last = "key"), true);
}

export const lastInput = (): "pointer" | "key" => last;

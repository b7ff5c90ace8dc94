"use client";
import { useEffect, useState } from "react";

/** A clock that runs from nought to `last` seconds while it plays; it stands still for who asks for less motion. */
export function usePlay(last: number) {
  const [t, setT] = useState(last);
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    if (!playing) return;
    let before: number | undefined;
    let frame = requestAnimationFrame(function turn(now) {
      const dt = before === undefined ? 0 : (now - before) / 1000;
      before = now;
      setT((at) => Math.min(last, at + dt));
      frame = requestAnimationFrame(turn);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, last]);
  const over = t >= last;
  return {
    t: Math.min(t, last),
    playing: playing && !over,
    toggle: () => {
      if (playing && !over) return setPlaying(false);
      setT(0);
      setPlaying(!matchMedia("(prefers-reduced-motion: reduce)").matches);
    },
    seek: (to: number) => {
      setPlaying(false);
      setT(to);
    },
  };
}

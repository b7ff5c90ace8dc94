"use client";
import { Maximize2, Minus, Plus } from "lucide-react";
import type { ReactNode } from "react";
import type { Zoom } from "./use-zoom";

/** What is lower than this has room for the buttons above it, px: over it they would hide what is to be touched. */
const LOW = 240;
const BUTTONS = 60;
/** Room over something so high, px. */
export const roomForZoom = (height: number): number => (height < LOW ? BUTTONS : 0);

/** In, out and back, over a corner of what is zoomed; `whole` is what the last one shows. */
export const ZoomButtons = ({ zoom, whole }: { zoom: Zoom; whole: string }) => (
  <div className="absolute top-2 right-3 flex gap-1">
    <ZoomButton label="Zoom in" onPress={zoom.inward}>
      <Plus size={18} aria-hidden />
    </ZoomButton>
    <ZoomButton label="Zoom out" onPress={zoom.outward}>
      <Minus size={18} aria-hidden />
    </ZoomButton>
    {zoom.factor > 1 && (
      <ZoomButton label={whole} onPress={zoom.whole}>
        <Maximize2 size={16} aria-hidden />
      </ZoomButton>
    )}
  </div>
);

function ZoomButton({
  label,
  onPress,
  children,
}: {
  label: string;
  onPress: (() => void) | undefined;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={!onPress}
      onClick={onPress}
      className="grid size-11 place-items-center rounded-md border border-edge bg-paper/90 hover:bg-deep disabled:opacity-40"
    >
      {children}
    </button>
  );
}

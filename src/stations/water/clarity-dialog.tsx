"use client";
import { useState } from "react";
import { BODY_MARKS, MARKED_HEIGHT } from "../../core/gauge/clarity";
import { entryUnit, showText } from "../../core/quantity/show";
import { parseQuantity } from "../../core/quantity/units";
import { database } from "../../store/database";
import { addReading, markReading } from "../../store/river";
import { Button, Dialog, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";

/** How deep the bed is seen: by the marks of the angler's own body, in one press, or as a depth. */
export function ClarityDialog({ station, onClose }: { station: string; onClose: () => void }) {
  const { system, height, set } = useSettings();
  const [depth, setDepth] = useState("");
  const [tall, setTall] = useState(showText(height, "depth", system));
  const wanted = depth.trim() === "" ? undefined : parseQuantity(depth, "length", entryUnit("depth", system));
  const stature = parseQuantity(tall, "length", entryUnit("depth", system));
  const statureFault = !stature.ok
    ? stature.message
    : stature.value < 1 || stature.value > 2.3
      ? "From 1 to 2.3 m."
      : undefined;
  const depthFault =
    wanted && (!wanted.ok ? wanted.message : wanted.value <= 0 || wanted.value > 15 ? "From 0 to 15 m." : undefined);
  const keep = async (value: number, how: string) => {
    const one = await addReading(database(), {
      station,
      reach: null,
      at: new Date().toISOString(),
      kind: "clarity",
      value,
      error: null,
      how,
    });
    say(`Bed seen to ${showText(value, "depth", system)}: in the book.`, {
      label: "Undo",
      run: () => void markReading(database(), one.id, true),
    });
    onClose();
  };
  const scale = (statureFault || !stature.ok ? height : stature.value) / MARKED_HEIGHT;
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="How deep is the bed seen?"
      about="Wade, or look down a stick, where it is safe: the deepest mark at which you still see the bed."
    >
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {BODY_MARKS.value.map(({ name, depth: mark }) => (
          <Button
            key={name}
            className="min-h-16 flex-col gap-0"
            onClick={() => void keep(mark * scale, `seen to the ${name}`)}
          >
            {name}
            <span className="text-sm font-normal text-soft">{showText(mark * scale, "depth", system)}</span>
          </Button>
        ))}
      </div>
      <div className="mt-4 grid gap-3 sm:grid-cols-2">
        <TextField
          label="Or as a depth"
          value={depth}
          onChange={(event) => setDepth(event.target.value)}
          error={depthFault}
          hint={system === "us" ? "Such as 2'6\" or 0.8 m" : "Such as 0.8 m or 2'6\""}
        />
        <TextField
          label="Your height, for the marks"
          value={tall}
          onChange={(event) => setTall(event.target.value)}
          onBlur={() => {
            if (!statureFault && stature.ok) set({ height: stature.value });
          }}
          error={statureFault}
        />
      </div>
      <Button
        tone="next"
        className="mt-4 w-full"
        disabled={!wanted?.ok || Boolean(depthFault)}
        onClick={() => {
          if (wanted?.ok) void keep(wanted.value, "depth at which the bed was lost");
        }}
      >
        Keep this depth
      </Button>
    </Dialog>
  );
}

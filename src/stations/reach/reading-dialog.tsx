"use client";
import { useState } from "react";
import type { WaterReading } from "../../core/flow/reach";
import { entryUnit, showText } from "../../core/quantity/show";
import { parseQuantity, type UnitSystem } from "../../core/quantity/units";
import { Button, Dialog, Select, TextField } from "../../ui/parts";
import type { Place } from "./probe";

/** A depth by stick or a timed float at the probe's place: what the model of the bed is fitted to. */
export function ReadingDialog({
  place,
  flow,
  minute,
  system,
  onClose,
  onKeep,
}: {
  place: Place;
  flow: number;
  minute: number;
  system: UnitSystem;
  onClose: () => void;
  onKeep: (reading: WaterReading) => void;
}) {
  const [kind, setKind] = useState<WaterReading["kind"]>("depth");
  const [texts, setTexts] = useState({
    depth: "",
    distance: "",
    seconds: "",
    flow: showText(flow, "discharge", system),
  });
  const set = (key: keyof typeof texts) => (event: { target: { value: string } }) =>
    setTexts({ ...texts, [key]: event.target.value });
  const depth = parseQuantity(texts.depth, "length", entryUnit("depth", system));
  const distance = parseQuantity(texts.distance, "length", entryUnit("distance", system));
  const seconds = Number(texts.seconds.replace(",", "."));
  const discharge = parseQuantity(texts.flow, "discharge", entryUnit("discharge", system));
  const value =
    kind === "depth" ? (depth.ok ? depth.value : NaN) : distance.ok && seconds > 0 ? distance.value / seconds : NaN;
  const ready = value > 0 && value <= 100 && discharge.ok && discharge.value > 0;
  const keep = () => {
    if (!ready || !discharge.ok) return;
    onKeep({
      x: Number(place[0].toFixed(2)),
      y: Number(place[1].toFixed(2)),
      kind,
      value: Number(value.toFixed(3)),
      discharge: Number(discharge.value.toPrecision(4)),
      at: new Date(minute).toISOString(),
    });
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="A reading in the water"
      about={`${showText(place[0], "distance", system)} down the reach, ${showText(place[1], "distance", system)} from its left edge. Only where you can stand safely.`}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Select
          label="What was read"
          className="sm:col-span-2"
          value={kind}
          onChange={(next) => setKind(next as typeof kind)}
          choices={[
            { value: "depth", label: "Depth, by stick or line" },
            { value: "surface-speed", label: "Speed, by a timed float" },
          ]}
        />
        {kind === "depth" ? (
          <TextField
            label="Depth"
            value={texts.depth}
            onChange={set("depth")}
            inputMode="decimal"
            error={texts.depth && !depth.ok ? depth.message : undefined}
          />
        ) : (
          <>
            <TextField
              label="The float went"
              value={texts.distance}
              onChange={set("distance")}
              inputMode="decimal"
              error={texts.distance && !distance.ok ? distance.message : undefined}
              hint="With the place in the middle of its way"
            />
            <TextField
              label="in seconds"
              value={texts.seconds}
              onChange={set("seconds")}
              inputMode="decimal"
              error={texts.seconds && !(seconds > 0) ? "A number above 0." : undefined}
              hint={value > 0 ? `${showText(value, "speed", system)} at the surface` : undefined}
            />
          </>
        )}
        <TextField
          label="Flow of the river then"
          value={texts.flow}
          onChange={set("flow")}
          error={!discharge.ok ? discharge.message : undefined}
        />
      </div>
      <div className="mt-4">
        <Button tone="next" disabled={!ready} onClick={keep}>
          Keep it
        </Button>
      </div>
    </Dialog>
  );
}

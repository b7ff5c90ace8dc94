"use client";
import { Plus, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import type { ReachRecord } from "../../core/book/records";
import { faultOf, type Fault } from "../../core/quantity/fault";
import { type FloatGauging, type FloatVertical, gaugeByFloats } from "../../core/gauge/float-gauging";
import { entryUnit, showText } from "../../core/quantity/show";
import { parseQuantity, type UnitSystem } from "../../core/quantity/units";
import { database } from "../../store/database";
import { addReading, markReading } from "../../store/river";
import { Button, Dialog, FaultNote, Select, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";

/** Roughness height, m, of beds as an angler names them. From memory. */
const BEDS = [
  { value: "0.01", label: "Sand or silt" },
  { value: "0.03", label: "Gravel" },
  { value: "0.06", label: "Cobbles, head-sized" },
  { value: "0.2", label: "Boulders" },
] as const;

interface Place {
  key: number;
  distance: string;
  depth: string;
  run: string;
  seconds: string;
}

let keys = 0;
const place = (): Place => ({ key: ++keys, distance: "", depth: "", run: "", seconds: "" });

/**
 * Discharge by timed floats, step by step: width, then depth and time at each place across; the sum and its error as it
 * grows.
 */
export function FloatDialog({ reach, onClose }: { reach: ReachRecord; onClose: () => void }) {
  const system = useSettings((settings) => settings.system);
  const [width, setWidth] = useState("");
  const [bed, setBed] = useState("0.06");
  const [places, setPlaces] = useState<Place[]>(() => [place(), place(), place()]);
  const change = (key: number, part: Partial<Place>) =>
    setPlaces((all) => all.map((one) => (one.key === key ? { ...one, ...part } : one)));
  const outcome = useMemo(() => measure(width, places, Number(bed), system), [width, places, bed, system]);
  const keep = async (gauging: FloatGauging) => {
    const one = await addReading(database(), {
      station: null,
      reach: reach.id,
      at: new Date().toISOString(),
      kind: "discharge",
      value: gauging.discharge,
      error: gauging.error,
      how: `timed floats at ${gauging.panels.length} places`,
    });
    say(`${showText(gauging.discharge, "discharge", system)} at ${reach.reach.name}: in the book.`, {
      label: "Undo",
      run: () => void markReading(database(), one.id, true),
    });
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Flow at ${reach.reach.name}`}
      about="Pick a straight, even stretch. Measure the wet width; then, at places across it, the depth and how long a float takes over a measured run. Two or three passes at each place. Wade only where it is safe."
    >
      <div className="grid gap-4">
        <div className="grid grid-cols-2 gap-3">
          <TextField label="Wet width" value={width} onChange={(event) => setWidth(event.target.value)} />
          <Select label="Bed" value={bed} onChange={setBed} choices={BEDS} />
        </div>
        <ol className="grid gap-3">
          {places.map((one, k) => (
            <li
              key={one.key}
              className="grid grid-cols-2 items-end gap-2 border-t border-line pt-3 sm:grid-cols-[1fr_1fr_1fr_1.4fr_auto]"
            >
              <TextField
                label={`${k + 1}. From the edge`}
                value={one.distance}
                onChange={(event) => change(one.key, { distance: event.target.value })}
              />
              <TextField
                label="Depth"
                value={one.depth}
                onChange={(event) => change(one.key, { depth: event.target.value })}
              />
              <TextField
                label="Run"
                value={one.run}
                onChange={(event) => change(one.key, { run: event.target.value })}
              />
              <TextField
                label="Seconds, each pass"
                value={one.seconds}
                onChange={(event) => change(one.key, { seconds: event.target.value })}
                placeholder="14.2 13.8"
              />
              <button
                type="button"
                aria-label={`Remove place ${k + 1}`}
                disabled={places.length <= 2}
                onClick={() => setPlaces((all) => all.filter((other) => other.key !== one.key))}
                className="grid size-11 place-items-center rounded-md hover:bg-deep disabled:opacity-40"
              >
                <Trash2 size={18} aria-hidden />
              </button>
            </li>
          ))}
        </ol>
        <Button onClick={() => setPlaces((all) => [...all, place()])}>
          <Plus size={18} aria-hidden />
          Another place
        </Button>
        <div aria-live="polite">
          {outcome.kind === "unfinished" && <p className="text-soft">{outcome.message}</p>}
          {outcome.kind === "fault" && <FaultNote message={outcome.fault.message} />}
          {outcome.kind === "done" && (
            <p className="text-lg">
              <strong>{showText(outcome.gauging.discharge, "discharge", system)}</strong>, within about ±
              {Math.round(outcome.gauging.error * 100)} %. Mean speed{" "}
              {showText(outcome.gauging.meanSpeed, "speed", system)} over{" "}
              {showText(outcome.gauging.area, "area", system)}.{" "}
              <span className="text-sm text-soft">
                Surface speed taken down to the mean by the bed’s roughness; mid-section sum (ISO 748).
              </span>
            </p>
          )}
        </div>
        <Button
          tone="next"
          disabled={outcome.kind !== "done"}
          onClick={() => {
            if (outcome.kind === "done") void keep(outcome.gauging);
          }}
        >
          Keep this reading
        </Button>
      </div>
    </Dialog>
  );
}

type Outcome =
  | { kind: "unfinished"; message: string }
  | { kind: "fault"; fault: Pick<Fault, "message"> }
  | { kind: "done"; gauging: FloatGauging };

function measure(width: string, places: readonly Place[], bedRoughness: number, system: UnitSystem): Outcome {
  if (width.trim() === "") return { kind: "unfinished", message: "First the wet width, from edge to edge." };
  const filled = places.filter((one) =>
    [one.distance, one.depth, one.run, one.seconds].every((text) => text.trim() !== ""),
  );
  try {
    const wide = length(width, "Wet width", system);
    const verticals = filled.map((one): FloatVertical => {
      const name = `Place ${places.indexOf(one) + 1}`;
      return {
        distance: length(one.distance, `${name}, from the edge`, system),
        depth: length(one.depth, `${name}, depth`, system),
        run: length(one.run, `${name}, run`, system),
        seconds: one.seconds
          .trim()
          .split(/[\s;/]+/)
          .map((text) => Number(text.replace(",", "."))),
      };
    });
    if (verticals.length < 2)
      return { kind: "unfinished", message: "Fill in at least two places; five or more make a good measurement." };
    return { kind: "done", gauging: gaugeByFloats(wide, verticals, bedRoughness) };
  } catch (error) {
    return { kind: "fault", fault: error instanceof EntryFault ? error : faultOf(error) };
  }
}

class EntryFault extends Error {}

function length(text: string, name: string, system: UnitSystem): number {
  const parsed = parseQuantity(text, "length", entryUnit("depth", system));
  if (!parsed.ok) throw new EntryFault(`${name}: ${parsed.message}`);
  return parsed.value;
}

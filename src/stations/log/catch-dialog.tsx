"use client";
import { useState } from "react";
import type { Catch } from "../../core/book/records";
import { entryUnit, show, showText } from "../../core/quantity/show";
import { parseQuantity } from "../../core/quantity/units";
import { database } from "../../store/database";
import { Button, Dialog, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { useFishes } from "../../ui/use-fishes";
import { say } from "../../ui/toasts";
import { dayAndTime } from "../../ui/words";

/** The rest of a catch, filled in when there is time. */
export function CatchDialog({ fish, onClose }: { fish: Catch; onClose: () => void }) {
  const system = useSettings((settings) => settings.system);
  const { nameOf } = useFishes();
  const [length, setLength] = useState(fish.length === null ? "" : show(fish.length, "fishLength", system).text);
  const [lie, setLie] = useState(fish.lie);
  const [lure, setLure] = useState(fish.lure);
  const [notes, setNotes] = useState(fish.notes);
  const [error, setError] = useState<string | undefined>();
  const { river } = fish;

  async function save(): Promise<void> {
    const parsed =
      length.trim() === ""
        ? { ok: true as const, value: null }
        : parseQuantity(length, "length", entryUnit("fishLength", system));
    if (!parsed.ok) return setError(parsed.message);
    if (parsed.value !== null && !(parsed.value > 0 && parsed.value < 4)) return setError("A length from 0 to 4 m.");
    await database().catches.update(fish.id, {
      length: parsed.value,
      lie: lie.slice(0, 120),
      lure: lure.slice(0, 120),
      notes: notes.slice(0, 2000),
      updatedAt: new Date().toISOString(),
    });
    onClose();
  }

  async function remove(): Promise<void> {
    await database().catches.update(fish.id, { deleted: true, updatedAt: new Date().toISOString() });
    say("The catch is out of the book.", {
      label: "Undo",
      run: () => void database().catches.update(fish.id, { deleted: undefined, updatedAt: new Date().toISOString() }),
    });
    onClose();
  }

  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`${nameOf(fish.species)}, ${dayAndTime(fish.at)}`}
      about={
        river
          ? `From the gauge: ${showText(river.discharge, "discharge", system)}, ${river.trend ?? "trend unknown"}, seen to ${showText(river.visibleDepth, "depth", system)}, water ${showText(river.waterTemperature, "temperature", system)}.`
          : "No gauge reading at that time."
      }
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="Length"
          value={length}
          onChange={(event) => setLength(event.target.value)}
          error={error}
          hint={`Such as ${system === "us" ? "14 in" : "36 cm"}`}
        />
        <TextField
          label="Lure or bait"
          value={lure}
          onChange={(event) => setLure(event.target.value)}
          maxLength={120}
        />
        <TextField
          label="Where it took"
          value={lie}
          onChange={(event) => setLie(event.target.value)}
          maxLength={120}
          className="sm:col-span-2"
        />
        <TextField
          label="Notes"
          value={notes}
          onChange={(event) => setNotes(event.target.value)}
          maxLength={2000}
          className="sm:col-span-2"
        />
      </div>
      <div className="mt-4 flex justify-between gap-2">
        <Button tone="next" onClick={() => void save()}>
          Keep
        </Button>
        <Button onClick={() => void remove()}>Remove this catch</Button>
      </div>
    </Dialog>
  );
}

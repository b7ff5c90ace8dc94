"use client";
import { useState } from "react";
import { database } from "../../store/database";
import { addPastSession } from "../../store/river";
import { Button, Dialog, FaultNote, Select, TextField } from "../../ui/parts";
import type { River } from "../../ui/river";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";

const local = (time: number): string => {
  const date = new Date(time - new Date(time).getTimezoneOffset() * 60_000);
  return date.toISOString().slice(0, 16);
};

/** A session already over, with its true times: a blank counts as much as a fish. */
export function PastSession({
  open,
  onOpenChange,
  river,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  river: River;
}) {
  const species = useSettings((settings) => settings.species);
  const [start, setStart] = useState(() => local(Date.now() - 3 * 3_600_000));
  const [end, setEnd] = useState(() => local(Date.now() - 3_600_000));
  const [reach, setReach] = useState(river.reach?.id ?? "");
  const [fault, setFault] = useState<string | undefined>();
  async function keep(): Promise<void> {
    const [from, to] = [Date.parse(start), Date.parse(end)];
    if (Number.isNaN(from) || Number.isNaN(to)) return setFault("Give both times.");
    if (to <= from) return setFault("The end must come after the start.");
    if (to > Date.now()) return setFault("The end lies in the future.");
    if (to - from > 48 * 3_600_000) return setFault("A session of more than two days? Put each day in by itself.");
    await addPastSession(database(), {
      reach: reach || river.reaches[0]!.id,
      species,
      rods: 1,
      notes: "",
      start: from,
      end: to,
    });
    say("The session is in the book.");
    setFault(undefined);
    onOpenChange(false);
  }
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="A session already over"
      about="Its flow, trend, clarity and temperature come from the gauge."
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="From"
          type="datetime-local"
          value={start}
          onChange={(event) => setStart(event.target.value)}
        />
        <TextField label="To" type="datetime-local" value={end} onChange={(event) => setEnd(event.target.value)} />
        <Select
          label="Reach"
          value={reach}
          onChange={setReach}
          choices={river.reaches.map((one) => ({ value: one.id, label: one.reach.name }))}
        />
      </div>
      {fault && (
        <div className="mt-3">
          <FaultNote message={fault} />
        </div>
      )}
      <Button tone="next" className="mt-4" onClick={() => void keep()}>
        Keep this session
      </Button>
    </Dialog>
  );
}

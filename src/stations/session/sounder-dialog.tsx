"use client";
import { useState } from "react";
import type { Observation } from "../../core/book/bank-records";
import { onLine, type Position, SPOT_WIDTH } from "../../core/approach/heading";
import { act } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import type { Bank } from "../../state/use-bank";
import { listen, soundedNow, stopListening, useSounder } from "../../state/use-sounder";
import { observe } from "../../store/bank";
import { database } from "../../store/database";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { Select } from "../../widgets/select";
import { figureText, showText } from "../../words/quantity";
import { clock } from "../../words/river";

type Marked = Observation & { sounded: { latitude: number; longitude: number } };

/** What the sounder and its thermometer say, marks, and a line to one of them. */
export function SounderDialog({
  bank,
  waterTemperature,
  onClose,
}: {
  bank: Bank;
  waterTemperature: number | null;
  onClose: () => void;
}) {
  const { system } = useSettings();
  const { on, live, silent } = useSounder();
  const [to, setTo] = useState("");
  const [from, setFrom] = useState<Position | undefined>();
  const marks = bank.observations.filter(
    (one): one is Marked => one.kind === "mark" && one.sounded?.latitude != null && one.sounded.longitude != null,
  );
  const here =
    live.latitude !== null && live.longitude !== null
      ? { latitude: live.latitude, longitude: live.longitude }
      : undefined;
  const mark = marks.find((one) => one.id === to);
  const way = mark && here && from && onLine(from, mark.sounded, here);
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="Sounder and thermometer"
      about="A simulated sounder on the demo river, using NMEA 0183. Its readings are saved with each fish and note."
    >
      {on ? (
        <dl className="grid grid-cols-2 gap-2 text-lg tabular-nums" aria-live="off">
          <dt className="text-soft">Depth</dt>
          <dd className="font-semibold">
            {live.depth === null ? "bottom lost" : showText(live.depth, "depth", system)}
          </dd>
          <dt className="text-soft">Water</dt>
          <dd className="font-semibold">
            {live.waterTemperature === null ? "no data yet" : showText(live.waterTemperature, "temperature", system)}
          </dd>
          <dt className="text-soft">Position</dt>
          <dd>{here ? `${figureText(here.latitude, 5)}, ${figureText(here.longitude, 5)}` : "no fix"}</dd>
        </dl>
      ) : (
        <p role={silent ? "alert" : undefined}>
          {silent ? "No sounder found. It needs the server." : "Not connected."}
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button tone={on ? "plain" : "ink"} onClick={() => (on ? stopListening() : listen(waterTemperature))}>
          {on ? "Disconnect" : "Connect"}
        </Button>
        {on && here && (
          <Button
            onClick={() => {
              const sounded = soundedNow();
              act(() =>
                observe(
                  database(),
                  bank.session,
                  "mark",
                  { notes: `Mark ${marks.length + 1}`, ...(sounded && { sounded }) },
                  clockNow(),
                ),
              );
            }}
          >
            Mark this place
          </Button>
        )}
      </div>
      {marks.length > 0 && (
        <>
          <Select
            label="Course to"
            className="mt-4"
            placeholder="choose a mark"
            value={to}
            onChange={(id) => {
              setTo(id);
              setFrom(here);
            }}
            choices={marks.map((one) => ({ value: one.id, label: `${one.notes}, ${clock(Date.parse(one.at))}` }))}
          />
          <p role="status" className="mt-2 min-h-12 text-lg">
            {way &&
              (way.there
                ? `You’re there, within ${showText(SPOT_WIDTH / 2, "depth", system)}.`
                : `${showText(way.distance, "distance", system)} on ${figureText(way.bearing, 0)}°; ${
                    Math.abs(way.off) < 0.5
                      ? "on the line"
                      : `${showText(Math.abs(way.off), "distance", system)} to the ${way.off > 0 ? "right" : "left"} of the line`
                  }.`)}
          </p>
        </>
      )}
    </Dialog>
  );
}

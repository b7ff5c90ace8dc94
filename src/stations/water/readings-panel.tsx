"use client";
import type { UnitSystem } from "../../words/quantity";
import { useLiveAnswer } from "../../state/live-answer";
import { useState } from "react";
import type { FieldReading, ReachRecord } from "../../core/book/records";
import type { ClarityFit } from "../../core/gauge/clarity-fit";
import { figureText } from "../../words/quantity";
import { database } from "../../store/database";
import { removeReading } from "../../store/gauges";
import { Button } from "../../widgets/button";
import { Panel } from "../../widgets/panel";
import { act, perform } from "../../state/act";
import { levelMarks } from "../../core/gauge/level-marks";
import { levelsOf } from "../../core/book/river-record";
import { markWords } from "../../words/level-marks";
import { ownReadingWords } from "../../words/own-reading";
import { dayAndTime } from "../../words/river";
import { later } from "../../widgets/later";

const ClarityDialog = later(() => import("./clarity-dialog").then((one) => one.ClarityDialog));
const TemperatureDialog = later(() => import("./temperature-dialog").then((one) => one.TemperatureDialog));
const LevelDialog = later(() => import("./level-dialog").then((one) => one.LevelDialog));
const FloatDialog = later(() => import("./float-dialog").then((one) => one.FloatDialog));

/** Readings taken by hand: how deep the bed is seen, the temperature, and discharge by timed floats. */
export function ReadingsPanel({
  station,
  reach,
  fit,
  flow,
  system,
}: {
  station: string;
  reach: ReachRecord | undefined;
  fit: ClarityFit | undefined;
  /** Now, m3/s, where the gauge tells. */
  flow: number | null;
  system: UnitSystem;
}) {
  const [taking, setTaking] = useState<FieldReading["kind"] | undefined>();
  const readings =
    useLiveAnswer(
      async () =>
        (await database().readings.toArray())
          .filter((one) => !one.deleted && (one.station === station || (reach && one.reach === reach.id)))
          .sort((a, b) => Date.parse(b.at) - Date.parse(a.at)),
      [station, reach?.id],
    ) ?? [];
  // Rated as they count: those of the gauge, and those of the reach.
  const marks = [readings.filter((one) => !one.reach), readings.filter((one) => one.reach)].flatMap((own, k) =>
    levelMarks(levelsOf(own)).map((mark) => ({ mark, key: `${k} ${mark.name}`, at: k === 1 ? reach?.reach.name : "" })),
  );
  return (
    <Panel
      title="Your own readings"
      source="Three clarity readings fit this water’s conversion from turbidity. Discharge readings fit the flow of your reach to the gauge."
    >
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => setTaking("clarity")}>How deep can you see?</Button>
        <Button onClick={() => setTaking("temperature")}>Enter water temperature</Button>
        <Button onClick={() => setTaking("level")}>Level on a mark</Button>
        {reach && <Button onClick={() => setTaking("discharge")}>Measure flow with a float</Button>}
      </div>
      {fit && (
        <p className="mt-2 text-sm text-soft">
          {fit.pairs >= 3
            ? `Visible to ${figureText(fit.a, 1)} × NTU^${figureText(fit.b, 2)} m on this water, by ${fit.pairs} readings of yours${fit.scatter === null ? "" : ` (each within about ${Math.round(fit.scatter * 100)} %)`}.`
            : "A rule of thumb converts turbidity to visible depth until you have three readings near the gauge."}
        </p>
      )}
      {marks.map(({ mark, key, at }) => (
        <p key={key} className="mt-2">
          {at && `${at}: `}
          {markWords(mark, system)}
        </p>
      ))}
      {readings.length > 0 && (
        <ul className="mt-2 divide-y divide-line border-y border-line">
          {readings.slice(0, 6).map((one) => (
            <ReadingRow key={one.id} reading={one} reach={reach} system={system} />
          ))}
        </ul>
      )}
      {taking === "clarity" && <ClarityDialog station={station} reach={null} onClose={() => setTaking(undefined)} />}
      {taking === "temperature" && (
        <TemperatureDialog station={station} reach={null} onClose={() => setTaking(undefined)} />
      )}
      {taking === "level" && (
        <LevelDialog station={station} reach={null} flow={flow} onClose={() => setTaking(undefined)} />
      )}
      {taking === "discharge" && reach && <FloatDialog reach={reach} onClose={() => setTaking(undefined)} />}
    </Panel>
  );
}

function ReadingRow({
  reading,
  reach,
  system,
}: {
  reading: FieldReading;
  reach: ReachRecord | undefined;
  system: UnitSystem;
}) {
  const at = reading.reach ? ` at ${reach?.reach.name ?? "the reach"}` : "";
  const what = `${ownReadingWords(reading, system)}${at}`;
  const remove = () => act(() => perform(() => removeReading(database(), reading.id), "Reading deleted."));
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 py-1">
      <span className="flex-1">
        <span className="font-semibold">{what}</span>{" "}
        <span className="text-sm text-soft">
          {dayAndTime(reading.at)}
          {reading.how && `, ${reading.how}`}
        </span>
      </span>
      <button
        type="button"
        onClick={remove}
        aria-label={`Remove the reading of ${dayAndTime(reading.at)}`}
        className="min-h-11 px-2 text-sm text-soft underline"
      >
        remove
      </button>
    </li>
  );
}

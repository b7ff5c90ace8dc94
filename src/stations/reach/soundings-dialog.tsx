"use client";
import { useEffect, useState } from "react";
import type { StationRecord } from "../../core/book/records";
import { faultOf } from "../../core/quantity/fault";
import { layReach } from "../../core/flow/lay";
import { checkReach } from "../../core/flow/reach";
import type { Survey } from "../../core/flow/survey";
import type { SoundingsFile } from "../../core/formats/soundings-text";
import { seriesOf } from "../../core/gauge/summary";
import { entryUnit, show, showText } from "../../core/quantity/show";
import { parseQuantity } from "../../core/quantity/units";
import { demoSounding, DEMO_SOUNDING } from "../../demo/sounding";
import { database } from "../../store/database";
import { newId } from "../../store/identity";
import { gaugeOf } from "../../store/river";
import { Button, Dialog, FaultNote, Select, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";
import { readWorker } from "../../workers/clients";
import { SurveyPicture } from "./survey-picture";

const none = "none";
const number = (text: string): number => (text.trim() === "" ? NaN : Number(text.replace(",", ".")));

/**
 * A reach from soundings: the file is read and laid out in a worker, shown with its gaps and odd ones, and kept only
 * when the angler says so.
 */
export function SoundingsDialog({
  open,
  onOpenChange,
  stations,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  stations: readonly StationRecord[];
}) {
  const { system, set } = useSettings();
  const [file, setFile] = useState<{ name: string; read: SoundingsFile } | undefined>();
  const [survey, setSurvey] = useState<Survey | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);
  const [name, setName] = useState("");
  const [texts, setTexts] = useState({ fall: "3", heading: "", hang: "", join: "" });
  const [keepOdd, setKeepOdd] = useState(false);
  const [chosenStation, setStation] = useState<string | undefined>();
  const station = chosenStation ?? stations[0]?.id ?? none;

  const length = (text: string) =>
    text.trim() === "" ? undefined : parseQuantity(text, "length", entryUnit("depth", system));
  const [hang, join] = [length(texts.hang), length(texts.join)];
  const fall = number(texts.fall) / 1000;
  const heading = texts.heading.trim() === "" ? undefined : number(texts.heading);
  const faults = {
    fall: fall > 0 && fall <= 0.05 ? undefined : "A number above 0, 50 at most.",
    heading: heading === undefined || (heading >= 0 && heading <= 360) ? undefined : "Degrees from north, 0 to 360.",
    hang: hang && (!hang.ok || hang.value < 0 || hang.value > 5) ? "A depth from 0 to 5 m." : undefined,
    join: join && (!join.ok || join.value <= 0) ? "A distance above 0." : undefined,
  };
  const sound = Object.values(faults).every((one) => one === undefined);

  async function openFile(chosen: File): Promise<void> {
    setBusy(true);
    setFault(undefined);
    setSurvey(undefined);
    try {
      const answer = await readWorker().soundings(chosen);
      if (answer.ok) {
        setFile({ name: chosen.name, read: answer.value });
        setName((before) => before || chosen.name.replace(/\.[^.]+$/, ""));
      } else {
        setFile(undefined);
        setFault(`${answer.fault.message}${answer.fault.line ? ` (line ${answer.fault.line})` : ""}`);
      }
    } catch {
      setFile(undefined);
      setFault(`${chosen.name} could not be read from the disk.`);
    } finally {
      setBusy(false);
    }
  }

  async function madeUp(): Promise<void> {
    await openFile(new File([demoSounding(Date.now())], DEMO_SOUNDING.name));
    setTexts((before) => ({
      ...before,
      fall: String(DEMO_SOUNDING.fall * 1000),
      hang: show(DEMO_SOUNDING.hang, "depth", system).text,
    }));
  }

  useEffect(() => {
    if (!file || !sound) return;
    let gone = false;
    const timer = setTimeout(
      () =>
        void (async () => {
          const gauge = station === none ? undefined : await gaugeOf(database(), station);
          const stage = gauge && seriesOf(gauge, "stage");
          const answer = await readWorker().survey(file.read, {
            fall,
            heading,
            hang: hang?.ok ? hang.value : 0,
            join: join?.ok ? join.value : undefined,
            keepOdd,
            stage,
          });
          if (gone) return;
          if (answer.ok) setSurvey(answer.value);
          else setSurvey(undefined);
          setFault(answer.ok ? undefined : answer.fault.message);
        })(),
      200,
    );
    return () => {
      gone = true;
      clearTimeout(timer);
    };
    // The texts stand for the quantities read from them.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [file, texts, station, keepOdd, sound]);

  async function keep(): Promise<void> {
    if (!survey) return;
    try {
      const reach = checkReach({
        schema: "low-heron/reach@1",
        id: newId(),
        name: name.trim() || "My reach",
        bed: survey.bed,
        roughness: 0.035,
        downstream: { kind: "normal", slope: fall },
        ...placeOf(file?.read),
      });
      layReach(reach); // a fault in the bed is told here, not on the plan
      await database().reaches.put({
        schema: "low-heron/reach-record@1",
        id: reach.id,
        updatedAt: new Date().toISOString(),
        station: station === none ? null : station,
        reach,
      });
      set({ reach: reach.id, station: null, flow: null, lie: 1 });
      say(`${reach.name} is in the book.`);
      setFile(undefined);
      setSurvey(undefined);
      setName("");
      onOpenChange(false);
    } catch (error) {
      setFault(faultOf(error).message);
    }
  }

  const field = (key: keyof typeof texts, label: string, hint?: string) => (
    <TextField
      label={label}
      hint={hint}
      inputMode="decimal"
      value={texts[key]}
      error={faults[key]}
      onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
    />
  );
  const geographic = file && file.read.frame !== "reach";
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="A reach from soundings"
      about="A CSV, GPX or GeoJSON of places with depths, or the NMEA 0183 log of a sounder. Nothing is kept until you say so."
    >
      <div className="grid gap-4">
        <div>
          <label htmlFor="soundings-file" className="mb-1 block text-sm text-soft">
            File
          </label>
          <input
            id="soundings-file"
            type="file"
            accept=".csv,.txt,.gpx,.json,.geojson,.nmea,.log"
            disabled={busy}
            className="block min-h-11 w-full rounded-md border border-line p-2 file:mr-3 file:rounded file:border-0 file:bg-deep file:px-3 file:py-1"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) void openFile(chosen);
            }}
          />
          {!file && (
            <button
              type="button"
              className="mt-1 min-h-10 text-left underline"
              disabled={busy}
              onClick={() => void madeUp()}
            >
              or try the log of a made-up boat
            </button>
          )}
        </div>
        {busy && <p role="status">Reading …</p>}
        {fault && <FaultNote message={fault} todo="Nothing was changed. Mend the file or choose another." />}
        {file && (
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField
              label="Name"
              value={name}
              maxLength={120}
              onChange={(event) => setName(event.target.value)}
              className="sm:col-span-2"
            />
            {field("fall", "Fall of the water, m in a kilometre", "1 lazy, 3 usual, 8 steep")}
            {field("hang", "Transducer under the surface", "0 where depths are from the surface")}
            {geographic && (
              <div>
                {field(
                  "heading",
                  "River runs to, degrees from north",
                  survey ? `laid along ${survey.heading.toFixed(0)}°` : undefined,
                )}
                {survey && (
                  <button
                    type="button"
                    className="min-h-9 text-sm underline"
                    onClick={() => setTexts({ ...texts, heading: ((survey.heading + 180) % 360).toFixed(0) })}
                  >
                    Turn it round
                  </button>
                )}
              </div>
            )}
            {field(
              "join",
              "Join soundings up to",
              survey ? `${showText(survey.join, "distance", system)}; longer sides bridge bends` : undefined,
            )}
            <Select
              label="Gauge"
              value={station}
              onChange={setStation}
              choices={[
                { value: none, label: "No gauge" },
                ...stations.map((one) => ({ value: one.id, label: one.name })),
              ]}
            />
          </div>
        )}
        {file && survey && (
          <>
            <SurveyPicture survey={survey} />
            <p className="-mt-2 text-sm text-soft">
              Flow runs to the right. Dark is deep; crossed ones stand out from their neighbours; hatched ground is not
              sounded.
            </p>
            <ul className="grid gap-1">
              <li>
                <strong>{survey.points.length} soundings</strong> over {showText(survey.length, "distance", system)} by{" "}
                {showText(survey.breadth, "distance", system)}; {showText(survey.spacing, "distance", system)} from one
                to the next by the median, {survey.density.toFixed(1)} on {showText(100, "area", system)}.
              </li>
              <li>
                {survey.gaps.share > 0.005
                  ? `${(100 * survey.gaps.share).toFixed(0)} % of the ground between them is not sounded: the bed is a guess there.`
                  : "No gap wider than half the breadth."}
              </li>
              <li>
                {survey.levelled
                  ? `Brought to one water level by the gauge: stage moved by ${showText(survey.levelled.to - survey.levelled.from, "depth", system)} while it was sounded${survey.levelled.without > 0 ? `; ${survey.levelled.without} without a stage at their time are left as they were` : ""}.`
                  : file.read.measure === "height"
                    ? "Heights need no water level."
                    : "Not brought to one water level: there is no stage at the gauge for their times."}
              </li>
              {survey.odd > 0 && (
                <li>
                  <label className="flex min-h-10 items-center gap-3">
                    <input
                      type="checkbox"
                      className="size-5"
                      checked={keepOdd}
                      onChange={(event) => setKeepOdd(event.target.checked)}
                    />
                    Keep the {survey.odd} that stand out (they may be stones)
                  </label>
                </li>
              )}
              {file.read.notes.map((note) => (
                <li key={note} className="text-soft">
                  {note}
                </li>
              ))}
            </ul>
            {file.read.rejected.length > 0 && (
              <details className="rounded-md border border-clay p-3" open={file.read.rejected.length <= 5}>
                <summary className="font-semibold">{file.read.rejected.length} refused</summary>
                <ul className="mt-2 max-h-40 overflow-auto text-sm">
                  {file.read.rejected.slice(0, 200).map((one, k) => (
                    <li key={k}>
                      line {one.line}: {one.reason}
                    </li>
                  ))}
                </ul>
              </details>
            )}
            <Button tone="next" disabled={!sound} onClick={() => void keep()}>
              Make this reach
            </Button>
          </>
        )}
      </div>
    </Dialog>
  );
}

/** Where a survey lies, for the light. */
function placeOf(read: SoundingsFile | undefined): { latitude?: number; longitude?: number } {
  const first = read?.frame === "geographic" ? read.soundings[0] : undefined;
  return first ? { latitude: Number(first.b.toFixed(4)), longitude: Number(first.a.toFixed(4)) } : {};
}

"use client";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import type { ReachRecord, StationRecord, WaterRecord } from "../../core/book/records";
import { faultOf } from "../../core/quantity/fault";
import { readPairs } from "../../core/formats/rating-csv";
import type { BandMeasure, FishesWell } from "../../core/gauge/band";
import { fitRating, type Gauging } from "../../core/gauge/rating";
import { kinematicLag } from "../../core/gauge/transfer";
import { readConstituents } from "../../core/gauge/tide";
import { entryUnit, showText } from "../../core/quantity/show";
import { parseQuantity, type UnitSystem } from "../../core/quantity/units";
import { database } from "../../store/database";
import { keepWater, setPlace, setTransfer } from "../../store/river";
import { Button, Dialog, FaultNote, Select, TextArea, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";
import { bandWords } from "./spots-panel";

const MEASURES: readonly { value: BandMeasure; label: string }[] = [
  { value: "discharge", label: "Discharge" },
  { value: "stage", label: "Stage" },
  { value: "belowFull", label: "Below full pool" },
];

interface Draft {
  altitude: string;
  damNote: string;
  fullPool: string;
  beachSlope: string;
  tide: string;
  pairs: string;
  areaRatio: string;
  lag: string;
  /** Down the river to the reach, and its mean speed on the way: another way to say the lag. */
  distance: string;
  speed: string;
  latitude: string;
  longitude: string;
}

/**
 * What the angler knows of a water beyond its gauge: height, dam, full pool, tide, rating, and where it fishes well.
 */
export function WaterDialog({
  station,
  water,
  reach,
  onClose,
}: {
  station: StationRecord;
  water: WaterRecord;
  reach: ReachRecord | undefined;
  onClose: () => void;
}) {
  const system = useSettings((settings) => settings.system);
  const [draft, setDraft] = useState<Draft>(() => draftOf(station, water, reach, system));
  const [bands, setBands] = useState<FishesWell[]>(water.bands);
  const [fault, setFault] = useState<string | undefined>();
  const set = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }));
  const rating = ratingWords(draft.pairs, system);
  const keep = async () => {
    try {
      const next = finished(draft, water, bands, system);
      const before = await keepWater(database(), next.water);
      await setPlace(database(), station.id, next.place);
      if (reach) await setTransfer(database(), reach.id, next.transfer);
      say(`What you know of ${station.name} is in the book.`, {
        label: "Undo",
        run: () =>
          void keepWater(database(), before ?? water)
            .then(() => setPlace(database(), station.id, station))
            .then(() => reach && setTransfer(database(), reach.id, reach.transfer ?? null)),
      });
      onClose();
    } catch (error) {
      setFault(error instanceof EntryFault ? error.message : faultOf(error).message);
    }
  };
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`This water: ${station.name}`}
      about="All of it may stay empty."
    >
      <div className="grid gap-5">
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField
            label="Latitude of the gauge"
            inputMode="decimal"
            value={draft.latitude}
            onChange={(event) => set({ latitude: event.target.value })}
            hint="For the light"
          />
          <TextField
            label="Longitude"
            inputMode="decimal"
            value={draft.longitude}
            onChange={(event) => set({ longitude: event.target.value })}
            hint="West below 0"
          />
          <TextField
            label="Altitude"
            value={draft.altitude}
            onChange={(event) => set({ altitude: event.target.value })}
            hint="For the oxygen the water can hold"
          />
          <TextField
            label="Dam above: what it does"
            value={draft.damNote}
            maxLength={500}
            onChange={(event) => set({ damNote: event.target.value })}
            hint="Shown as a caution, such as “siren, then a metre in ten minutes”"
          />
          <TextField
            label="Full pool, on the gauge’s datum"
            value={draft.fullPool}
            onChange={(event) => set({ fullPool: event.target.value })}
            hint="Impounded water only"
          />
          <TextField
            label="Slope of its shore, one in"
            inputMode="decimal"
            value={draft.beachSlope}
            onChange={(event) => set({ beachSlope: event.target.value })}
            hint="Such as 10"
          />
        </div>
        <section>
          <h3 className="mb-1">Fishes well between</h3>
          <ul className="mb-2">
            {bands.map((band, k) => (
              <li key={k} className="flex items-center gap-2">
                <span className="flex-1">
                  {band.spot}: {bandWords(band, system)}
                </span>
                <button
                  type="button"
                  aria-label={`Remove ${band.spot}`}
                  onClick={() => setBands(bands.filter((_, n) => n !== k))}
                  className="grid size-11 place-items-center rounded-md hover:bg-deep"
                >
                  <Trash2 size={18} aria-hidden />
                </button>
              </li>
            ))}
          </ul>
          <AddBand system={system} onAdd={(band) => setBands([...bands, band])} />
        </section>
        <TextArea
          label="Rating: measured pairs of stage and discharge, a line each"
          value={draft.pairs}
          onChange={(event) => set({ pairs: event.target.value })}
          placeholder={"stage (m), discharge (m3/s)\n0.42, 1.9"}
          hint={rating.hint}
          error={rating.error}
        />
        {reach && (
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField
              label={`Catchment of ${reach.reach.name} over the gauge’s`}
              inputMode="decimal"
              value={draft.areaRatio}
              onChange={(event) => set({ areaRatio: event.target.value })}
              hint="Such as 0.4; empty where the gauge is on the reach"
            />
            <TextField
              label="Hours from the gauge to the reach"
              inputMode="decimal"
              value={draft.lag}
              onChange={(event) => set({ lag: event.target.value })}
              hint="Below 0 where the reach lies above"
            />
            <TextField
              label="Or the way down the river to it"
              value={draft.distance}
              onChange={(event) => set({ distance: event.target.value })}
              hint="Such as 6000 m"
            />
            <TextField
              label="and the water’s mean speed"
              value={draft.speed}
              onChange={(event) => set({ speed: event.target.value })}
              hint="A rise runs at 5/3 of it (kinematic wave)"
            />
          </div>
        )}
        <TextArea
          label="Tide: constituents, a line each"
          value={draft.tide}
          onChange={(event) => set({ tide: event.target.value })}
          placeholder={"M2 1.20 145\nS2 0.40 190"}
          hint="Name, amplitude in metres, phase in degrees against UTC. Not for navigation."
        />
        {fault && <FaultNote message={fault} todo="Nothing was changed." />}
        <Button tone="next" onClick={() => void keep()}>
          Keep this
        </Button>
      </div>
    </Dialog>
  );
}

function AddBand({ system, onAdd }: { system: UnitSystem; onAdd: (band: FishesWell) => void }) {
  const [spot, setSpot] = useState("");
  const [measure, setMeasure] = useState<BandMeasure>("discharge");
  const [bounds, setBounds] = useState({ low: "", high: "" });
  const read = (text: string) =>
    text.trim() === ""
      ? null
      : parseQuantity(
          text,
          measure === "discharge" ? "discharge" : "length",
          entryUnit(measure === "discharge" ? "discharge" : "depth", system),
        );
  const [low, high] = [read(bounds.low), read(bounds.high)];
  const fault =
    low && !low.ok
      ? low.message
      : high && !high.ok
        ? high.message
        : low?.ok && high?.ok && low.value >= high.value
          ? "The first must be under the second."
          : undefined;
  const ready = spot.trim() !== "" && !fault && (low !== null || high !== null);
  const add = () => {
    onAdd({ spot: spot.trim(), measure, low: low?.ok ? low.value : null, high: high?.ok ? high.value : null });
    setSpot("");
    setBounds({ low: "", high: "" });
  };
  return (
    <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.6fr_1.2fr_1fr_1fr_auto]">
      <TextField label="Spot" value={spot} maxLength={120} onChange={(event) => setSpot(event.target.value)} />
      <Select label="By" value={measure} onChange={(value) => setMeasure(value as BandMeasure)} choices={MEASURES} />
      <TextField
        label="From"
        value={bounds.low}
        onChange={(event) => setBounds({ ...bounds, low: event.target.value })}
        error={fault}
      />
      <TextField
        label="To"
        value={bounds.high}
        onChange={(event) => setBounds({ ...bounds, high: event.target.value })}
      />
      <Button disabled={!ready} onClick={add}>
        Add
      </Button>
    </div>
  );
}

class EntryFault extends Error {}

const PAIRS_HEADER = "stage (m), discharge (m3/s)";

function draftOf(
  station: StationRecord,
  water: WaterRecord,
  reach: ReachRecord | undefined,
  system: UnitSystem,
): Draft {
  const text = (value: number | null, kind: "altitude" | "depth") =>
    value === null ? "" : showText(value, kind, system);
  return {
    altitude: text(water.altitude, "altitude"),
    damNote: water.damNote,
    fullPool: text(water.fullPool, "depth"),
    beachSlope: water.beachSlope === null ? "" : String(Number((1 / water.beachSlope).toPrecision(4))),
    tide: water.constituents.map((one) => `${one.name} ${one.amplitude} ${one.phase}`).join("\n"),
    pairs: water.gaugings.length
      ? [PAIRS_HEADER, ...water.gaugings.map((one) => `${one.stage}, ${one.discharge}`)].join("\n")
      : "",
    areaRatio: reach?.transfer ? String(reach.transfer.areaRatio) : "",
    lag: reach?.transfer ? String(reach.transfer.lag) : "",
    distance: "",
    speed: "",
    latitude: station.latitude === null ? "" : String(station.latitude),
    longitude: station.longitude === null ? "" : String(station.longitude),
  };
}

function finished(
  draft: Draft,
  water: WaterRecord,
  bands: FishesWell[],
  system: UnitSystem,
): { water: WaterRecord; transfer: ReachRecord["transfer"]; place: Pick<StationRecord, "latitude" | "longitude"> } {
  const number = (text: string, name: string, good: (value: number) => boolean, what: string): number | null => {
    if (text.trim() === "") return null;
    const value = Number(text.replace(",", "."));
    if (!Number.isFinite(value) || !good(value)) throw new EntryFault(`${name}: ${what}`);
    return value;
  };
  const length = (text: string, name: string, unit: "altitude" | "depth"): number | null => {
    if (text.trim() === "") return null;
    const parsed = parseQuantity(text, "length", entryUnit(unit, system));
    if (!parsed.ok) throw new EntryFault(`${name}: ${parsed.message}`);
    return parsed.value;
  };
  const altitude = length(draft.altitude, "Altitude", "altitude");
  if (altitude !== null && (altitude < -430 || altitude > 6000)) throw new EntryFault("Altitude: from −430 to 6000 m.");
  const oneIn = number(
    draft.beachSlope,
    "Slope of the shore",
    (value) => value >= 0.1 && value <= 10_000,
    "give a number from 0.1 to 10000, such as 10 for one in ten.",
  );
  const areaRatio = number(
    draft.areaRatio,
    "Catchment ratio",
    (value) => value > 0 && value < 1000,
    "give a number above 0, such as 0.4.",
  );
  const lag =
    number(draft.lag, "Hours to the reach", (value) => Math.abs(value) <= 240, "give hours within ±240.") ??
    lagOf(draft, system);
  const latitude = number(draft.latitude, "Latitude", (value) => Math.abs(value) <= 90, "give degrees from −90 to 90.");
  const longitude = number(
    draft.longitude,
    "Longitude",
    (value) => Math.abs(value) <= 180,
    "give degrees from −180 to 180.",
  );
  if (areaRatio === null && lag !== null)
    throw new EntryFault("Catchment ratio: give it too; 1 where the two are alike.");
  return {
    water: {
      ...water,
      altitude,
      damNote: draft.damNote.trim(),
      fullPool: length(draft.fullPool, "Full pool", "depth"),
      beachSlope: oneIn === null ? null : 1 / oneIn,
      constituents: readConstituents(draft.tide),
      bands,
      gaugings: gaugingsOf(draft.pairs),
    },
    transfer: areaRatio === null ? null : { areaRatio, lag: lag ?? 0 },
    place: { latitude, longitude },
  };
}

/** Hours from the way down the river and the water's speed; null where neither is given. */
function lagOf(draft: Draft, system: UnitSystem): number | null {
  if (draft.distance.trim() === "" && draft.speed.trim() === "") return null;
  const distance = parseQuantity(draft.distance, "length", entryUnit("distance", system));
  const speed = parseQuantity(draft.speed, "speed", entryUnit("speed", system));
  if (!distance.ok) throw new EntryFault(`Way to the reach: ${distance.message}`);
  if (!speed.ok) throw new EntryFault(`Mean speed: ${speed.message}`);
  if (speed.value <= 0) throw new EntryFault("Mean speed: give a speed above 0.");
  const hours = kinematicLag(distance.value, speed.value);
  if (Math.abs(hours) > 240) throw new EntryFault("Way to the reach: that would take more than 240 hours.");
  return Number(hours.toFixed(2));
}

function gaugingsOf(text: string): Gauging[] {
  if (text.trim() === "") return [];
  const { gaugings, rejected } = readPairs(text);
  if (rejected[0]) throw new EntryFault(`Rating, line ${rejected[0].line}: ${rejected[0].reason}.`);
  fitRating(gaugings);
  return gaugings;
}

function ratingWords(text: string, system: UnitSystem): { hint?: string; error?: string } {
  if (text.trim() === "")
    return { hint: "Gives discharge where the gauge has only stage, and stage where it has only discharge." };
  try {
    const fit = fitRating(gaugingsOf(text));
    return {
      hint: `Q = ${fit.C.toPrecision(3)} (h ${fit.h0 < 0 ? "+" : "−"} ${Math.abs(fit.h0).toFixed(2)})^${fit.b.toFixed(2)}, ${fit.count} pairs${fit.standardError === null ? "; a fourth would tell its error" : `, ±${Math.round(fit.standardError * 100)} %`}; a guess beyond ${showText(1.5 * fit.maxGauged, "discharge", system)}.`,
    };
  } catch (error) {
    return { error: error instanceof EntryFault ? error.message : faultOf(error).message };
  }
}

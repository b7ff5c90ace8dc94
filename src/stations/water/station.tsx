"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { useMemo, useState } from "react";
import { cautionsOf } from "../../core/gauge/cautions";
import { exceedanceInWords } from "../../core/gauge/exceedance";
import { DAY } from "../../core/gauge/series";
import { type GaugeNow, lastInstant, seriesOf } from "../../core/gauge/summary";
import { tideAt } from "../../core/gauge/tide";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { database } from "../../store/database";
import { blankWater } from "../../store/river";
import { Button, Panel, Select } from "../../ui/parts";
import { type River, useRiver } from "../../ui/river";
import { useSettings } from "../../ui/settings";
import { clarityWords, dayAndTime, trendWords } from "../../ui/words";
import { Cautions } from "./cautions";
import { FallPanel } from "./fall-panel";
import { Hydrograph } from "./hydrograph";
import { ImportGauge } from "./import-gauge";
import { NowFigures } from "./now-figures";
import { ReadingsPanel } from "./readings-panel";
import { SkyPanel } from "./sky-panel";
import { type Span, SpanBrush } from "./span-brush";
import { SpotsPanel } from "./spots-panel";
import { TableTwin } from "./table-twin";
import { useOutlook } from "./use-outlook";
import { WarmthPanel } from "./warmth-panel";
import { WaterDialog } from "./water-dialog";

const SPANS = [
  { days: 14, label: "14 days" },
  { days: 90, label: "90 days" },
  { days: 366, label: "A year" },
  { days: 0, label: "All" },
] as const;
/** Room on the chart for the days ahead. */
const AHEAD = 5 * DAY;

/** Water: what the river is doing, what it will do, and when to go. */
export function WaterStation() {
  const { system, station: picked, height, set } = useSettings();
  const river = useRiver(picked);
  const [dialog, setDialog] = useState<"import" | "water" | undefined>();
  const { station, gauge, now } = river;
  const stored = useLiveQuery(
    async () => (station ? ((await database().waters.get(station.id)) ?? null) : null),
    [station?.id],
  );
  const water = useMemo(() => stored ?? (station ? blankWater(station.id) : undefined), [stored, station]);
  const at = now && Date.parse(now.at);
  // The outlook is worked out anew when a reading comes, not each minute.
  const last = gauge ? (lastInstant(gauge) ?? undefined) : undefined;
  const { outlook, track } = useOutlook(gauge, last, river.atReach);
  const tide = useMemo(() => tideAt(water?.constituents ?? [], river.minute), [water, river.minute]);
  const cautions = cautionsOf(river.stale ? undefined : now, water, river.stale ? null : tide);
  const place = useMemo(
    () =>
      station?.latitude != null && station.longitude != null
        ? { latitude: station.latitude, longitude: station.longitude }
        : undefined,
    [station],
  );
  return (
    <div className="mx-auto max-w-6xl">
      <div className="mb-4 flex flex-wrap items-start justify-between gap-3">
        <div className="max-w-2xl">
          <h1 className="text-2xl">{station?.name ?? "No gauge for this reach"}</h1>
          {now && <p className="mt-1 text-lg">{sentence(now, river.stale, system, height)}</p>}
        </div>
        <div className="flex flex-wrap items-end gap-2">
          {river.stations.length > 1 && station && (
            <Select
              label="Gauge"
              hideLabel
              className="w-56"
              value={station.id}
              onChange={(id) => set({ station: id })}
              choices={river.stations.map((one) => ({ value: one.id, label: one.name }))}
            />
          )}
          {station && <Button onClick={() => setDialog("water")}>This water</Button>}
          <Button onClick={() => setDialog("import")}>Open a gauge file</Button>
        </div>
      </div>
      {station && <Cautions cautions={cautions} system={system} />}
      {now && gauge && <NowFigures now={now} gauge={gauge} outlook={outlook} stale={river.stale} system={system} />}
      {gauge && at !== undefined ? (
        <Chart river={river} outlook={outlook} at={at} system={system} />
      ) : (
        <p className="mt-6 rounded-md border border-line p-4">
          {station
            ? "This gauge holds no reading yet."
            : "Open a gauge file to see the river’s flow here. Reaches can be looked at without one, at any flow you pick."}
        </p>
      )}
      {gauge && at !== undefined && water && (
        <div className="mt-8 grid grid-cols-1 items-start gap-x-10 gap-y-8 lg:grid-cols-2">
          <div className="grid grid-cols-1 gap-8">
            {outlook ? (
              <FallPanel outlook={outlook} track={track} now={at} system={system} />
            ) : (
              <p role="status" className="text-soft">
                Working out the days ahead …
              </p>
            )}
            {outlook && now && now.waterTemperature !== null && (
              <WarmthPanel
                temperature={now.waterTemperature}
                outlook={outlook}
                altitude={water.altitude}
                now={at}
                system={system}
              />
            )}
          </div>
          <div className="grid grid-cols-1 gap-8">
            <SkyPanel
              place={place}
              glass={outlook?.glass ?? null}
              tide={water.constituents}
              now={river.minute}
              system={system}
            />
            <SpotsPanel water={water} now={now} system={system} />
            <ReadingsPanel station={station!.id} reach={river.reach} fit={gauge.clarityFit} system={system} />
          </div>
        </div>
      )}
      <ImportGauge
        open={dialog === "import"}
        onOpenChange={(open) => setDialog(open ? "import" : undefined)}
        stations={river.stations}
      />
      {dialog === "water" && station && water && (
        <WaterDialog
          station={station}
          water={water}
          reach={river.reach?.station === station.id ? river.reach : undefined}
          onClose={() => setDialog(undefined)}
        />
      )}
    </div>
  );
}

/** The lanes with their span: a preset, or what the handles are drawn to. */
function Chart({
  river,
  outlook,
  at,
  system,
}: {
  river: River;
  outlook: ReturnType<typeof useOutlook>["outlook"];
  at: number;
  system: UnitSystem;
}) {
  const gauge = river.gauge!;
  const main = seriesOf(gauge, "discharge") ?? seriesOf(gauge, "stage") ?? gauge.series[0]!;
  const whole = useMemo((): Span => ({ from: Math.min(main.times[0]!, at - 14 * DAY), to: at + AHEAD }), [main, at]);
  const [own, setOwn] = useState<{ span: Span; of: string } | undefined>();
  const [days, setDays] = useState<number>(14);
  const preset = useMemo(
    (): Span => ({ from: days === 0 ? whole.from : Math.max(whole.from, at - days * DAY), to: whole.to }),
    [days, whole, at],
  );
  const span = own?.of === gauge.station.id ? own.span : preset;
  const reaches = useMemo(
    () => new Set(river.reaches.filter((one) => one.station === gauge.station.id).map((one) => one.id)),
    [river.reaches, gauge.station.id],
  );
  const pick = (wanted: number) => {
    setOwn(undefined);
    setDays(wanted);
  };
  return (
    <Panel
      title="The river’s record"
      className="mt-6"
      source="Lines: as read. Shaded: the usual range for the date over the whole record, dark the middle half, pale a tenth to nine tenths, dotted the median. Dashed in its band: the forecast, 10 to 90 %. Rings: fish; bars on the floor: sessions, hollow when blank. Gaps are gaps."
      aside={
        <div role="group" aria-label="Span of the chart" className="flex gap-1">
          {SPANS.map(({ days: length, label }) => (
            <button
              key={length}
              type="button"
              aria-pressed={!own && days === length}
              onClick={() => pick(length)}
              className={`min-h-10 rounded px-3 text-sm ${!own && days === length ? "bg-ink text-paper" : "hover:bg-deep"}`}
            >
              {label}
            </button>
          ))}
        </div>
      }
    >
      <Hydrograph gauge={gauge} reaches={reaches} outlook={outlook} span={span} now={at} system={system} />
      <div className="mt-2">
        <SpanBrush
          series={main}
          whole={whole}
          span={span}
          onChange={(next) => setOwn({ span: next, of: gauge.station.id })}
        />
      </div>
      <TableTwin gauge={gauge} outlook={outlook} span={span} now={at} system={system} />
    </Panel>
  );
}

function sentence(now: GaugeNow, stale: boolean, system: UnitSystem, height: number): string {
  const parts = [
    now.discharge === null
      ? "No discharge reading"
      : `${showText(now.discharge, "discharge", system)} and ${trendWords(now)}`,
  ];
  if (now.exceedance !== null) parts.push(exceedanceInWords(now.exceedance));
  const clarity = clarityWords(now, height);
  if (now.clarity) parts.push(`${clarity.word.toLowerCase()}, ${clarity.seen}`);
  if (now.waterTemperature !== null) parts.push(`water ${showText(now.waterTemperature, "temperature", system)}`);
  return `${stale ? `As last read, ${dayAndTime(now.at)}: ` : ""}${parts.join("; ")}.`;
}

"use client";
import { useState } from "react";
import type { StationRecord } from "../../core/book/records";
import type { WeatherFile } from "../../core/formats/weather-csv";
import { CLOUDS, WINDS } from "../../core/gauge/weather";
import type { Fault } from "../../core/quantity/fault";
import { act } from "../../state/act";
import { useMinute } from "../../state/clock";
import { say } from "../../state/notices";
import { useSettings } from "../../state/settings";
import { leaveForecast, takeForecast } from "../../state/forecast-file";
import { useExpectedSky, useWeather } from "../../state/use-weather";
import { storeFault } from "../../store/failure";
import type { WeatherRecord } from "../../core/book/preferences";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FileField } from "../../widgets/file-field";
import { Refused } from "../../widgets/refused";
import { Select } from "../../widgets/select";
import { messageText, faultText } from "../../words/messages";
import { dayAndTime, dayKey } from "../../words/river";
import { CLOUD_NAMES, WIND_NAMES } from "../../words/sky";

const AS_FORECAST = "forecast";
const FORECAST = { value: AS_FORECAST, label: "as forecast" };
const CLOUD_EXPECTED = [FORECAST, ...CLOUDS.map((value) => ({ value, label: CLOUD_NAMES[value] }))];
const WIND_EXPECTED = [FORECAST, ...WINDS.map((value) => ({ value, label: WIND_NAMES[value] }))];

/** Wind and sky of the hours that are asked about: a forecast that is kept for a river, and what the angler expects. */
export function WeatherDialog({ stations, onClose }: { stations: readonly StationRecord[]; onClose: () => void }) {
  const [station, setStation] = useState(stations[0]!.id);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Weather"
      about="The plan counts wind, cloud, rain, thunder and frost where you give them."
    >
      <div className="grid gap-5">
        <Expected />
        <section aria-label="Forecast" className="grid gap-3">
          <h3 className="text-lg">Forecast</h3>
          {stations.length > 1 && (
            <Select
              label="For the water at"
              value={station}
              onChange={setStation}
              choices={stations.map(({ id, name }) => ({ value: id, label: name }))}
            />
          )}
          <Forecast key={station} station={stations.find(({ id }) => id === station)!} />
        </section>
      </div>
    </Dialog>
  );
}

/** What the angler expects today in place of any forecast. */
function Expected() {
  const today = dayKey(useMinute());
  const expected = useExpectedSky(today);
  const set = useSettings((settings) => settings.set);
  const { cloud, wind } = expected ?? { cloud: null, wind: null };
  return (
    <section aria-label="Your own forecast" className="grid gap-2">
      <h3 className="text-lg">As you expect it</h3>
      <div className="grid grid-cols-2 gap-3">
        <Select
          label="Sky"
          value={cloud ?? AS_FORECAST}
          onChange={(value) =>
            set({ expected: { day: today, wind, cloud: CLOUDS.find((one) => one === value) ?? null } })
          }
          choices={CLOUD_EXPECTED}
        />
        <Select
          label="Wind"
          value={wind ?? AS_FORECAST}
          onChange={(value) =>
            set({ expected: { day: today, cloud, wind: WINDS.find((one) => one === value) ?? null } })
          }
          choices={WIND_EXPECTED}
        />
      </div>
      <p className="text-sm text-soft">Used for all planned hours instead of the forecast, until the end of today.</p>
    </section>
  );
}

const sourceWords = ({ source, name, issued, hours }: WeatherRecord): string => {
  const until = `to ${dayAndTime(hours.at(-1)!.time)}`;
  return source === "stand-in"
    ? `Demo forecast, not real: made ${dayAndTime(issued)}, ${until}.`
    : `From ${name}, read ${dayAndTime(issued)}, ${until}.`;
};

/** The forecast that is kept for a river, and another in its place. */
function Forecast({ station: { id, name } }: { station: StationRecord }) {
  const system = useSettings((settings) => settings.system);
  const kept = useWeather(id);
  const [read, setRead] = useState<Omit<WeatherFile, "weather"> | undefined>();
  const [fault, setFault] = useState<Fault | undefined>();
  const take = async (file: File) => {
    setRead(undefined);
    setFault(undefined);
    try {
      const { undo, ...told } = await takeForecast(file, id);
      setRead(told);
      say(`Forecast ${file.name} used for ${name}.`, { label: "Undo", run: () => act(undo) });
    } catch (error) {
      setFault(storeFault(error));
    }
  };
  const leave = async () => {
    const undo = await leaveForecast(id);
    setRead(undefined);
    say(`Forecast for ${name} deleted.`, { label: "Undo", run: () => act(undo) });
  };
  return (
    <>
      <p role="status">{kept ? sourceWords(kept) : kept === null ? `No forecast saved for ${name}.` : ""}</p>
      <FileField
        label="Forecast file (CSV): time, and any of wind (m/s), gust, wind direction, cloud (%), air temperature (C), rain (mm), thunder"
        accept=".csv,.txt,.tsv"
        onFiles={([file]) => act(() => take(file!))}
      />
      {fault && (
        <p role="alert" className="rounded-md border border-clay p-3">
          {faultText(fault, system)}
        </p>
      )}
      {read?.notes.map((note) => (
        <p key={note.code} className="text-soft">
          {messageText(note, system)}
        </p>
      ))}
      {read && <Refused rejected={read.rejected} lines={read.lines} system={system} />}
      {kept && (
        <Button className="justify-self-start" onClick={() => act(leave)}>
          Delete this forecast
        </Button>
      )}
    </>
  );
}

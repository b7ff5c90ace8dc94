"use client";
import type { UnitSystem } from "../../words/quantity";
import type { Constituent } from "../../core/gauge/constituent";
import { later } from "../../widgets/later";
import { useMemo } from "react";
import type { Barometer } from "../../core/gauge/barometer";
import { skyOf } from "../../core/gauge/sky";
import { DAY, HOUR } from "../../core/gauge/series";
import { figureText } from "../../words/quantity";
import { barometerWords, MOON_NAMES } from "../../words/water";
import { findUnit, fromSI } from "../../core/quantity/units";
import { Panel } from "../../widgets/panel";
import { clock } from "../../words/river";

const TideLine = later(() => import("./tide-line").then((one) => one.TideLine));

/** Which hours have the light; the moon, the air pressure and, where there is one, the tide. */
export function SkyPanel({
  place,
  barometer,
  tide,
  now,
  system,
}: {
  place: { latitude: number; longitude: number } | undefined;
  barometer: Barometer | null;
  tide: readonly Constituent[];
  now: number;
  system: UnitSystem;
}) {
  const hour = Math.floor(now / HOUR);
  const sky = useMemo(
    () => place && [0, DAY].map((ahead) => skyOf(hour * HOUR + ahead, place.latitude, place.longitude)),
    [place, hour],
  );
  return (
    <Panel
      title="Light, moon and air pressure"
      source="Sun and moon at the gauge (suncalc). First light and dusk: sun 6° below the horizon. Air pressure from the gauge, in shipping forecast terms."
    >
      {sky ? (
        <table className="w-full text-left max-sm:text-[max(14px,min(1rem,4vw))]">
          <thead>
            <tr className="text-sm text-soft">
              <th className="sr-only">Day</th>
              <th className="font-normal">First light</th>
              <th className="font-normal">Sunrise</th>
              <th className="font-normal">Sunset</th>
              <th className="font-normal">Dusk</th>
            </tr>
          </thead>
          <tbody>
            {sky.map((day, k) => (
              <tr key={k} className="border-t border-line">
                <th scope="row" className="py-1 pr-2 font-normal text-soft">
                  {k === 0 ? "Today" : "Tomorrow"}
                </th>
                {[day.dawn, day.sunrise, day.sunset, day.dusk].map((time, n) => (
                  <td key={n} className={n % 3 === 0 ? "font-semibold" : ""}>
                    {time === null ? "–" : clock(time)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <p className="text-soft">Add the gauge’s latitude and longitude in water settings to see its light.</p>
      )}
      {sky && (
        <p className="mt-2">
          Moon: {MOON_NAMES[sky[0]!.moon.phase]}, {Math.round(sky[0]!.moon.lit * 100)} % lit
          {sky[0]!.moonrise === null ? "" : `; rises ${clock(sky[0]!.moonrise)}`}
          {sky[0]!.moonset === null ? "" : `, sets ${clock(sky[0]!.moonset)}`}.
        </p>
      )}
      <p className="mt-2">
        {barometer
          ? `Air pressure: ${figureText(barometer.pressure, 0, false)} hPa (${figureText(fromSI(barometer.pressure, findUnit("inHg")!), 2)} inHg), ${barometerWords(barometer)} (${barometer.tendency >= 0 ? "+" : ""}${figureText(barometer.tendency, 1)} hPa in three hours).`
          : "Air pressure: no data at this gauge."}
      </p>
      {tide.length > 0 && <TideLine tide={tide} now={now} system={system} />}
    </Panel>
  );
}

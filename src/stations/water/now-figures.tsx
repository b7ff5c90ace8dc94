"use client";
import type { UnitSystem } from "../../words/quantity";
import type { Outlook } from "../../core/gauge/outlook";
import { type GaugeNow, type GaugeRecord, usualExceedance } from "../../core/gauge/summary";
import { figureText, show, showText } from "../../words/quantity";
import { Figure } from "../../widgets/figure";
import { useSettings } from "../../state/settings";
import { ARROW, clarityWords, dayAndTime, seasonMissing } from "../../words/river";
import { derivedWords } from "../../words/water";

const temperatureSource = ({ waterTemperatureFrom }: GaugeNow, when: string): string =>
  waterTemperatureFrom ? "Your own reading; the gauge gives no temperature now." : when;

/** The river now, in figures; each tells where it comes from. */
export function NowFigures({
  now,
  gauge,
  outlook,
  stale,
  system,
}: {
  now: GaugeNow;
  gauge: GaugeRecord;
  outlook: Outlook | null | undefined;
  stale: boolean;
  system: UnitSystem;
}) {
  const height = useSettings((settings) => settings.height);
  const [discharge, stage, temperature] = [
    show(now.discharge, "discharge", system),
    show(now.stage, "stage", system),
    show(now.waterTemperature, "temperature", system),
  ];
  const clarity = clarityWords(now, height);
  const season = usualExceedance(now);
  const perHour =
    now.stageRatePerHour != null
      ? `${now.stageRatePerHour >= 0 ? "+" : "−"}${showText(Math.abs(now.stageRatePerHour), "stage", system)} an hour`
      : now.ratePerHour === null
        ? undefined
        : `${now.ratePerHour >= 0 ? "+" : ""}${figureText(now.ratePerHour * 100, 1)} % an hour`;
  const read = (parameter: "discharge" | "stage" | "waterTemperature") => {
    if (now[parameter] === null) return "no data";
    if (parameter === "discharge" && now.dischargeFrom) return "by your level mark, in the last six hours";
    if (parameter === "waterTemperature" && now.waterTemperatureFrom) return "your own, in the last six hours";
    const derived = gauge.derived?.[parameter];
    if (!derived) return "read at the gauge";
    return derivedWords(derived, now.discharge);
  };
  const when = stale ? `The record ends ${dayAndTime(now.at)}.` : "The last reading, at most six hours old.";
  const parts = outlook?.parts;
  const runoff = parts && `${Math.round(parts.quickShare * 100)} %`;
  const fit = gauge.clarityFit;
  const clarityNote =
    now.visibleDepth === null ? clarity.seen : `${clarity.seen}, about ${showText(now.visibleDepth, "depth", system)}`;
  const claritySource =
    now.visibleDepthFrom === "reading"
      ? "Your own reading in the last twelve hours; the gauge gives no turbidity now."
      : now.visibleDepthFrom === null
        ? "No turbidity reading, and none of your own in the last twelve hours."
        : `From ${figureText(now.turbidity, 1)} NTU at the gauge, ${fit && fit.pairs >= 3 ? `by a conversion fitted to ${fit.pairs} of your readings` : "by a rule of thumb; take three readings of your own to fit it"}.`;
  return (
    <section
      className="grid grid-cols-2 gap-x-6 gap-y-4 border-y border-line py-4 md:grid-cols-3 lg:grid-cols-6"
      aria-label="The river now"
    >
      <Figure
        label="Discharge"
        figure={discharge.figure}
        unit={discharge.unit}
        note={read("discharge")}
        source={
          now.dischargeFrom
            ? "By the rating of your own level mark; the gauge gives no discharge now."
            : `${when} ${gauge.derived?.discharge ? `Discharge ${derivedWords(gauge.derived.discharge, now.discharge)}.` : "Discharge from the gauge file."}`
        }
      />
      <Figure
        label="Stage"
        figure={stage.figure}
        unit={stage.unit}
        note={read("stage")}
        source={`${when} Water height on the gauge’s own datum, not a depth.`}
      />
      <Figure
        label="Trend"
        figure={now.trend ? `${ARROW[now.trend]} ${now.trend}` : "–"}
        note={[
          perHour ?? "too few readings",
          parts && (parts.flood ? `in flood: ${runoff} runoff` : `near base flow: ${runoff} runoff`),
        ]
          .filter(Boolean)
          .join("; ")}
        source="Median slope of ln Q over all pairs of readings of the last six hours (Theil-Sen), with sudden steps found by CUSUM (Page 1954). Steady means within the scatter of the readings. Runoff: flow above base flow (Lyne-Hollick filter, three passes). A flood is a third of the flow or more."
      />
      <Figure
        label="For the season"
        figure={season === null ? "–" : `${Math.round(season * 100)} %`}
        note={season === null ? seasonMissing(now) : "of the time it is at or above this"}
        source="Weibull plotting position among readings within fifteen days of this date in all years. Needs three years of data."
      />
      <Figure label="Clarity" figure={clarity.word} note={clarityNote} source={claritySource} />
      <Figure
        label="Water"
        figure={temperature.figure}
        unit={temperature.unit}
        note={read("waterTemperature")}
        source={temperatureSource(now, when)}
      />
    </section>
  );
}

"use client";
import type { UnitSystem } from "../../words/quantity";
import type { Outlook } from "../../core/gauge/outlook";
import { type GaugeNow, type GaugeRecord, usualExceedance } from "../../core/gauge/summary";
import { figureText, show, showText } from "../../words/quantity";
import { Figure } from "../../widgets/figure";
import { useSettings } from "../../state/settings";
import { ARROW, clarityWords, dayAndTime, seasonMissing } from "../../words/river";
import { derivedWords } from "../../words/water";

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
    if (now[parameter] === null) return "none given";
    const derived = gauge.derived?.[parameter];
    if (!derived) return "read at the gauge";
    return derivedWords(derived, now.discharge);
  };
  const when = stale ? `The record ends ${dayAndTime(now.at)}.` : "The last reading, not older than six hours.";
  const parts = outlook?.parts;
  const runoff = parts && `${Math.round(parts.quickShare * 100)} %`;
  const fit = gauge.clarityFit;
  const clarityNote =
    now.visibleDepth === null ? clarity.seen : `${clarity.seen}, about ${showText(now.visibleDepth, "depth", system)}`;
  const claritySource =
    now.visibleDepthFrom === "reading"
      ? "As you read it within the last twelve hours; this gauge gives no turbidity now."
      : now.visibleDepthFrom === null
        ? "Neither a turbidity reading nor one of your own in the last twelve hours."
        : `From ${figureText(now.turbidity, 1)} NTU at the gauge, ${fit && fit.pairs >= 3 ? `by a conversion refitted on ${fit.pairs} readings of yours` : "by a rule of thumb: three readings of your own refit it"}.`;
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
        source={`${when} ${gauge.derived?.discharge ? `Discharge ${derivedWords(gauge.derived.discharge, now.discharge)}.` : "Discharge as the gauge’s file gives it."}`}
      />
      <Figure
        label="Stage"
        figure={stage.figure}
        unit={stage.unit}
        note={read("stage")}
        source={`${when} Height of the water on the gauge’s own datum, not a depth.`}
      />
      <Figure
        label="Trend"
        figure={now.trend ? `${ARROW[now.trend]} ${now.trend}` : "–"}
        note={[
          perHour ?? "too few readings",
          parts && (parts.spate ? `a spate: ${runoff} runoff` : `near base flow: ${runoff} runoff`),
        ]
          .filter(Boolean)
          .join("; ")}
        source="Median slope of ln Q over all pairs of readings of the last six hours (Theil-Sen); steady within the scatter of the readings. Runoff: what stands over the base flow of the last days (Lyne-Hollick filter, three passes); a spate from a third of the flow upwards."
      />
      <Figure
        label="For the season"
        figure={season === null ? "–" : `${Math.round(season * 100)} %`}
        note={season === null ? seasonMissing(now) : "of the time it is at or above this"}
        source="Weibull plotting position among all readings within fifteen days of this date, in every year of the record; from three years of it."
      />
      <Figure label="Clarity" figure={clarity.word} note={clarityNote} source={claritySource} />
      <Figure
        label="Water"
        figure={temperature.figure}
        unit={temperature.unit}
        note={read("waterTemperature")}
        source={when}
      />
    </section>
  );
}

"use client";
import { useLiveAnswer } from "./live-answer";
import { cloudClass, windClass } from "../core/gauge/weather";
import { type ExpectedSky, weatherThen } from "../core/plan/weather-factors";
import type { WeatherRecord } from "../core/book/preferences";
import { database } from "../store/database";
import { forecastFor } from "../store/weather";
import { dayKey } from "../words/river";
import { useSettings } from "./settings";
import type { River } from "./use-river";

/** The forecast that is kept for a gauge's river; null where there is none, undefined until it is known. */
export const useWeather = (station: string | null | undefined): WeatherRecord | null | undefined =>
  useLiveAnswer(async () => (station ? ((await forecastFor(database(), station)) ?? null) : null), [station]);

/** Sky and wind as the angler said today that they will be; undefined where nothing was said today. */
export function useExpectedSky(today: string): ExpectedSky | undefined {
  const expected = useSettings((settings) => settings.expected);
  return expected?.day === today ? expected : undefined;
}

/** The air over a river now, as the angler expects it or as forecast; null where neither says anything. */
export function useAirNow({ station, minute }: { station: { id: string } | undefined; minute: number }) {
  const weather = useWeather(station?.id);
  const sky = useExpectedSky(dayKey(minute));
  return weatherThen(weather ?? null, sky, minute);
}

/** Sky and wind of now in words, as the angler expects them or as forecast; undefined where neither says anything. */
export function useSkyNow({ station, minute }: Pick<River, "station" | "minute">): ExpectedSky | undefined {
  const now = useAirNow({ station, minute });
  if (!now || (now.cloud === null && now.wind === null)) return undefined;
  return {
    cloud: now.cloud === null ? null : cloudClass(now.cloud),
    wind: now.wind === null ? null : windClass(now.wind),
  };
}

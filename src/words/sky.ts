import type { Session } from "../core/book/records";
import { type Cloud, cloudClass, CLOUDS, type WeatherHour, type Wind, windClass, WINDS } from "../core/gauge/weather";
import { showText, type UnitSystem } from "./quantity";

/** Said of nothing. */
export const UNSAID = "unsaid";

export const CLOUD_NAMES: Record<Cloud, string> = {
  clear: "clear",
  broken: "broken cloud",
  overcast: "overcast",
};

const CLOUD_SAID: Record<Cloud, string> = { ...CLOUD_NAMES, clear: "clear sky" };

export const WIND_NAMES: Record<Wind, string> = {
  calm: "calm",
  light: "light breeze",
  fresh: "fresh breeze",
  strong: "strong wind",
};

const NOT_SAID = { value: UNSAID, label: "not given" };
export const CLOUD_CHOICES = [NOT_SAID, ...CLOUDS.map((value) => ({ value, label: CLOUD_NAMES[value] }))];
export const WIND_CHOICES = [NOT_SAID, ...WINDS.map((value) => ({ value, label: WIND_NAMES[value] }))];

/** The sky as chosen; undefined where nothing was said of it. */
export function skyOfChoices(cloud: string, wind: string): Session["sky"] {
  const sky = {
    cloud: CLOUDS.find((one) => one === cloud) ?? null,
    wind: WINDS.find((one) => one === wind) ?? null,
  };
  return sky.cloud === null && sky.wind === null ? undefined : sky;
}

const COMPASS = ["north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"];

/** "fresh breeze, 8 m/s from the south-west"; empty where nothing is said. */
export function windWords(weather: Pick<WeatherHour, "wind" | "windFrom"> | null, system: UnitSystem): string {
  if (weather?.wind == null) return "";
  const from = weather.windFrom === null ? "" : ` from the ${COMPASS[Math.round(weather.windFrom / 45) % 8]}`;
  return `${WIND_NAMES[windClass(weather.wind)]}, ${showText(weather.wind, "wind", system)}${from}`;
}

/** Wind and sky in a breath: "light breeze from the west, overcast"; empty where nothing is said. */
export function airWords(weather: WeatherHour | null, system: UnitSystem): string {
  const cloud = weather?.cloud == null ? "" : CLOUD_SAID[cloudClass(weather.cloud)];
  return [windWords(weather, system), cloud].filter(Boolean).join(", ");
}

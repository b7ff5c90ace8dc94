import { type Cloud, CLOUDS, type Session, type Wind, WINDS } from "../core/book/records";

/** Said of nothing. */
export const UNSAID = "unsaid";

export const CLOUD_NAMES: Record<Cloud, string> = {
  clear: "clear",
  broken: "broken cloud",
  overcast: "overcast",
};

export const WIND_NAMES: Record<Wind, string> = {
  calm: "calm",
  light: "light breeze",
  fresh: "fresh breeze",
  strong: "strong wind",
};

const NOT_SAID = { value: UNSAID, label: "not said" };
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

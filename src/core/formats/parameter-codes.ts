import type { Parameter } from "../gauge/series";

/** Parameter codes of the USGS National Water Information System (parameter code dictionary). */
export const PARAMETER_CODES: Record<string, { parameter: Parameter; unitName: string }> = {
  "00060": { parameter: "discharge", unitName: "cfs" },
  "30208": { parameter: "discharge", unitName: "m3/s" },
  "00065": { parameter: "stage", unitName: "ft" },
  "30207": { parameter: "stage", unitName: "m" },
  "00010": { parameter: "waterTemperature", unitName: "C" },
  "00011": { parameter: "waterTemperature", unitName: "F" },
  "63680": { parameter: "turbidity", unitName: "FNU" },
  "00076": { parameter: "turbidity", unitName: "NTU" },
  "00025": { parameter: "airPressure", unitName: "mmHg" },
  "00045": { parameter: "rain", unitName: "in" },
  "46529": { parameter: "rain", unitName: "in" },
};

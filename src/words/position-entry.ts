import { z } from "zod";
import { parseNumber } from "../core/quantity/number";

/** Latitude and longitude as most maps give them, "52.1034, -1.2210"; longitude first in what comes of it. */
export const positionEntry = z.string().transform((text, context): [number, number] => {
  const parts = text
    .replace(/[°]/g, "")
    .split(/[,;\s]+/)
    .filter((one) => one !== "")
    .map((one) => parseNumber(one));
  const [latitude, longitude] = parts;
  if (parts.length === 2 && latitude?.ok && longitude?.ok) {
    const [n, e] = [latitude.value, longitude.value];
    if (Math.abs(n) <= 90 && Math.abs(e) <= 180) return [e, n];
  }
  context.addIssue({ code: "custom", message: "Enter latitude, then longitude, in degrees: 52.1034, −1.2210." });
  return z.NEVER;
});

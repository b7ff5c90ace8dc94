import { useSettings } from "./settings";

/**
 * Brings the stand-ins up to the hour where the demo river is in the book: its code comes for that alone. Without a
 * network what is kept stays as it is.
 */
export async function keepUp(): Promise<void> {
  if (useSettings.getState().demo === null) return;
  const part = await import("./demo").catch(() => undefined);
  await part?.refreshStandIn();
}

import { isZone } from "../core/quantity/local-time";

/** The zone of the water that is looked at; undefined: that of this device. */
let zone: string | undefined;

/** This device's zone, asked again when its clock is another one: the answer costs a formatter. */
let device: { offset: number; name: string } | undefined;

/** This device's own zone. */
export function deviceZone(): string {
  const offset = new Date().getTimezoneOffset();
  if (device?.offset !== offset) {
    const own = new Intl.DateTimeFormat().resolvedOptions().timeZone;
    device = { offset, name: own && isZone(own) ? own : "UTC" };
  }
  return device.name;
}

/** Every clock and day from now on is that of a water's zone, wherever the browser is; without one, the device's. */
export function setClockZone(name: string | undefined): void {
  zone = name !== undefined && isZone(name) ? name : undefined;
}

/** The zone that clocks and days are told and typed in. */
export const clockZone = (): string => zone ?? deviceZone();

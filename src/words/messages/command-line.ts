import { listed, type Words } from "./message-format";

/** What the command line refuses. */
export const COMMAND_LINE: Words = {
  "unknown-option": (p) => `--${p.name} isn’t an option here. Options: ${listed(p.known)}.`,
  "not-a-box": () => "--box is west, south, east and north in degrees, with commas.",
  "missing-value": (p) => `--${p.name} needs a value.`,
  "missing-argument": (p) => `Give ${p.what}.`,
  "too-many-arguments": (p) => `Only one argument is allowed: ${p.what}.`,
  "missing-option": (p) => `--${p.name} is required.`,
  "bad-number-option": (p, say) => `--${p.name} must be a number. ${say.tell(p.why)}`,
  "bad-time-option": (p) => `--${p.name} must be an ISO 8601 time, not “${p.text}”.`,
  "span-upside-down": () => "--to must be later than --from.",
  "span-too-long": (p) => `A plan covers ${p.days} days at most.`,
  "no-rain": () => "This file has no column of rain. Name it rain or precipitation, in mm or in.",
  "gauge-of-no-station": () => "This file is from a gauge that isn’t in the backup.",
  "a-folder": (p) => `${p.path} is a folder.`,
  unreadable: (p) => `${p.path} couldn’t be read: ${p.code}.`,
  unwritable: (p) => `${p.path} couldn’t be written: ${p.code}.`,
  "input-too-large": (p) => `${p.path} is larger than ${p.megabytes} MB.`,
  "out-of-range": (p) => `--${p.name} must be from ${p.low} to ${p.high}; it is ${p.value}.`,
  "bad-choice": (p) => `--${p.name} must be one of ${listed(p.known)}; it is “${p.text}”.`,
  "unknown-command": (p) => `“${p.name}” isn’t a command. Commands: ${listed(p.known)}. Run heron help for details.`,
  "other-discharge": (p) => `The field is for ${p.solved} m3/s, not ${p.asked}.`,
  "unknown-season": (p) => `“${p.season}” isn’t a season of this fish. Seasons: ${listed(p.known)}.`,
  "cannot-convert": (p) => `A gauge file can be saved as CSV, not ${String(p.to)}.`,
};

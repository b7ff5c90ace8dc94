import { listed, type Words } from "./message-format";

/** Why a browser does not open its book, and what can be done. */
const NOT_OPENED: Readonly<Record<string, string>> = {
  absent: "This browser doesn’t save data. Use another browser, or leave private mode.",
  denied: "The browser blocked storage. Leave the private window, or allow this site to save data.",
  full: "The browser’s storage is full. Free some space and retry.",
  newer: "A newer version of Low Heron saved this log. Reload the page.",
  blocked: "Another tab has an older version open. Close that tab and retry.",
  slow: "The browser’s storage hasn’t answered for five seconds. Retry, or restart the browser.",
  broken: "The browser’s storage failed. Retry, or restart the browser.",
};

/** What the command line refuses, and what the application itself has to tell. */
export const COMMANDS: Words = {
  "unknown-option": (p) => `--${p.name} isn’t an option here. Options: ${listed(p.known)}.`,
  "missing-value": (p) => `--${p.name} needs a value.`,
  "missing-argument": (p) => `Give ${p.what}.`,
  "too-many-arguments": (p) => `Only one argument is allowed: ${p.what}.`,
  "missing-option": (p) => `--${p.name} is required.`,
  "bad-number-option": (p, say) => `--${p.name} must be a number. ${say.tell(p.why)}`,
  "bad-time-option": (p) => `--${p.name} must be an ISO 8601 time, not “${p.text}”.`,
  "span-upside-down": () => "--to must be later than --from.",
  "span-too-long": (p) => `A plan covers ${p.days} days at most.`,
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
  internal: (p) => `Internal error: ${p.detail}`,
  "worker-lost": () => "The calculation crashed and was restarted. Retry.",
  "not-a-picture": () => `The browser can’t open this file as a picture.`,
  "picture-too-large": () => "This picture is too large to save.",
  "cannot-convert": (p) => `A gauge file can be saved as CSV, not ${String(p.to)}.`,
  "session-over": () => "This session has ended. Nothing was added to it.",
  "no-fish-on": () => "No fish is on now.",
  "session-runs": () => "A session is running on another reach. End it first.",
  "unsound-record": (p, say) =>
    `Couldn’t save this, as no backup could hold it: ${p.field || "the record"} ${say.tell(p.issue)}. Nothing changed.`,
  "part-not-fetched": () => "Part of the app could not be loaded. Check the network and retry. Nothing changed.",
  "not-kept": (p) => `The browser couldn’t save this: ${p.detail}. Nothing changed.`,
  "disk-full": () => "The browser’s storage is full, so this wasn’t saved. Save a backup and free some space.",
  "file-lost": (p) => `${p.name} couldn’t be read from the disk.`,
  "record-gone": () => "It is no longer in the log. It was deleted in another tab or place.",
  "book-not-opened": (p) =>
    `The log couldn’t be opened. ${NOT_OPENED[String(p.reason)]}${p.detail ? ` The browser says: ${p.detail}` : ""}`,
  "nothing-open": () => "The file is closed. Choose it again.",
};

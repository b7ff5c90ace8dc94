import { listed, type Words } from "./say";

/** Why a browser does not open its book, and what can be done. */
const NOT_OPENED: Readonly<Record<string, string>> = {
  absent: "This browser keeps no data for pages: use another one, or leave its private mode.",
  denied: "This browser does not give its storage: leave a private window, or allow this page to keep data.",
  full: "The disk that the browser may use is full: make room, and try again.",
  newer: "It was written by a newer version of this application: load the page anew.",
  blocked: "Another tab holds an older version of it open: close that tab, and try again.",
  slow: "The browser’s storage has not answered for five seconds: try again, or start the browser anew.",
  broken: "The browser’s storage failed: try again, or start the browser anew.",
};

/** What the command line refuses, and what the application itself has to tell. */
export const COMMANDS: Words = {
  "unknown-option": (p) => `--${p.name} is not an option here. Known: ${listed(p.known)}.`,
  "missing-value": (p) => `--${p.name} wants a value.`,
  "missing-argument": (p) => `Give ${p.what}.`,
  "too-many-arguments": (p) => `Only one argument is taken: ${p.what}.`,
  "missing-option": (p) => `--${p.name} must be given.`,
  "bad-number-option": (p, say) => `--${p.name} must be a number. ${say.tell(p.why)}`,
  "bad-time-option": (p) => `--${p.name} must be an ISO 8601 time; it is “${p.text}”.`,
  "span-upside-down": () => "--to must be later than --from.",
  "span-too-long": (p) => `A plan is for ${p.days} days at most.`,
  "gauge-of-no-station": () => "No gauge of the archive is the one that this file is of.",
  "a-folder": (p) => `${p.path} is a folder.`,
  unreadable: (p) => `${p.path} cannot be read: ${p.code}.`,
  unwritable: (p) => `${p.path} cannot be written: ${p.code}.`,
  "input-too-large": (p) => `${p.path} is larger than ${p.megabytes} MB.`,
  "out-of-range": (p) => `--${p.name} must be from ${p.low} to ${p.high}; it is ${p.value}.`,
  "bad-choice": (p) => `--${p.name} must be one of ${listed(p.known)}; it is “${p.text}”.`,
  "unknown-command": (p) => `“${p.name}” is not a command. Known: ${listed(p.known)}; heron help tells more.`,
  "other-discharge": (p) => `The field was solved at ${p.solved} m3/s, and ${p.asked} was asked for.`,
  "unknown-season": (p) => `“${p.season}” is no time of the year of this fish. Known: ${listed(p.known)}.`,
  internal: (p) => `Something went wrong inside: ${p.detail}`,
  "worker-lost": () => "The part that works this out broke down. It is started anew: try again.",
  "not-a-picture": () => `This file is no picture that the browser can open.`,
  "picture-too-large": () => "This picture is too large to be kept.",
  "cannot-convert": (p) => `A gauge file can become CSV, not ${String(p.to)}.`,
  "session-over": () => "This session has been ended meanwhile: nothing more is put into it.",
  "no-fish-on": () => "No fish is on any more.",
  "session-runs": () => "A session runs on another reach: end it first.",
  "unsound-record": (p, say) =>
    `This cannot be kept, since no archive could hold it: ${p.field || "the record"} ${say.tell(p.issue)}. Nothing was changed.`,
  "part-not-fetched": () =>
    "A part of the application could not be fetched: there may be no network. Nothing was changed.",
  "not-kept": (p) => `The browser could not keep this: ${p.detail}. Nothing was changed.`,
  "disk-full": () => "The disk that the browser may use is full: nothing was kept. Save an archive and make room.",
  "file-lost": (p) => `${p.name} could not be read from the disk.`,
  "record-gone": () => "It is no longer in the book: it was taken out elsewhere.",
  "book-not-opened": (p) =>
    `The book could not be opened. ${NOT_OPENED[String(p.reason)]}${p.detail ? ` The browser says: ${p.detail}` : ""}`,
  "nothing-open": () => "The file is no longer open: choose it again.",
};

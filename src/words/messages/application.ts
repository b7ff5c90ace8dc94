import type { Words } from "./message-format";

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

/** What the application itself has to tell. */
export const APPLICATION: Words = {
  internal: (p) => `Internal error: ${p.detail}`,
  "worker-lost": () => "The calculation crashed and was restarted. Retry.",
  "not-a-picture": () => `The browser can’t open this file as a picture.`,
  "picture-too-large": () => "This picture is too large to save.",
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

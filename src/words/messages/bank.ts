import type { Words } from "./message-format";
import { speciesName } from "../species";

/** What is said of fish that are too warm, and of fish in a file. */
export const BANK: Words = {
  "catch-no-water": (p) => `your log has no reach called “${p.text}”`,
  "too-warm-to-play": (p, say) =>
    `${say.of(p.temperature, "temperature")}: leave ${speciesName(String(p.species)).toLowerCase()} alone in water this warm. Local rules come first.`,
};

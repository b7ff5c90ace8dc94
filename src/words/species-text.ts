import { speciesName } from "./species";

/** What anglers call fish in a note or a spreadsheet. Common practice, no source. */
const ALIASES: Readonly<Record<string, string>> = {
  brown: "brown-trout",
  brownie: "brown-trout",
  browntrout: "brown-trout",
  rainbow: "rainbow-trout",
  bow: "rainbow-trout",
  steelie: "steelhead",
  king: "king-salmon",
  chinook: "king-salmon",
  smb: "smallmouth-bass",
  smallie: "smallmouth-bass",
  smallmouth: "smallmouth-bass",
  bronzeback: "smallmouth-bass",
  lmb: "largemouth-bass",
  largemouth: "largemouth-bass",
  bucketmouth: "largemouth-bass",
  pickerel: "walleye",
  pikeperch: "zander",
  channel: "channel-catfish",
  channelcat: "channel-catfish",
  flathead: "flathead-catfish",
  flatheadcat: "flathead-catfish",
  perch: "yellow-perch",
  yellowperch: "yellow-perch",
  crappie: "black-crappie",
  blackcrappie: "black-crappie",
  striper: "striped-bass",
  striped: "striped-bass",
};

const key = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, "");
const singular = (text: string): string => text.replace(/s$/, "");

/**
 * Finds a fish by what a cell calls it: its id, its name, the angler's own name for it, or what anglers say; a word
 * that fits one fish alone away. Undefined where nothing fits, or more than one.
 */
export function speciesMatcher(
  fishes: readonly { id: string; name: string; base?: string }[],
): (text: string) => string | undefined {
  const exact = new Map<string, string>();
  for (const { id, name } of [...fishes].reverse()) {
    exact.set(key(id), id);
    exact.set(key(name), id);
    if (speciesName(id) !== id) exact.set(key(speciesName(id)), id);
  }
  return (text) => {
    const wanted = key(text);
    if (wanted === "") return undefined;
    for (const form of [wanted, singular(wanted)]) {
      const found = exact.get(form) ?? (fishes.some((one) => one.id === ALIASES[form]) ? ALIASES[form] : undefined);
      if (found) return found;
    }
    const alike = fishes.filter(({ name }) => key(name).startsWith(wanted) || key(name).endsWith(wanted));
    return wanted.length >= 4 && alike.length === 1 ? alike[0]!.id : undefined;
  };
}

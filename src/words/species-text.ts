import { SPECIES_WORDS, speciesName } from "./species";

const ALIASES = new Map(
  Object.entries(SPECIES_WORDS).flatMap(([id, { aliases }]) => aliases.map((alias) => [alias, id] as const)),
);

const key = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, "");
const singular = (text: string): string => text.replace(/s$/, "");

/**
 * Finds a fish by what a cell calls it: its id, its name, the angler's own name for it, or what anglers say; a word
 * that fits one fish alone will do. Undefined where nothing fits, or more than one.
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
      const alias = ALIASES.get(form);
      const found = exact.get(form) ?? (fishes.some(({ id }) => id === alias) ? alias : undefined);
      if (found) return found;
    }
    const alike = fishes.filter(({ name }) => key(name).startsWith(wanted) || key(name).endsWith(wanted));
    return wanted.length >= 4 && alike.length === 1 ? alike[0]!.id : undefined;
  };
}

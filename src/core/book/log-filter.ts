import type { Catch, Session } from "./records";

/** What the fish of a book are sifted by. */
export interface LogFilter {
  /** Words that must all occur somewhere in what was said of a fish or its session. */
  text: string;
  /** Ids; null: any. */
  reach: string | null;
  species: string | null;
  outcome: "all" | "landed" | "lost" | "kept";
  /** Days, "2026-10-01", both included; empty: open. */
  from: string;
  to: string;
}

export const EVERYTHING: LogFilter = { text: "", reach: null, species: null, outcome: "all", from: "", to: "" };

/** A fish with what is asked of it again and again. */
export interface Found {
  fish: Catch;
  session: Session | undefined;
  /** The angler's own day. */
  day: string;
  /** All its words, without marks and in small letters. */
  words: string;
}

/** Letters as they are looked for: small, without their marks, so that "zuruck" finds "Zurück". */
export const plainLetters = (text: string): string => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

/** The fish of a book made ready to be sifted, the newest first. */
export function indexed(
  catches: readonly Catch[],
  sessions: readonly Session[],
  dayOf: (instant: string, session: Session | undefined) => string,
  nameOf: (species: string) => string,
): Found[] {
  const byId = new Map(sessions.map((one) => [one.id, one]));
  const names = new Map<string, string>();
  const named = (species: string) => {
    const known = names.get(species) ?? plainLetters(nameOf(species));
    names.set(species, known);
    return known;
  };
  return catches
    .map((fish): Found & { time: number } => {
      const session = byId.get(fish.session);
      const said = [fish.lie, fish.lure, fish.colour, fish.piece, fish.angler, fish.notes, session?.notes];
      return {
        fish,
        session,
        day: dayOf(fish.at, session),
        words: `${named(fish.species)} ${plainLetters(said.filter(Boolean).join(" "))}`,
        time: Date.parse(fish.at),
      };
    })
    .sort((a, b) => b.time - a.time)
    .map(({ fish, session, day, words }): Found => ({ fish, session, day, words }));
}

/** Those that pass, in their order. */
export function filterLog(all: readonly Found[], { text, reach, species, outcome, from, to }: LogFilter): Found[] {
  const wanted = plainLetters(text).split(/\s+/).filter(Boolean);
  return all.filter(
    ({ fish, session, day, words }) =>
      (reach === null || session?.reach === reach) &&
      (species === null || fish.species === species) &&
      (outcome === "all" ||
        (outcome === "landed" && fish.lost === undefined) ||
        (outcome === "lost" && fish.lost !== undefined) ||
        (outcome === "kept" && fish.kept === true)) &&
      (from === "" || day >= from) &&
      (to === "" || day <= to) &&
      wanted.every((one) => words.includes(one)),
  );
}

/** The longest and the heaviest of each kind that were landed. */
export interface Best {
  species: string;
  count: number;
  longest: Catch | undefined;
  heaviest: Catch | undefined;
}

export function bestsOf(catches: readonly Catch[]): Best[] {
  const kinds = new Map<string, Best>();
  for (const fish of catches) {
    if (fish.deleted || fish.lost !== undefined) continue;
    const best = kinds.get(fish.species) ?? {
      species: fish.species,
      count: 0,
      longest: undefined,
      heaviest: undefined,
    };
    kinds.set(fish.species, {
      ...best,
      count: best.count + 1,
      longest: (fish.length ?? 0) > (best.longest?.length ?? 0) ? fish : best.longest,
      heaviest: (fish.weight ?? 0) > (best.heaviest?.weight ?? 0) ? fish : best.heaviest,
    });
  }
  return [...kinds.values()].sort((a, b) => b.count - a.count || (a.species < b.species ? -1 : 1));
}

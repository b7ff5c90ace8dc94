"use client";
import type { Species } from "../core/fish/species-schema";
import { useLiveAnswer } from "./live-answer";
import { useMemo } from "react";
import type { Profile } from "../core/book/records";
import { SPECIES } from "../core/fish/species-list";
import { speciesName } from "../words/species";
import { database } from "../store/database";

/** A fish that can be looked for: one that ships, or the angler's own profile of one. */
export interface Fish {
  id: string;
  name: string;
  species: Species;
  /** Id of the species that ships with the application: its own, or the one it was copied from. */
  base: string;
  profile: Profile | undefined;
}

const SHIPPED: readonly Fish[] = SPECIES.map((species) => ({
  id: species.id,
  name: speciesName(species.id),
  species,
  base: species.id,
  profile: undefined,
}));

/** All fish that can be looked for, the angler's own profiles first. */
export function useFishes(): {
  /** False until the database has told of own profiles. */ ready: boolean;
  list: readonly Fish[];
  of: (id: string) => Fish;
  nameOf: (id: string) => string;
} {
  const all = useLiveAnswer(() => database().profiles.toArray(), []);
  return useMemo(() => {
    const own = (all ?? []).filter((one) => !one.deleted);
    const list = [
      ...own.map((profile): Fish => ({
        id: profile.id,
        name: profile.species.name ?? speciesName(profile.base),
        species: profile.species,
        base: profile.base,
        profile,
      })),
      ...SHIPPED,
    ];
    const find = (id: string) => list.find((one) => one.id === id);
    // A profile that is gone falls back to the first fish that ships; in old sessions it keeps its name.
    return {
      ready: all !== undefined,
      list,
      of: (id) => find(id) ?? SHIPPED[0]!,
      nameOf: (id) => find(id)?.name ?? all?.find((one) => one.id === id)?.species.name ?? speciesName(id),
    };
  }, [all]);
}

import type { Lie } from "../core/fish/read";
import type { School, Stand } from "../core/approach/stands";
import type { BoatStand } from "../core/approach/boat";
import type { CastFrom } from "../core/rig/ways";
import type { Method } from "../core/tactics/methods";
import type { Style } from "../core/tactics/time";
import type { Conditions } from "./conditions";
import type { Approach } from "./approach";
import { keyOf } from "./key";
import type { ReadingRequest } from "./reading";
import type { OwnTackle, RigFor } from "./rig";

/** What the fifth stage is asked: every way to fish a lie (ways.ts). */
export interface WaysRequest {
  lie: Lie;
  reading: ReadingRequest;
  conditions: Pick<Conditions, "visibleDepth" | "temperature" | "light">;
  /** Id of the fish that ships. */
  base: string;
  phase: RigFor["phase"];
  stands: readonly CastFrom[];
  own: OwnTackle;
  liked: readonly Method[];
  /** Roving or waiting: how many casts a place is given. */
  style: Style;
}

/** The ways to fish a lie from where its approach says one can stand; `school` is followed first. */
export const waysRequest = (
  { stands, boat }: Pick<Approach, "stands" | "boat">,
  {
    school,
    conditions: { visibleDepth, temperature, light },
    ...rest
  }: Omit<WaysRequest, "stands"> & { school: School | "from-boat" },
): WaysRequest => ({
  ...rest,
  conditions: { visibleDepth, temperature, light },
  stands: castsFrom(stands, boat, school),
});

/** All of the request: of a reading, by its own key, a lie is known by its place. */
export const waysKey = (of: string, { lie, reading: _, ...rest }: WaysRequest): string =>
  keyOf("ways", of, lie.x, lie.y, rest);

/** Where to cast from: the stand of the school that the angler follows first, a boat where it is asked for. */
export function castsFrom(
  stands: readonly Stand[],
  boat: BoatStand | undefined,
  school: School | "from-boat",
): CastFrom[] {
  const banks = [...stands]
    .sort((a, b) => Number(b.school === school) - Number(a.school === school))
    .map(({ school: of, x, y }): CastFrom => ({ school: of, at: [x, y] }));
  return school === "from-boat" && boat ? [{ school: "from-above", at: [boat.x, boat.y] }, ...banks] : banks;
}

"use client";
import { useSettings } from "../state/settings";
import { useSafety } from "../state/use-cautions";
import type { River } from "../state/use-river";
import { useRunning } from "../state/use-running";
import { Cautions } from "./cautions";
import { later } from "../widgets/later";

const ClosedSeason = later(() => import("./closed-season").then((one) => one.ClosedSeason));
const PlannedBanner = later(() => import("./planned-banner").then((one) => one.PlannedBanner));

/** Stations that send somebody to the water: a closed season is said there, and the plan they are looked at for. */
const SENDS_OUT = ["/reach", "/rig", "/session"];

/** What is to be heeded before anything else, above every station. */
export function CautionBanners({ river, path }: { river: River; path: string }) {
  const safety = useSafety(river);
  const running = useRunning();
  const species = useSettings((settings) => settings.species);
  const planned = useSettings((settings) => settings.planned);
  // While a fish is on there is one thing to do.
  if (path.startsWith("/session") && running?.on !== undefined) return null;
  const sendsOut = SENDS_OUT.some((one) => path.startsWith(one));
  return (
    <>
      <Cautions safety={safety} />
      {sendsOut && river.reach && <ClosedSeason reach={river.reach.id} species={species} now={river.minute} />}
      {sendsOut && planned && <PlannedBanner now={river.minute} />}
    </>
  );
}

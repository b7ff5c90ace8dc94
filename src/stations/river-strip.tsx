"use client";
import { Settings2, Zap } from "lucide-react";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { useState } from "react";
import type { Session } from "../core/book/records";
import type { GaugeNow } from "../core/gauge/summary";
import { getTimes } from "suncalc";
import { show } from "../words/quantity";
import type { River } from "../state/use-river";
import { useSettings } from "../state/settings";
import { clockNow, useDemoClock } from "../state/clock";
import { useRunning } from "../state/use-running";
import {
  ARROW,
  clarityWords,
  clock,
  dayAndTime,
  dayOnly,
  seasonWords,
  spanWords,
  stripWords,
  trendWords,
} from "../words/river";
import { laterDialog } from "../widgets/later";

const BookDialog = laterDialog(() => import("./book-dialog").then((one) => one.BookDialog));

/** The date of a record's end is long: on a phone the clarity gives way to it (NowCells), not the name of the place. */
const placeClass = ({ stale }: River): string => (stale ? "max-w-20 shrink-0 sm:max-w-none" : "shrink sm:shrink-0");

/** The thin strip on top of every station; opens Water. */
export function RiverStrip({ river }: { river: River }) {
  const [bookOpen, setBookOpen] = useState(false);
  // On its own station the session is in sight anyway.
  const elsewhere = !usePathname().startsWith("/session");
  const running = useRunning();
  const session = elsewhere && running ? running : null;
  const { now, reach, station } = river;
  const name = reach?.reach.name ?? station?.name ?? "Low Heron";
  const made = reach?.demo || station?.demo;
  const ownHour = useDemoClock();
  const { system, set } = useSettings();
  return (
    <header className="sticky top-0 z-20 flex items-center border-b border-line bg-paper pl-3 low:static sm:gap-2 sm:pr-2 sm:pl-4 lg:px-6 print:hidden">
      <Link
        href="/water"
        aria-label={`${name}${now ? `: ${stripWords(now, river.stale, system)}` : ""}${made ? "; demo river" : ""}. Opens Water.`}
        className="min-w-0 flex-1 overflow-hidden py-1.5 whitespace-nowrap"
      >
        <span className="flex items-center gap-x-2 sm:gap-x-7 lg:gap-x-8">
          <Cell
            className={placeClass(river)}
            main={name}
            sub={
              <>
                {made && <span className="sm:hidden">demo river</span>}
                <span className={made ? "hidden sm:inline" : ""}>
                  {reach && station ? station.name : "the river now"}
                </span>
              </>
            }
          />
          {now && <NowCells now={now} stale={river.stale} narrow={session !== null} />}
          {!river.stale && <LightLeft river={river} />}
        </span>
        <Rest river={river} />
      </Link>
      {made && (
        <span
          data-testid="demo-tag"
          className="hidden shrink-0 rounded border border-dashed border-soft px-2 py-1 text-sm text-soft md:block"
        >
          demo river
          {ownHour && (
            <span className={`hidden ${session ? "2xl:inline" : "xl:inline"}`}>
              , demo time: {dayAndTime(river.minute)}
            </span>
          )}
        </span>
      )}
      {session && <RunningSession session={session} minute={river.minute} />}
      <button
        type="button"
        aria-label="I hear thunder"
        title="I hear thunder"
        onClick={() => set({ thunderAt: clockNow() })}
        className="grid size-11 shrink-0 place-items-center rounded-md hover:bg-deep"
      >
        <Zap size={22} aria-hidden />
      </button>
      <button
        type="button"
        aria-label="Settings and backup"
        onClick={() => setBookOpen(true)}
        className="grid size-11 shrink-0 place-items-center rounded-md hover:bg-deep"
      >
        <Settings2 size={22} aria-hidden />
      </button>
      <BookDialog open={bookOpen} onOpenChange={setBookOpen} river={river} />
    </header>
  );
}

/** The session that runs, always in sight; opens it. */
function RunningSession({ session, minute }: { session: Session; minute: number }) {
  return (
    <Link
      href="/session"
      className="grid min-h-11 shrink-0 content-center rounded-md border-2 border-ochre px-2 text-center text-sm leading-tight font-semibold"
    >
      {session.on ? "Fish on" : session.paused ? "Timer paused" : "Fishing"}
      <span className="font-normal tabular-nums">{spanWords(minute - Date.parse(session.start))}</span>
    </Link>
  );
}

/** Flow, clarity and warmth in short. */
function NowCells({ now, stale, narrow }: { now: GaugeNow; stale: boolean; narrow: boolean }) {
  const system = useSettings((settings) => settings.system);
  const flow = show(now.discharge, "discharge", system);
  const clarity = clarityWords(now);
  return (
    <>
      <Cell
        className="shrink-0"
        main={
          <>
            {flow.figure}
            <span className="ml-1 text-sm font-normal">{flow.unit}</span>{" "}
            {now.trend && <span aria-hidden>{ARROW[now.trend]}</span>}
          </>
        }
        sub={stale ? `last read ${dayOnly(now.at)}` : trendWords(now)}
        title={seasonWords(now)}
      />
      <Cell
        className={narrow ? "hidden shrink-0 sm:block" : stale ? "shrink sm:shrink-0" : "shrink-0"}
        main={clarity.word}
        sub={clarity.seen}
      />
      <Cell
        className="hidden shrink-0 md:block"
        main={show(now.waterTemperature, "temperature", system).text}
        sub="water"
      />
    </>
  );
}

function Cell({
  main,
  sub,
  className = "",
  title,
}: {
  main: React.ReactNode;
  sub: React.ReactNode;
  className?: string;
  title?: string;
}) {
  return (
    <span className={`min-w-0 ${className}`} title={title}>
      <span className="block truncate text-base leading-tight font-semibold lg:text-lg">{main}</span>
      <span className="block truncate text-sm leading-tight text-soft">{sub}</span>
    </span>
  );
}

/** What a narrow strip has no cell for, in a line of its own. */
function Rest({ river }: { river: River }) {
  const system = useSettings((settings) => settings.system);
  const light = river.stale ? undefined : lightOf(river);
  const parts = [
    river.now && river.now.waterTemperature !== null
      ? `water ${show(river.now.waterTemperature, "temperature", system).text}`
      : undefined,
    light && (light.left === undefined ? light.sub : `light ${light.main}`),
  ].filter(Boolean);
  if (parts.length === 0) return null;
  return (
    <span className="block truncate text-sm text-soft md:hidden" data-testid="strip-rest">
      {parts.join(" · ")}
    </span>
  );
}

/** Light left today, from the sun's times at the station; undefined where the station is not known to lie anywhere. */
function lightOf({ station, minute }: River): { main: string; sub: string; left?: number } | undefined {
  if (station?.latitude == null || station.longitude == null) return undefined;
  const { dusk, dawn } = getTimes(new Date(minute), station.latitude, station.longitude);
  if (!dusk || !dawn) return undefined;
  const left = dusk.getTime() - minute;
  if (minute < dawn.getTime()) return { main: "Dark", sub: `first light ${clock(dawn.getTime())}` };
  if (left <= 0) return { main: "Dark", sub: `dusk was ${clock(dusk.getTime())}` };
  const minutes = Math.floor(left / 60_000);
  return {
    main: `${Math.floor(minutes / 60)} h ${minutes % 60} min`,
    sub: `of daylight left, dusk ${clock(dusk.getTime())}`,
    left,
  };
}

function LightLeft({ river }: { river: River }) {
  const light = lightOf(river);
  return light ? <Cell className="hidden lg:block" main={light.main} sub={light.sub} /> : null;
}

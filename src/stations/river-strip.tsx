"use client";
import { Settings2 } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { GaugeNow } from "../core/gauge/summary";
import { getTimes } from "suncalc";
import { show } from "../words/quantity";
import type { River } from "../state/use-river";
import { useSettings } from "../state/settings";
import { useDemoClock } from "../state/clock";
import { ARROW, clarityWords, clock, dayAndTime, dayOnly, seasonWords, trendWords } from "../words/river";
import { laterDialog } from "../widgets/later";

const BookDialog = laterDialog(() => import("./book-dialog").then((one) => one.BookDialog));

/** The thin strip on top of every station; opens Water. */
export function RiverStrip({ river }: { river: River }) {
  const [bookOpen, setBookOpen] = useState(false);
  const { now, reach, station } = river;
  const name = reach?.reach.name ?? station?.name ?? "Low Heron";
  const made = reach?.demo || station?.demo;
  const ownHour = useDemoClock();
  return (
    <header className="sticky top-0 z-20 flex items-center gap-2 border-b border-line bg-paper pr-2 pl-4 lg:px-6">
      <Link
        href="/water"
        aria-label={`${name}: to Water`}
        className="flex min-w-0 flex-1 items-center gap-x-4 overflow-hidden sm:gap-x-7 py-2 whitespace-nowrap lg:gap-x-10"
      >
        <Cell
          className="shrink sm:shrink-0"
          main={name}
          sub={
            <>
              {made && <span className="sm:hidden">made-up river</span>}
              <span className={made ? "hidden sm:inline" : ""}>
                {reach && station ? station.name : "the river now"}
              </span>
            </>
          }
        />
        {now && <NowCells now={now} stale={river.stale} />}
        {!river.stale && <LightLeft river={river} />}
      </Link>
      {made && (
        <span
          data-testid="made-up"
          className="hidden shrink-0 rounded border border-dashed border-soft px-2 py-1 text-sm text-soft sm:block"
        >
          made-up river
          {ownHour && `, its own hour: ${dayAndTime(river.minute)}`}
        </span>
      )}
      <button
        type="button"
        aria-label="Book and settings"
        onClick={() => setBookOpen(true)}
        className="grid size-11 shrink-0 place-items-center rounded-md hover:bg-deep"
      >
        <Settings2 size={22} aria-hidden />
      </button>
      <BookDialog open={bookOpen} onOpenChange={setBookOpen} river={river} />
    </header>
  );
}

/** Flow, clarity and warmth in short. */
function NowCells({ now, stale }: { now: GaugeNow; stale: boolean }) {
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
      <Cell className="shrink-0" main={clarity.word} sub={clarity.seen} />
      <Cell className="hidden md:block" main={show(now.waterTemperature, "temperature", system).text} sub="water" />
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

/** Light left today, from the sun's times at the station. */
function LightLeft({ river }: { river: River }) {
  const { station, minute } = river;
  if (station?.latitude == null || station.longitude == null) return null;
  const { dusk, dawn } = getTimes(new Date(minute), station.latitude, station.longitude);
  if (!dusk || !dawn) return null;
  const left = dusk.getTime() - minute;
  if (minute < dawn.getTime())
    return <Cell className="hidden xl:block" main="Dark" sub={`first light ${clock(dawn.getTime())}`} />;
  if (left <= 0) return <Cell className="hidden xl:block" main="Dark" sub={`dusk was ${clock(dusk.getTime())}`} />;
  const minutes = Math.floor(left / 60_000);
  return (
    <Cell
      className="hidden xl:block"
      main={`${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, "0")} of light`}
      sub={`dusk ${clock(dusk.getTime())}`}
    />
  );
}

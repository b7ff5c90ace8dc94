"use client";
import { Settings2 } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import { getTimes } from "suncalc";
import { exceedanceInWords } from "../core/gauge/exceedance";
import { show } from "../core/quantity/show";
import type { River } from "../ui/river";
import { useSettings } from "../ui/settings";
import { ARROW, clarityWords, dayOnly, trendWords } from "../ui/words";
import { BookDialog } from "./book-dialog";

/** The thin strip on top of every station; opens Water. */
export function RiverStrip({ river }: { river: River }) {
  const system = useSettings((settings) => settings.system);
  const [bookOpen, setBookOpen] = useState(false);
  const { now, reach, station } = river;
  const name = reach?.reach.name ?? station?.name ?? "Low Heron";
  const flow = show(now?.discharge, "discharge", system);
  const clarity = now ? clarityWords(now) : undefined;
  const made = reach?.demo || station?.demo;
  return (
    <header className="sticky top-0 z-20 flex items-center gap-2 border-b border-line bg-paper pr-2 pl-4 lg:px-6">
      <Link
        href="/water"
        aria-label={`${name}: to Water`}
        className="flex min-w-0 flex-1 items-center gap-x-4 overflow-hidden sm:gap-x-7 py-2 whitespace-nowrap lg:gap-x-10"
      >
        <Cell className="shrink sm:shrink-0" main={name} sub={reach && station ? station.name : "the river now"} />
        {now && (
          <Cell
            className="shrink-0"
            main={
              <>
                {flow.figure}
                <span className="ml-1 text-sm font-normal">{flow.unit}</span>{" "}
                {now.trend && <span aria-hidden>{ARROW[now.trend]}</span>}
              </>
            }
            sub={river.stale ? `last read ${dayOnly(now.at)}` : trendWords(now)}
            title={now.exceedance === null ? undefined : exceedanceInWords(now.exceedance)}
          />
        )}
        {clarity && <Cell className="shrink-0" main={clarity.word} sub={clarity.seen} />}
        {now && (
          <Cell className="hidden md:block" main={show(now.waterTemperature, "temperature", system).text} sub="water" />
        )}
        {!river.stale && <LightLeft river={river} />}
      </Link>
      {made && (
        <span className="hidden rounded border border-dashed border-soft px-2 py-1 text-sm text-soft sm:block">
          made-up river
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

function Cell({
  main,
  sub,
  className = "",
  title,
}: {
  main: React.ReactNode;
  sub: string;
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
  const clock = (date: Date) => new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" }).format(date);
  const left = dusk.getTime() - minute;
  if (minute < dawn.getTime())
    return <Cell className="hidden xl:block" main="Dark" sub={`first light ${clock(dawn)}`} />;
  if (left <= 0) return <Cell className="hidden xl:block" main="Dark" sub={`dusk was ${clock(dusk)}`} />;
  const minutes = Math.floor(left / 60_000);
  return (
    <Cell
      className="hidden xl:block"
      main={`${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, "0")} of light`}
      sub={`dusk ${clock(dusk)}`}
    />
  );
}

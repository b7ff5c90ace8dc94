"use client";
import { ArrowUp } from "lucide-react";
import type { Light } from "../../core/gauge/light";
import { DAY, HOUR } from "../../core/gauge/series";
import { cloudClass } from "../../core/gauge/weather";
import { PLAN_STEP } from "../../core/plan/hours";
import type { Plan, PlanWindow, RatedHour } from "../../core/plan/plan";
import type { PlanReach } from "../../core/plan/plan-reach";
import { localDate } from "../../core/quantity/local-time";
import { clockZone } from "../../words/clock-zone";
import { formatDate } from "../../words/date-format";
import { clock } from "../../words/river";
import { show, showText, unitOf, type UnitSystem } from "../../words/quantity";

interface Axis {
  from: number;
  to: number;
  /** Highest score of the whole plan. */
  most: number;
}

const percent = ({ from, to }: Axis, at: number): number =>
  Math.max(0, Math.min(100, (100 * (at - from)) / (to - from)));

const LIGHTS: Record<Light, string> = { day: "var(--paper)", twilight: "var(--ochre-soft)", night: "var(--ink)" };

/**
 * Each reach as a stalk that thickens through the hours as it gets better, its windows in brackets, light along the
 * top.
 * For the eye alone: the list of hours says the same.
 */
export function Stalks({
  plan,
  reaches,
  now,
  system,
  chosen,
}: {
  plan: Plan;
  reaches: readonly PlanReach[];
  now: number;
  system: UnitSystem;
  chosen: PlanWindow | undefined;
}) {
  const hours = plan.days.flatMap((one) => one.hours.map(({ at }) => at));
  const axis: Axis = {
    from: Math.min(...hours),
    to: Math.max(...hours) + PLAN_STEP,
    most: Math.max(...plan.days.flatMap((one) => one.hours.map(({ score }) => score)), 1e-9),
  };
  const lit = plan.days[0]?.hours ?? [];
  return (
    <div aria-hidden className="overflow-hidden">
      <div className="grid grid-cols-[5.5rem_1fr] sm:grid-cols-[9rem_1fr]">
        <span />
        <div>
          <div className="flex h-3 border border-edge">
            {lit.map(({ at, light, weather }) => (
              <span
                key={at}
                className="h-full flex-1"
                style={{
                  backgroundColor: light ? LIGHTS[light] : LIGHTS.day,
                  backgroundImage: light === "day" ? coverOf(weather?.cloud ?? null) : undefined,
                }}
              />
            ))}
          </div>
          <div className="relative h-6 text-sm text-soft tabular-nums">
            {ticksOf(axis).map((at, k) => (
              <span
                key={at}
                className={`absolute -translate-x-1/2 whitespace-nowrap ${k % 2 ? "max-sm:hidden" : ""}`}
                style={{ left: `${percent(axis, at)}%` }}
              >
                {axis.to - axis.from > 1.5 * DAY ? dayName(at) : clock(at)}
              </span>
            ))}
          </div>
        </div>
        {lit.some(({ weather }) => weather?.wind != null) && (
          <>
            <p className="pb-1 text-sm text-soft">Wind, {unitOf("wind", system)}</p>
            <Winds hours={lit} axis={axis} system={system} />
          </>
        )}
        {plan.days.map(({ reach, hours: own }) => {
          const windows = plan.windows.filter((one) => one.reach === reach);
          const first = own.find((one) => one.at >= now) ?? own[0]!;
          return (
            <div key={reach} className="contents">
              <div className="flex flex-col justify-center border-t border-line pr-2">
                <p className="font-semibold">{reaches.find((one) => one.id === reach)?.name}</p>
                <p className="text-sm text-soft">{showText(first.discharge, "discharge", system)}</p>
              </div>
              <div className="relative h-24 border-t border-line">
                <Ticks axis={axis} />
                <Stalk hours={own} axis={axis} best={chosen?.reach === reach} />
                {windows.map((one) => (
                  <Bracket key={one.from} window={one} axis={axis} best={one === chosen} />
                ))}
                {now > axis.from && now < axis.to && (
                  <span
                    className="absolute inset-y-0 border-l-2 border-dashed border-soft"
                    style={{ left: `${percent(axis, now)}%` }}
                  />
                )}
              </div>
            </div>
          );
        })}
      </div>
    </div>
  );
}

/** Cloud over the light: hatched where it is broken, closely where it is overcast. */
function coverOf(cloud: number | null): string | undefined {
  const cover = cloud === null ? "clear" : cloudClass(cloud);
  if (cover === "clear") return undefined;
  return `repeating-linear-gradient(45deg, var(--ink-soft) 0 1px, transparent 1px ${cover === "overcast" ? 3 : 7}px)`;
}

/** Wind at the ticks: how strong, and an arrow the way it blows. */
const Winds = ({ hours, axis, system }: { hours: readonly RatedHour[]; axis: Axis; system: UnitSystem }) => (
  <div className="relative h-6 text-sm text-soft tabular-nums">
    {ticksOf(axis).map((at) => {
      const weather = hours.find((one) => one.at >= at)?.weather;
      if (weather?.wind == null) return null;
      return (
        <span
          key={at}
          className="absolute flex -translate-x-1/2 items-center gap-1 whitespace-nowrap"
          style={{ left: `${percent(axis, at)}%` }}
        >
          {show(weather.wind, "wind", system).figure}
          {weather.windFrom !== null && <ArrowUp size={14} style={{ rotate: `${weather.windFrom + 180}deg` }} />}
        </span>
      );
    })}
  </div>
);

const QUARTER = HOUR / 4;
/** Does the water's clock show a full hour that `step` divides? */
const isHour = (at: number, step: number): boolean => {
  const local = localDate(at, clockZone());
  return local.getUTCMinutes() === 0 && local.getUTCHours() % step === 0;
};

/** Hours by threes on a day, midnights on more. */
function ticksOf({ from, to }: Axis): number[] {
  const step = to - from > 1.5 * DAY ? 24 : to - from > 0.6 * DAY ? 4 : 2;
  // Zones are whole quarters of an hour off.
  const ticks: number[] = [];
  for (let at = Math.ceil(from / QUARTER) * QUARTER; at <= to; at += QUARTER)
    if (isHour(at, step) && (at - from) / (to - from) < 0.96) ticks.push(at);
  return ticks.filter((at) => (at - from) / (to - from) > 0.03);
}

const dayName = (at: number): string => formatDate(at, { weekday: "short", day: "numeric" });

const Ticks = ({ axis }: { axis: Axis }) =>
  ticksOf(axis).map((at) => (
    <span key={at} className="absolute inset-y-0 border-l border-line" style={{ left: `${percent(axis, at)}%` }} />
  ));

/** Half of the height that a stalk takes at its thickest, of 100. */
const THICKEST = 26;
const THINNEST = 0.8;
const MIDDLE = 62;

function Stalk({ hours, axis, best }: { hours: readonly RatedHour[]; axis: Axis; best: boolean }) {
  const half = ({ score }: RatedHour) => THINNEST + (THICKEST * score) / axis.most;
  // The last of the half hours lasts to its end.
  const drawn = [...hours, { ...hours.at(-1)!, at: hours.at(-1)!.at + PLAN_STEP }];
  const upper = drawn.map((hour) => `${percent(axis, hour.at)},${MIDDLE - half(hour)}`);
  const lower = drawn.toReversed().map((hour) => `${percent(axis, hour.at)},${MIDDLE + half(hour)}`);
  return (
    <svg viewBox="0 0 100 100" preserveAspectRatio="none" className="absolute inset-0 h-full w-full">
      <polygon
        points={[...upper, ...lower].join(" ")}
        fill={best ? "var(--reed)" : "var(--reed-soft)"}
        stroke="var(--reed)"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

function Bracket({ window, axis, best }: { window: PlanWindow; axis: Axis; best: boolean }) {
  const [left, right] = [percent(axis, window.from), percent(axis, window.to)];
  const colour = best ? "border-ochre" : "border-ink";
  const text = `${clock(window.from)} to ${clock(window.to)}${window.prime ? " · prime" : ""}`;
  const middle = (left + right) / 2;
  const narrow = axis.to - axis.from > 1.5 * DAY;
  return (
    <>
      <span
        className={`absolute top-[34%] bottom-[10%] w-2 border-y-2 border-l-[3px] ${colour}`}
        style={{ left: `${left}%` }}
      />
      <span
        className={`absolute top-[34%] bottom-[10%] -ml-2 w-2 border-y-2 border-r-[3px] ${colour}`}
        style={{ left: `${right}%` }}
      />
      {(!narrow || best) && (
        <span
          className={`absolute top-1 text-sm whitespace-nowrap tabular-nums ${best ? "font-semibold text-ochre" : "text-soft"}`}
          style={
            middle > 70
              ? { right: `${100 - right}%` }
              : middle < 30
                ? { left: `${left}%` }
                : { left: `${middle}%`, translate: "-50%" }
          }
        >
          {text}
        </span>
      )}
    </>
  );
}

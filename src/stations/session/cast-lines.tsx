"use client";
import { useMemo } from "react";
import type { Field } from "../../core/flow/grid";
import type { Feature } from "../../core/flow/reach-schema";
import { LINE_WORDS, ZONE_WORDS } from "../../words/session";
import { count } from "../../words/text";
import { type CastTarget, nextTarget, type CastLine } from "./cast-plan";
import { frontOf, OnWater, type Point, WaterFront, You } from "./water-front";

const HEIGHT = 230;

/**
 * Casts as places on lines laid across the water in front of you; the next one in ochre. A place is pressed to count
 * it.
 */
export function CastLines({
  field,
  features,
  stand,
  lie,
  lines,
  onCast,
}: {
  field: Field;
  features: readonly Feature[];
  stand: Point;
  lie: Point;
  lines: readonly CastLine[];
  onCast: (line: CastLine, place: CastTarget) => void;
}) {
  const places = lines.flatMap(({ places }) => places.map(({ x, y }) => `${x},${y}`)).join(" ");
  const front = useMemo(
    () =>
      frontOf(
        stand,
        lie,
        places
          .split(" ")
          .filter(Boolean)
          .map((one): Point => {
            const [x, y] = one.split(",").map(Number);
            return [x!, y!];
          }),
        HEIGHT,
      ),
    [stand, lie, places],
  );
  const next = nextTarget(lines);
  const made = lines.flatMap(({ places }) => places).reduce((sum, { done }) => sum + done, 0);
  return (
    <div className="relative -mx-4 sm:mx-0">
      <WaterFront
        field={field}
        features={features}
        front={front}
        label={`The water in front of you: ${lines.map(({ name, places }) => `${LINE_WORDS[name]}, ${count(places.length, "place")}`).join("; ")}. ${count(made, "cast")} made.`}
      >
        <You at={front.at(stand)} />
        {lines.map(({ line, name, places }) => {
          const points = places.map((one) => front.at([one.x, one.y]));
          const low = points.reduce((best, one) => (one[1] > best[1] ? one : best), points[0]!);
          return (
            <g key={line}>
              <polyline
                points={points.map((one) => one.map((value) => value.toFixed(1)).join()).join(" ")}
                fill="none"
                stroke="var(--paper)"
                strokeWidth={2}
              />
              <OnWater x={Math.min(front.width - 70, Math.max(70, low[0]))} y={Math.min(front.height - 8, low[1] + 28)}>
                {LINE_WORDS[name]}
              </OnWater>
            </g>
          );
        })}
      </WaterFront>
      {lines.flatMap((line) =>
        line.places.map((place) => {
          const [x, y] = front.at([place.x, place.y]);
          const isNext = next?.place === place;
          return (
            <button
              key={`${line.line}${place.zone}`}
              type="button"
              aria-label={`Cast to ${LINE_WORDS[line.name]}, ${ZONE_WORDS[place.zone]}: ${place.done} of ${place.planned} made${isNext ? ", the next" : ""}`}
              onClick={() => onCast(line, place)}
              style={{ left: `${(100 * x) / front.width}%`, top: `${(100 * y) / front.height}%` }}
              className="absolute grid size-12 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full"
            >
              <span
                aria-hidden
                className={`grid place-items-center rounded-full border-[3px] text-sm font-bold tabular-nums ${
                  isNext
                    ? "size-8 border-ochre bg-paper text-ochre"
                    : place.done > 0
                      ? "size-5 border-ink bg-ink text-paper"
                      : "size-5 border-ink bg-paper"
                }`}
              >
                {isNext ? made + 1 : ""}
              </span>
            </button>
          );
        }),
      )}
    </div>
  );
}

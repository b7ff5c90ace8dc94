"use client";
import { useMemo } from "react";
import type { Field } from "../../core/flow/grid";
import type { Feature } from "../../core/flow/reach-schema";
import { LINE_WORDS, ZONE_WORDS } from "../../words/session";
import { count } from "../../words/text";
import { type Knot, nextKnot, type Thread } from "./cast-plan";
import { frontOf, OnWater, type Point, WaterFront, You } from "./water-front";

const HEIGHT = 230;

/**
 * Casts as knots on threads laid across the water in front of you; the next one in ochre. A knot is pressed to count
 * it.
 */
export function Threads({
  field,
  features,
  stand,
  lie,
  threads,
  onCast,
}: {
  field: Field;
  features: readonly Feature[];
  stand: Point;
  lie: Point;
  threads: readonly Thread[];
  onCast: (thread: Thread, knot: Knot) => void;
}) {
  const places = threads.flatMap(({ knots }) => knots.map(({ x, y }) => `${x},${y}`)).join(" ");
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
  const next = nextKnot(threads);
  const made = threads.flatMap(({ knots }) => knots).reduce((sum, { done }) => sum + done, 0);
  return (
    <div className="relative -mx-4 sm:mx-0">
      <WaterFront
        field={field}
        features={features}
        front={front}
        label={`The water in front of you: ${threads.map(({ name, knots }) => `${LINE_WORDS[name]}, ${count(knots.length, "place")}`).join("; ")}. ${count(made, "cast")} made.`}
      >
        <You at={front.at(stand)} />
        {threads.map(({ line, name, knots }) => {
          const points = knots.map((one) => front.at([one.x, one.y]));
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
      {threads.flatMap((thread) =>
        thread.knots.map((knot) => {
          const [x, y] = front.at([knot.x, knot.y]);
          const isNext = next?.knot === knot;
          return (
            <button
              key={`${thread.line}${knot.zone}`}
              type="button"
              aria-label={`Cast to ${LINE_WORDS[thread.name]}, ${ZONE_WORDS[knot.zone]}: ${knot.done} of ${knot.planned} made${isNext ? ", the next" : ""}`}
              onClick={() => onCast(thread, knot)}
              style={{ left: `${(100 * x) / front.width}%`, top: `${(100 * y) / front.height}%` }}
              className="absolute grid size-12 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full"
            >
              <span
                aria-hidden
                className={`grid place-items-center rounded-full border-[3px] text-sm font-bold tabular-nums ${
                  isNext
                    ? "size-8 border-ochre bg-paper text-ochre"
                    : knot.done > 0
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

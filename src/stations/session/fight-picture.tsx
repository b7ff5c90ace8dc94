"use client";
import { useMemo } from "react";
import type { LandingPlace } from "../../core/approach/fish-on";
import type { Field } from "../../core/flow/grid";
import type { Feature } from "../../core/flow/reach-schema";
import { frontOf, OnWater, type Point, WaterFront, You } from "./water-front";

/** Where you stand, where the fish is, and the way that it is led. */
export function FightPicture({
  field,
  features,
  stand,
  fish,
  landing,
}: {
  field: Field;
  features: readonly Feature[];
  stand: Point;
  fish: Point;
  landing: LandingPlace | null;
}) {
  const front = useMemo(
    () => frontOf(stand, fish, landing ? [[landing.x, landing.y]] : [], 150),
    [stand, fish, landing],
  );
  const [fx, fy] = front.at(fish);
  // Where one stands is no other place.
  const to = landing && landing.walk >= 1.5 && front.at([landing.x, landing.y]);
  // Led round towards the landing place, first off the current's pull.
  const bend = to && [(fx + to[0]) / 2 + (fy - to[1]) * 0.15, (fy + to[1]) / 2 + (to[0] - fx) * 0.15];
  return (
    <div className="-mx-4 mt-3 sm:mx-0">
      <WaterFront
        field={field}
        features={features}
        front={front}
        label={landing ? "From above: you, the fish and the way to land it." : "From above: you and the fish."}
      >
        {to && bend && (
          <>
            <path
              d={`M${fx} ${fy}Q${bend[0]} ${bend[1]} ${to[0]} ${to[1]}`}
              fill="none"
              stroke="var(--ochre)"
              strokeWidth={4}
              strokeDasharray="2 7"
              strokeLinecap="round"
            />
            <circle cx={to[0]} cy={to[1]} r={8} fill="none" stroke="var(--ochre)" strokeWidth={4} />
            <OnWater
              x={to[0]}
              y={to[1] + (to[1] > front.height - 30 ? -16 : 26)}
              anchor={to[0] > 300 ? "end" : to[0] < 60 ? "start" : "middle"}
            >
              land it here
            </OnWater>
          </>
        )}
        <path
          d={`M${fx - 16} ${fy}q12 -10 24 0l8 -7v14l-8 -7q-12 10 -24 0z`}
          fill="var(--ochre)"
          stroke="var(--paper)"
          strokeWidth={2}
          paintOrder="stroke"
        />
        <You at={front.at(stand)} />
      </WaterFront>
    </div>
  );
}

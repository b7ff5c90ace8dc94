"use client";
import { useLiveAnswer } from "../../state/live-answer";
import Link from "next/link";
import { useState } from "react";
import { isStale, rodsAllowed, rulesFor } from "../../core/book/rules-for";
import type { Lie } from "../../core/fish/read";
import type { Numbered } from "../../scenario/lie-identity";
import { act, perform } from "../../state/act";
import { clockNow } from "../../state/clock";
import type { Rigging } from "../../state/scenario/use-rigging";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { useSkyNow } from "../../state/use-weather";
import { database } from "../../store/database";
import { startSession } from "../../store/sessions";
import { NO_SPOT } from "../../store/effort-intervals";
import { Button } from "../../widgets/button";
import { TextField } from "../../widgets/field";
import { Select } from "../../widgets/select";
import { setWords, wayName } from "../../words/methods";
import { placeWords } from "../../words/place";
import { showText } from "../../words/quantity";
import { rulePartsWords } from "../../words/rules";
import { CLOUD_CHOICES, skyOfChoices, UNSAID, WIND_CHOICES } from "../../words/sky";
import { count, inSentence } from "../../words/text";
import { spotOf, tackleOf } from "./fished-by";

const RODS = [1, 2, 3, 4, 5, 6].map((n) => ({ value: String(n), label: count(n, "rod") }));

/** Before a session: where it begins, with what, and who comes along. Nobody is sent to water that is to be left. */
export function Starting({
  view,
  lie,
  rigging,
}: {
  view: ScenarioView;
  lie: Numbered<Lie> | undefined;
  rigging: Rigging | undefined;
}) {
  const { species, system, set } = useSettings();
  const [rods, setRods] = useState("1");
  const [others, setOthers] = useState("");
  const { river, reading, safety } = view;
  const reach = river.reach!;
  const way = rigging?.way;
  const sky = useSky(river);
  const state =
    river.now && !river.stale
      ? `${showText(river.now.discharge, "discharge", system)}${river.now.trend ? `, ${river.now.trend}` : ""}`
      : "the flow is not known";
  const start = () => {
    const spot = {
      ...NO_SPOT,
      ...(lie && spotOf(lie, reading.value?.lies ?? [lie])),
      ...(lie && rigging?.advice && tackleOf(rigging.advice, lie, system, rigging.way)),
      angler: "",
    };
    const partners = others
      .split(",")
      .map((one) => one.trim())
      .filter(Boolean);
    const spots = Array.from({ length: Number(rods) }, (_, k) => ({
      ...(k === 0 ? spot : { ...NO_SPOT, lie: spot.lie, place: spot.place, angler: "" }),
      rod: k + 1,
    }));
    act(() =>
      perform(() =>
        startSession(database(), reach.id, species, clockNow(), {
          partners,
          spots,
          sky: skyOfChoices(sky.cloud, sky.wind),
        }),
      ),
    );
  };
  if (safety.leave)
    return (
      <section aria-label="Session">
        <h1 className="text-2xl">Not now</h1>
        <p className="mt-1 text-soft">
          You can’t start a session while you should leave the water. Log a past session on{" "}
          <Link href="/log" className="underline">
            Log
          </Link>
          .
        </p>
      </section>
    );
  return (
    <section aria-label="Session" className="mx-auto max-w-xl">
      <h1 className="text-2xl">No session running</h1>
      <p className="mt-1 mb-4 text-soft">
        {reach.reach.name}: {state}. Check local rules and your way out before wading.
      </p>
      {reading.value && reading.value.lies.length > 0 && lie ? (
        <>
          <Select
            label="Start at"
            value={String(lie.number)}
            onChange={(number) => {
              const one = reading.value!.lies.find((other) => String(other.number) === number);
              if (one) set({ lie: { x: one.x, y: one.y } });
            }}
            choices={reading.value.lies.map((one) => ({
              value: String(one.number),
              label: `${one.number}. ${placeWords(one.place)}`,
            }))}
          />
          <p className="mt-2 min-h-6" role="status">
            {way ? (
              <>
                {wayName(way)}: {inSentence(setWords(way, system))}.{" "}
                <Link href="/rig" className="underline">
                  Full rig card
                </Link>
              </>
            ) : rigging?.ways.pending || rigging?.approach.pending ? (
              "Working out the rig …"
            ) : (
              ""
            )}
          </p>
        </>
      ) : (
        <p role="status" className="text-soft">
          {reading.value
            ? "No lie at this flow. You can still start."
            : reading.fault || view.field.fault
              ? "Lies couldn’t be worked out. You can still start."
              : "Working out the lies. You can already start."}
        </p>
      )}
      <div className="mt-3 grid grid-cols-2 gap-3">
        <Select label="Number of rods" value={rods} onChange={setRods} choices={RODS} />
        <TextField
          label="Partners’ names"
          value={others}
          maxLength={200}
          onChange={(event) => setOthers(event.target.value)}
        />
        <Select label="Sky" value={sky.cloud} onChange={sky.setCloud} choices={CLOUD_CHOICES} />
        <Select label="Wind" value={sky.wind} onChange={sky.setWind} choices={WIND_CHOICES} />
      </div>
      {sky.forecast && (
        <p className="mt-1 text-sm text-soft">Sky and wind from the forecast. Correct them if you see otherwise.</p>
      )}
      <Reminders reach={reach.id} species={species} rods={Number(rods)} now={river.minute} />
      <Button tone="next" className="mt-4 min-h-16 w-full text-xl" onClick={start}>
        Start a session
      </Button>
    </section>
  );
}

/** Sky and wind of a session that begins: as forecast, until the angler says what is seen. */
function useSky(river: ScenarioView["river"]) {
  const [cloud, setCloud] = useState<string | undefined>();
  const [wind, setWind] = useState<string | undefined>();
  const now = useSkyNow(river);
  return {
    cloud: cloud ?? now?.cloud ?? UNSAID,
    wind: wind ?? now?.wind ?? UNSAID,
    /** Some of it is the forecast's. */
    forecast: (cloud === undefined && now?.cloud != null) || (wind === undefined && now?.wind != null),
    setCloud,
    setWind,
  };
}

/** The rules that are entered for this water, before a line is wet. */
function Reminders({ reach, species, rods, now }: { reach: string; species: string; rods: number; now: number }) {
  const system = useSettings((settings) => settings.system);
  const own = useLiveAnswer(
    async () => rulesFor(await database().rules.toArray(), { reach, bank: "both", species }),
    [reach, species],
  );
  if (!own || own.length === 0) return null;
  const most = rodsAllowed(own, { reach, species });
  return (
    <section aria-label="Local rules" className="mt-3 text-soft">
      <p>Your rules here: {own.flatMap((one) => rulePartsWords(one, system)).join("; ")}. Local rules come first.</p>
      {rods > most && <p className="font-semibold text-ink">▲ {count(most, "rod")} at most by your rules here.</p>}
      {own.some((one) => isStale(one, now)) && (
        <p className="font-semibold text-ink">▲ These rules are old. Check them again.</p>
      )}
    </section>
  );
}

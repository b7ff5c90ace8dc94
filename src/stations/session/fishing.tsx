"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { useRouter, useSearchParams } from "next/navigation";
import { returnsOf, spotSoFar, visitOf } from "../../core/book/spot-so-far";
import type { EffortInterval } from "../../core/book/bank-records";
import { clockNow } from "../../state/clock";
import { act } from "../../state/act";
import { type Bank, buzz } from "../../state/use-bank";
import type { Rigging } from "../../state/scenario/use-rigging";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { goOn, hookFish, observe } from "../../store/bank";
import { database } from "../../store/database";
import { countCast } from "../../store/effort-intervals";
import { Button } from "../../widgets/button";
import { LINE_WORDS, pauseWords, ZONE_WORDS } from "../../words/session";
import { clock, spanWords } from "../../words/river";
import { nextTarget, type CastTarget, type CastLine, castLinesOf } from "./cast-plan";
import { standOf } from "./fish-on";
import { ActionsMenu } from "./actions-menu";
import { NextPanel } from "./next-panel";
import { LastAction } from "./last-action";
import { tackleLine } from "./tackle-line";
import { CastLines } from "./cast-lines";
import type { BankActions } from "./use-bank-action";
import { useKey } from "./use-key";

/** What runs off the end of the water's width is no plan: without one, casts are counted on one line. */
const PLAIN: CastLine[] = [{ line: 1, name: "lie", places: [{ x: 0, y: 0, zone: "middle", planned: 1, done: 0 }] }];

/** What the thumb presses stays in its reach, over the stations of a phone. */
const PAD =
  "sticky bottom-[calc(3.75rem+env(safe-area-inset-bottom))] z-10 mt-2 bg-paper py-2 rail:bottom-0 low:static lg:static";

/** Held sideways and on a desk: what is to be seen on the left, what is pressed on the right, always on the screen. */
const SIDES = [
  "low:grid low:max-w-none low:grid-cols-[minmax(0,1fr)_18rem] low:items-start low:gap-x-6",
  "lg:grid lg:max-w-4xl lg:grid-cols-[minmax(0,1fr)_18rem] lg:items-start lg:gap-x-6",
].join(" ");
const PRESSED = [
  "contents low:sticky low:top-0 low:col-start-2 low:row-start-1 low:block",
  "lg:sticky lg:top-14 lg:col-start-2 lg:row-start-1 lg:block",
].join(" ");

/** The hours themselves: where, how long, the casts, what came, and what to do next. */
export function Fishing({
  bank,
  view,
  rigging,
  actions,
}: {
  bank: Bank;
  view: ScenarioView;
  rigging: Rigging;
  actions: BankActions;
}) {
  const [chosen, setChosen] = useState<number | undefined>();
  const { session, open, stretches, observations, catches } = bank;
  const rod = open.find((one) => one.rod === chosen) ?? open.find((one) => !one.fixed) ?? open[0];
  const number = rod?.rod ?? stretches.at(-1)?.rod ?? 1;
  const visit = useMemo(() => visitOf(stretches, number), [stretches, number]);
  const stand = standOf(rigging);
  const targets = rigging.way?.casts ?? stand?.casts;
  const lines = useMemo(() => castLinesOf(targets ?? [], visit), [targets, visit]);
  const soFar = spotSoFar(stretches, observations, catches, number, Math.max(view.river.minute, clockNow()));
  const cast = (line: CastLine, place: CastTarget) => {
    if (!rod) return;
    actions.run(
      `cast ${soFar.casts + 1}, ${line === PLAIN[0] ? "counted" : `${LINE_WORDS[line.name]}, ${ZONE_WORDS[place.zone]}`}`,
      () => countCast(database(), rod.id, line.line, place.zone),
    );
  };
  const onHook = () => {
    buzz([40, 30, 40]);
    act(() => hookFish(database(), session, number, clockNow()));
  };
  useAskedFish(onHook);
  const note = (kind: "bite" | "follow") =>
    actions.run(kind === "bite" ? "bite, missed" : "follow", (at) =>
      observe(
        database(),
        session,
        kind,
        {
          stretch: rod?.id ?? null,
          lie: rod?.lie ?? "",
          place: rod?.place ?? null,
          angler: rod?.angler ?? "",
          count: soFar.casts,
        },
        at,
      ),
    );
  useKey("b", () => note("bite"));
  const field = view.field.shown?.field;
  const lie = view.lie;
  return (
    <section aria-label="Session" className={`mx-auto max-w-xl pb-4 ${SIDES}`}>
      <div>
        <Head bank={bank} view={view} rod={rod} onRod={setChosen} />
        {session.paused ? (
          <Standing bank={bank} actions={actions} minute={view.river.minute} />
        ) : (
          <>
            {field && stand && lie && lines.length > 0 ? (
              <CastLines
                field={field}
                features={view.request.features ?? []}
                stand={[stand.x, stand.y]}
                lie={[lie.x, lie.y]}
                lines={lines}
                onCast={cast}
              />
            ) : (
              <p role="status" className="my-2 min-h-10 text-soft">
                {noPlan(view, rigging)}
              </p>
            )}
            <NextPanel
              bank={bank}
              view={view}
              rigging={rigging}
              rod={rod}
              soFar={soFar}
              next={nextTarget(lines)}
              actions={actions}
            />
          </>
        )}
      </div>
      <div className={PRESSED}>
        <div className={PAD}>
          <div className="grid grid-cols-3 gap-2.5">
            <Button className="min-h-14 border-2 border-ink px-1! text-lg" disabled={!rod} onClick={() => note("bite")}>
              Bite
            </Button>
            <Button
              className="min-h-14 border-2 border-ink px-1! text-lg"
              disabled={!rod}
              onClick={() => note("follow")}
            >
              Follow
            </Button>
            <ActionsMenu bank={bank} view={view} rod={rod} number={number} actions={actions} casts={soFar.casts} />
          </div>
          <div className="mt-2.5 grid grid-cols-2 gap-2.5">
            <Button
              className="min-h-18 border-2 border-ink text-xl"
              disabled={!rod || session.paused !== undefined}
              onClick={() => {
                const next = nextTarget(lines) ?? nextTarget(PLAIN)!;
                cast(lines.length > 0 ? next.line : PLAIN[0]!, next.place);
              }}
            >
              Cast
            </Button>
            <Button tone="next" className="min-h-18 text-xl" onClick={onHook}>
              Fish on
            </Button>
          </div>
        </div>
        <LastAction actions={actions} />
      </div>
      <Returns bank={bank} minute={view.river.minute} />
    </section>
  );
}

/** A fish that was asked for from another station, by key or link: on at once. */
function useAskedFish(onHook: () => void): void {
  const asked = useSearchParams().get("fish") === "1";
  const router = useRouter();
  const done = useRef(false);
  useEffect(() => {
    if (!asked || done.current) return;
    done.current = true;
    router.replace("/session");
    onHook();
  }, [asked, router, onHook]);
}

function noPlan(view: ScenarioView, { approach, way }: Rigging): string {
  if (!view.lie)
    return view.reading.pending || view.field.progress
      ? "Working out the flow …"
      : "No cast plan for this spot. Casts are still counted.";
  if (approach.value?.left) return "▲ Leave the water now. No casts are shown.";
  return approach.value && !way
    ? "No clear line to this lie from any standing place. Casts are still counted."
    : "Working out the casts …";
}

function Head({
  bank,
  view,
  rod,
  onRod,
}: {
  bank: Bank;
  view: ScenarioView;
  rod: EffortInterval | undefined;
  onRod: (rod: number) => void;
}) {
  const { session, open, catches } = bank;
  const name = view.river.reaches.find((one) => one.id === session.reach)?.reach.name ?? "a deleted reach";
  const landed = catches.filter((one) => one.lost === undefined).length;
  return (
    <div className="mb-2">
      <h1 className="text-2xl leading-tight">{rod?.lie || (session.paused ? "Timer paused" : name)}</h1>
      <p className="text-soft">{[rod && tackleLine(rod), rod?.lie ? name : null].filter(Boolean).join(" · ")}</p>
      <p className="flex flex-wrap gap-x-4 text-soft tabular-nums">
        <Figure value={spanWords(view.river.minute - Date.parse(session.start))} name="since you came" />
        <Figure value={String(landed)} name={landed === 1 ? "fish" : "fish"} />
        <Rise bank={bank} view={view} />
      </p>
      {open.length > 1 && (
        <div role="group" aria-label="Rods" className="mt-1 flex flex-wrap gap-2">
          {open.map((one) => (
            <button
              key={one.rod}
              type="button"
              aria-pressed={one.rod === rod?.rod}
              onClick={() => onRod(one.rod)}
              className="min-h-12 rounded-md border border-edge px-3 aria-pressed:border-2 aria-pressed:border-ink aria-pressed:font-semibold"
            >
              Rod {one.rod}
              {one.angler ? `, ${one.angler}` : ""}
              {one.fixed ? ", laid" : ""}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

/** From where on the river has become another since the session began. */
const RISEN = 1.05;

/** What the river has done since you came. */
function Rise({ bank, view }: { bank: Bank; view: ScenarioView }) {
  const here = view.river.reach?.id === bank.session.reach && !view.river.stale;
  const [before, now] = [bank.session.river?.discharge, here ? view.river.now?.discharge : null];
  if (!before || !now) return null;
  const ratio = now / before;
  if (ratio < RISEN && ratio > 1 / RISEN) return null;
  const percent = Math.round(Math.abs(ratio - 1) * 100);
  return ratio > 1 ? (
    <span className="font-semibold text-ink">
      <span aria-hidden>▲ </span>
      the river is {percent} % up since you came. Watch your way out
    </span>
  ) : (
    <Figure value={`${percent} %`} name="down since you came" />
  );
}

/** The clock stands. */
function Standing({ bank, actions, minute }: { bank: Bank; actions: BankActions; minute: number }) {
  const { paused } = bank.session;
  return (
    <div className="my-3 rounded-lg border-2 border-ink p-4">
      <p className="text-lg">
        Timer paused for {spanWords(minute - Date.parse(paused!.at))}: {pauseWords(paused!.why)}.
      </p>
      <Button
        tone="next"
        className="mt-3 min-h-16 w-full text-xl"
        onClick={() => actions.run("timer resumed", (at) => goOn(database(), bank.session, at))}
      >
        Resume fishing
      </Button>
    </div>
  );
}

/** Spots to come back to, and when. */
function Returns({ bank, minute }: { bank: Bank; minute: number }) {
  const returns = returnsOf(bank.observations, bank.stretches);
  if (returns.length === 0) return null;
  return (
    <ul aria-label="Come back to" className="mb-2 text-center">
      {returns.map((one) => {
        const due = Date.parse(one.until!) <= minute;
        return (
          <li key={one.id} className={due ? "font-semibold" : "text-soft"}>
            {one.lie}, {one.kind === "rest" ? "rested" : "fed"}:{" "}
            {due ? "ready to fish again" : `back at ${clock(Date.parse(one.until!))}`}
          </li>
        );
      })}
    </ul>
  );
}

const Figure = ({ value, name }: { value: string; name: string }) => (
  <span>
    <span className="font-semibold text-ink">{value}</span> {name}
  </span>
);

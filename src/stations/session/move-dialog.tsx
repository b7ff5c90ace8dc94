"use client";
import { useState } from "react";
import type { EffortInterval } from "../../core/book/bank-records";
import { returnsOf, sameSpot } from "../../core/book/spot-so-far";
import type { Lie } from "../../core/fish/read";
import { MINUTE } from "../../core/gauge/series";
import type { Numbered } from "../../scenario/lie-identity";
import { act, perform } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import type { Bank } from "../../state/use-bank";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { moveOn } from "../../store/bank";
import { database } from "../../store/database";
import { endSession } from "../../store/sessions";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { TextField } from "../../widgets/field";
import { placeWords } from "../../words/place";
import { showText } from "../../words/quantity";
import { clock } from "../../words/river";
import { spotOf } from "./fished-by";
import type { BankActions } from "./use-bank-action";

/** A spot that was fed is taken up again after half an hour. Common practice, no source. */
const PRIMED = 30;

interface Props {
  bank: Bank;
  view: ScenarioView;
  rod: EffortInterval | undefined;
  actions: BankActions;
  /** Until when the spot is rested, where it is. */
  rest?: ((now: number) => string) | undefined;
}

export function MoveDialogButton({ name = "Where to", ...props }: Props & { name?: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button tone="ink" className="min-h-12" onClick={() => setOpen(true)}>
        {name}
      </Button>
      {open && <MoveDialog {...props} onClose={() => setOpen(false)} />}
    </>
  );
}

/** On to the next lie, another reach, or home; the spot that is left can be rested or fed meanwhile. */
export function MoveDialog({ bank, view, rod, actions, rest, onClose }: Props & { onClose: () => void }) {
  const { set } = useSettings();
  const [name, setName] = useState("");
  const { session, open, stretches, observations } = bank;
  const lies = session.reach === view.river.reach?.id ? (view.reading.value?.lies ?? []) : [];
  const returns = returnsOf(observations, stretches);
  const rods = open.filter((one) => !one.fixed).map((one) => one.rod);
  const go = (spot: Pick<EffortInterval, "lie" | "place" | "read">, told: string, primed = false) => {
    onClose();
    actions.run(told, (at) => {
      const left =
        rod?.lie && (rest || primed)
          ? primed
            ? ({
                kind: "primed",
                lie: rod.lie,
                place: rod.place,
                until: new Date(at + PRIMED * MINUTE).toISOString(),
              } as const)
            : ({ kind: "rest", lie: rod.lie, place: rod.place, until: rest!(at) } as const)
          : undefined;
      return moveOn(database(), session, rods.length > 0 ? rods : [rod?.rod ?? 1], spot, left, at);
    });
  };
  const toLie = (lie: Numbered<Lie>) => {
    set({ lie: { x: lie.x, y: lie.y } });
    const spot = spotOf(lie, lies);
    go(spot, `moved to ${spot.lie.toLowerCase()}`);
  };
  return (
    <Dialog
      open
      onOpenChange={(to) => !to && onClose()}
      title="Move to"
      about="The timer for the next spot starts when you choose it."
    >
      <ul className="grid gap-2">
        {lies.map((lie) => {
          const spot = spotOf(lie, lies);
          const back = returns.find((one) => sameSpot(one, spot));
          const here = rod !== undefined && sameSpot(rod, spot);
          return (
            <li key={lie.number}>
              <Button disabled={here} className="min-h-14 w-full justify-between! text-left" onClick={() => toLie(lie)}>
                <span>
                  {lie.number}. {placeWords(lie.place)}
                </span>
                <span className="shrink-0 text-sm font-normal whitespace-nowrap text-soft">
                  {here ? (
                    "here"
                  ) : back ? (
                    `${back.kind === "rest" ? "resting" : "fed"}: ${clock(Date.parse(back.until!))}`
                  ) : (
                    <Fished spot={spot} stretches={stretches} depth={lie.depth} />
                  )}
                </span>
              </Button>
            </li>
          );
        })}
      </ul>
      <form
        className="mt-4 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim()) go({ lie: name.trim(), place: null, read: undefined }, `moved to ${name.trim()}`);
        }}
      >
        <TextField
          label="Your own spot"
          className="flex-1"
          maxLength={120}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit">Move there</Button>
      </form>
      {rod?.lie && lies.length > 1 && (
        <Button
          className="mt-4 min-h-12"
          onClick={() => {
            const other = lies.find((one) => !sameSpot(rod, spotOf(one, lies)));
            if (!other) return;
            set({ lie: { x: other.x, y: other.y } });
            go(spotOf(other, lies), `${rod.lie.toLowerCase()} baited`, true);
          }}
        >
          Bait this spot, fish the next, return in half an hour
        </Button>
      )}
      <h3 className="mt-4 mb-2">Another reach</h3>
      <div className="flex flex-wrap gap-2">
        {view.river.reaches
          .filter((one) => one.id !== session.reach)
          .map((one) => (
            <Button
              key={one.id}
              onClick={() => {
                onClose();
                set({ reach: one.id, flow: null, lie: null });
                act(() =>
                  perform(
                    () => endSession(database(), session, clockNow()),
                    "This session ends. Start the next one here.",
                  ),
                );
              }}
            >
              {one.reach.name}
            </Button>
          ))}
      </div>
    </Dialog>
  );
}

/** What it has had already today, or how deep it is. */
function Fished({
  spot,
  stretches,
  depth,
}: {
  spot: Pick<EffortInterval, "lie" | "place">;
  stretches: readonly EffortInterval[];
  depth: number;
}) {
  const system = useSettings((settings) => settings.system);
  const last = stretches.findLast((one) => sameSpot(one, spot));
  return last?.end ? `fished until ${clock(Date.parse(last.end))}` : `${showText(depth, "depth", system)} deep`;
}

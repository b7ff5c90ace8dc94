"use client";
import { useState } from "react";
import type { EffortInterval } from "../../core/book/bank-records";
import { act, perform } from "../../state/act";
import { clockNow } from "../../state/clock";
import type { Bank } from "../../state/use-bank";
import { gaugedFlow } from "../../state/use-river";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { pauseSession } from "../../store/bank";
import { database } from "../../store/database";
import { endSession } from "../../store/sessions";
import { learnedFrom } from "../../core/rig/learned";
import type { Method } from "../../core/tactics/methods";
import { isWeighted } from "../../core/tactics/methods";
import { say } from "../../state/notices";
import { useLearned } from "../../state/use-chosen";
import { Button } from "../../widgets/button";
import { methodName } from "../../words/methods";
import { Dialog } from "../../widgets/dialog";
import { PAUSES } from "../../words/session";
import { later } from "../../widgets/later";
import { MoveDialog } from "./move-dialog";
import { NoteDialog } from "./note-dialog";
import { RodsDialog } from "./rods-dialog";
import { SounderDialog } from "./sounder-dialog";
import type { BankActions } from "./use-bank-action";

const ClarityDialog = later(() => import("../water/clarity-dialog").then((one) => one.ClarityDialog));
const LevelDialog = later(() => import("../water/level-dialog").then((one) => one.LevelDialog));
const TemperatureDialog = later(() => import("../water/temperature-dialog").then((one) => one.TemperatureDialog));

type Shown = "more" | "move" | "note" | "rods" | "sounder" | "temperature" | "clarity" | "level" | undefined;

/** The weight never touches, or drags: the next weight of this rig is chosen so, and it can be taken back. */
function BottomSays({ method, onSaid }: { method: Method; onSaid: () => void }) {
  const { learned, learn } = useLearned(method);
  const said = (what: "never-touches" | "drags", text: string) => () => {
    const before = learned;
    learn((now) => learnedFrom(now, what));
    onSaid();
    say(text, { label: "Undo", run: () => learn(() => before) });
  };
  return (
    <>
      <h3 className="mt-4 mb-2">{methodName(method)}: what the bottom says</h3>
      <div className="grid grid-cols-2 gap-2.5">
        <Button className="min-h-14" onClick={said("never-touches", "Noted. The line’s pull is set higher.")}>
          It never touches
        </Button>
        <Button className="min-h-14" onClick={said("drags", "Noted. The line’s pull is set lower.")}>
          It drags
        </Button>
      </div>
    </>
  );
}

/** What is not needed at every cast: going on, notes, pauses, rods and partners, the end. */
export function ActionsMenu({
  bank,
  view,
  rod,
  number,
  actions,
  casts,
}: {
  bank: Bank;
  view: ScenarioView;
  rod: EffortInterval | undefined;
  number: number;
  actions: BankActions;
  casts: number;
}) {
  const [shown, setShown] = useState<Shown>();
  const close = () => setShown(undefined);
  const { session, catches } = bank;
  const landed = catches.some((one) => one.lost === undefined);
  return (
    <>
      <Button className="min-h-14 border-2 border-ink text-lg" onClick={() => setShown("more")}>
        Actions
      </Button>
      {shown === "more" && (
        <Dialog open onOpenChange={(to) => !to && close()} title="Actions">
          <div className="grid grid-cols-2 gap-2.5">
            <Button className="min-h-14" onClick={() => setShown("move")}>
              Move on
            </Button>
            <Button className="min-h-14" onClick={() => setShown("note")}>
              Add a note
            </Button>
            <Button className="min-h-14" onClick={() => setShown("rods")}>
              Rods and partners
            </Button>
            <Button className="min-h-14" onClick={() => setShown("sounder")}>
              Sounder
            </Button>
            <Button className="min-h-14" onClick={() => setShown("temperature")}>
              Water temperature
            </Button>
            <Button className="min-h-14" onClick={() => setShown("clarity")}>
              How deep can you see?
            </Button>
            <Button className="min-h-14" onClick={() => setShown("level")}>
              Level on a mark
            </Button>
            <Button
              className="min-h-14"
              onClick={() => {
                close();
                act(() =>
                  perform(
                    () => endSession(database(), session, clockNow()),
                    landed ? "Session ended." : "Session ended. Saved as a blank; it counts.",
                  ),
                );
              }}
            >
              End the session
            </Button>
          </div>
          {rod?.method && isWeighted(rod.method) && <BottomSays method={rod.method} onSaid={close} />}
          {!session.paused && (
            <>
              <h3 className="mt-4 mb-2">Pause the timer</h3>
              <div className="grid grid-cols-2 gap-2.5">
                {PAUSES.map(({ value, label }) => (
                  <Button
                    key={value}
                    className="min-h-14"
                    onClick={() => {
                      close();
                      actions.run("timer paused", (at) => pauseSession(database(), session, value, at));
                    }}
                  >
                    {label}
                  </Button>
                ))}
              </div>
            </>
          )}
        </Dialog>
      )}
      {shown === "move" && <MoveDialog bank={bank} view={view} rod={rod} actions={actions} onClose={close} />}
      {shown === "note" && <NoteDialog bank={bank} rod={rod} casts={casts} onClose={close} />}
      {shown === "sounder" && (
        <SounderDialog bank={bank} waterTemperature={view.conditions.temperature} onClose={close} />
      )}
      {shown === "temperature" && <TemperatureDialog station={null} reach={session.reach} onClose={close} />}
      {shown === "level" && (
        <LevelDialog station={null} reach={session.reach} flow={gaugedFlow(view.river)} onClose={close} />
      )}
      {shown === "clarity" && <ClarityDialog station={null} reach={session.reach} onClose={close} />}
      {shown === "rods" && <RodsDialog bank={bank} number={number} actions={actions} onClose={close} />}
    </>
  );
}

"use client";
import Link from "next/link";
import { useRouter, useSearchParams } from "next/navigation";
import { useState } from "react";
import { rodHours } from "../../core/book/effort";
import type { Catch, Session } from "../../core/book/records";
import { clarityClass } from "../../core/gauge/clarity";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { database } from "../../store/database";
import { endSession, logCatch, startSession } from "../../store/river";
import { Button } from "../../ui/parts";
import { type River, useRiver } from "../../ui/river";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";
import { ARROW, dayAndTime } from "../../ui/words";
import { CatchDialog } from "./catch-dialog";
import { PastSession } from "./past-session";
import { type BookView, useBook } from "../../ui/use-book";

/** Rows shown at first. */
const SHORT = 25;

/** Log: the session that runs, and the book of those before. */
export function LogStation() {
  const river = useRiver();
  const book = useBook();
  const system = useSettings((settings) => settings.system);
  const [open, setOpen] = useState<Catch | undefined>();
  const [adding, setAdding] = useState(false);
  const [all, setAll] = useState(false);
  if (!river.reach)
    return (
      <p className="rounded-md border border-line p-4">
        No reach in the book yet.{" "}
        <Link href="/reach" className="underline">
          Make one on Reach
        </Link>
        , then log sessions on it.
      </p>
    );
  const past = book.sessions.filter((session) => session.end !== null);
  return (
    <div className="mx-auto max-w-5xl">
      <Running river={river} book={book} onOpen={setOpen} />
      <div className="mt-6 mb-2 flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-xl">Sessions</h2>
        <Button onClick={() => setAdding(true)}>Add one already over</Button>
      </div>
      {past.length === 0 ? (
        <p className="rounded-md border border-line p-4">
          No session yet. Start one above when you begin to fish; end it when you stop. A blank counts: without hours
          there is no rate.
        </p>
      ) : (
        <ul className="divide-y divide-line border-y border-line">
          {past.slice(0, all ? undefined : SHORT).map((session) => (
            <SessionRow
              key={session.id}
              session={session}
              catches={book.catches.filter((one) => one.session === session.id)}
              river={river}
              system={system}
              onOpen={setOpen}
            />
          ))}
        </ul>
      )}
      {past.length > SHORT && !all && (
        <Button className="mt-3" onClick={() => setAll(true)}>
          Show all {past.length}
        </Button>
      )}
      {open && <CatchDialog key={open.id} fish={open} onClose={() => setOpen(undefined)} />}
      {adding && <PastSession open onOpenChange={setAdding} river={river} />}
    </div>
  );
}

/** The running session: start, fish, end. Big targets; a catch is two taps, the fish and the place. */
function Running({ river, book, onOpen }: { river: River; book: BookView; onOpen: (fish: Catch) => void }) {
  const { species, system } = useSettings();
  const router = useRouter();
  // The L key comes here with ?fish=1 from any station.
  const asked = useSearchParams().get("fish") === "1";
  const [pressed, setPressed] = useState(false);
  const choosing = pressed || asked;
  const setChoosing = (open: boolean) => {
    setPressed(open);
    if (!open && asked) router.replace("/log");
  };
  const { running } = book;
  const name = (id: string) =>
    river.reaches.find((one) => one.id === id)?.reach.name ?? "a reach no longer in the book";

  if (!running) {
    return (
      <section aria-label="Session">
        <h1 className="text-2xl">Nobody is fishing</h1>
        <p className="mt-1 text-soft">
          {river.reach!.reach.name}
          {river.now && !river.stale
            ? `: ${showText(river.now.discharge, "discharge", system)}${river.now.trend ? `, ${river.now.trend}` : ""}`
            : ""}
          . Check the local rules and the way out before wading.
        </p>
        <Button
          tone="next"
          className="mt-3 min-h-16 w-full text-xl sm:w-80"
          onClick={() => void startSession(database(), river.reach!.id, species)}
        >
          Start a session
        </Button>
      </section>
    );
  }

  const fish = book.catches.filter((one) => one.session === running.id).sort((a, b) => b.at.localeCompare(a.at));
  const seen = [
    ...new Set(
      book.catches
        .filter(
          (one) => one.lie && book.sessions.find((session) => session.id === one.session)?.reach === running.reach,
        )
        .map((one) => one.lie),
    ),
  ].slice(0, 5);
  const log = async (lie: string) => {
    setChoosing(false);
    const one = await logCatch(database(), running, { lie });
    say(
      `Fish ${fish.length + 1} is in the book${one.river?.discharge != null ? ` at ${showText(one.river.discharge, "discharge", system)}` : ""}.`,
      {
        label: "Undo",
        run: () => void database().catches.update(one.id, { deleted: true, updatedAt: new Date().toISOString() }),
      },
    );
  };
  return (
    <section aria-label="Session" className="rounded-lg border-2 border-ink p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h1 className="text-2xl">Fishing {name(running.reach)}</h1>
        <p className="text-lg">
          {rodHours(running, river.minute).toFixed(1)} h · {fish.length} fish
        </p>
      </div>
      <p className="text-soft">
        Since {dayAndTime(running.start)}
        {running.river?.discharge != null
          ? ` at ${showText(running.river.discharge, "discharge", system)}`
          : "; no gauge reading then"}
      </p>
      {!choosing ? (
        <div className="mt-3 grid gap-3 sm:grid-cols-[2fr_1fr]">
          <Button tone="next" className="min-h-20 text-2xl" onClick={() => setChoosing(true)}>
            Fish landed
          </Button>
          <Button
            className="min-h-14"
            onClick={() =>
              void endSession(database(), running.id, Date.now()).then(() =>
                say(fish.length ? "Session ended." : "Session ended. A blank is in the book: it counts.", {
                  label: "Undo",
                  run: () =>
                    void database().sessions.update(running.id, { end: null, updatedAt: new Date().toISOString() }),
                }),
              )
            }
          >
            End the session
          </Button>
        </div>
      ) : (
        <div className="mt-3">
          <p className="mb-2 text-lg font-semibold">Where did it take?</p>
          <div className="grid gap-2 sm:grid-cols-3">
            {seen.map((lie) => (
              <Button key={lie} className="min-h-16" onClick={() => void log(lie)}>
                {lie}
              </Button>
            ))}
            <Button tone="ink" className="min-h-16" onClick={() => void log("")}>
              Say later
            </Button>
            <Button className="min-h-16" onClick={() => setChoosing(false)}>
              Not a fish
            </Button>
          </div>
        </div>
      )}
      {fish.length > 0 && (
        <ul className="mt-3 grid gap-1">
          {fish.map((one) => (
            <li key={one.id}>
              <FishButton fish={one} system={system} onOpen={onOpen} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function FishButton({ fish, system, onOpen }: { fish: Catch; system: UnitSystem; onOpen: (fish: Catch) => void }) {
  const parts = [
    fish.length === null ? null : showText(fish.length, "fishLength", system),
    fish.lie || null,
    fish.lure || null,
  ].filter(Boolean);
  return (
    <button
      type="button"
      onClick={() => onOpen(fish)}
      className="min-h-10 text-left underline decoration-line underline-offset-4 hover:decoration-ink"
    >
      {new Date(fish.at).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })}{" "}
      {parts.length ? parts.join(", ") : "fish, nothing more said yet"}
    </button>
  );
}

function SessionRow({
  session,
  catches,
  river,
  system,
  onOpen,
}: {
  session: Session;
  catches: Catch[];
  river: River;
  system: UnitSystem;
  onOpen: (fish: Catch) => void;
}) {
  const state = session.river;
  const clarity = state?.visibleDepth == null ? null : clarityClass(state.visibleDepth);
  const remove = async () => {
    const updatedAt = new Date().toISOString();
    await database().sessions.update(session.id, { deleted: true, updatedAt });
    say("The session is out of the book.", {
      label: "Undo",
      run: () =>
        void database().sessions.update(session.id, { deleted: undefined, updatedAt: new Date().toISOString() }),
    });
  };
  return (
    <li className="grid grid-cols-[1fr_1fr_auto] gap-x-4 gap-y-1 py-3 sm:grid-cols-[13rem_14rem_1fr_auto]">
      <div>
        <p className="font-semibold">{dayAndTime(session.start)}</p>
        <p className="text-sm text-soft">
          {river.reaches.find((one) => one.id === session.reach)?.reach.name ?? "reach gone"},{" "}
          {rodHours(session, river.minute).toFixed(1)} h
        </p>
      </div>
      <div>
        {state?.discharge != null ? (
          <p>
            {showText(state.discharge, "discharge", system)}{" "}
            {state.trend && (
              <>
                <span aria-hidden>{ARROW[state.trend]}</span>
                <span className="sr-only">{state.trend}</span>
              </>
            )}
          </p>
        ) : (
          <p className="text-soft">no gauge reading</p>
        )}
        <p className="text-sm text-soft">
          {[clarity, state?.waterTemperature == null ? null : showText(state.waterTemperature, "temperature", system)]
            .filter(Boolean)
            .join(", ")}
        </p>
      </div>
      <div className="order-last col-span-3 sm:order-none sm:col-span-1">
        {catches.length === 0 ? (
          <p className="text-soft">blank</p>
        ) : (
          <ul>
            {catches
              .sort((a, b) => a.at.localeCompare(b.at))
              .map((fish) => (
                <li key={fish.id}>
                  <FishButton fish={fish} system={system} onOpen={onOpen} />
                </li>
              ))}
          </ul>
        )}
      </div>
      <button
        type="button"
        onClick={() => void remove()}
        className="min-h-10 self-start px-2 text-sm text-soft underline"
        aria-label={`Remove the session of ${dayAndTime(session.start)}`}
      >
        remove
      </button>
    </li>
  );
}

"use client";
import { useRouter, useSearchParams } from "next/navigation";
import { useState } from "react";
import { rodHours } from "../../core/book/effort";
import { type Catch, LOST_CAUSES, type LostCause, type Session } from "../../core/book/records";
import { act, perform } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import type { BookView } from "../../state/use-book";
import type { River } from "../../state/use-river";
import { database } from "../../store/database";
import { endSession, logCatch, startSession } from "../../store/sessions";
import { say } from "../../state/notices";
import { Button } from "../../widgets/button";
import { figureText, showText } from "../../words/quantity";
import { LOST_WORDS } from "../../words/fish";
import { dayAndTime } from "../../words/river";
import { capital } from "../../words/text";
import { byTime, FishButton } from "./fish-button";

/** The session: start, fish, end. Nobody is invited to the water while the cautions tell everybody to leave it. */
export function Running({
  river,
  book,
  leave,
  onOpen,
  onCorrect,
}: {
  river: River;
  book: BookView;
  leave: boolean;
  onOpen: (fish: Catch) => void;
  onCorrect: (session: Session) => void;
}) {
  const { running } = book;
  return running ? (
    <Fishing session={running} river={river} book={book} onOpen={onOpen} onCorrect={onCorrect} />
  ) : (
    <Starting river={river} leave={leave} />
  );
}

function Starting({ river, leave }: { river: River; leave: boolean }) {
  const { species, system } = useSettings();
  const reach = river.reach!;
  const state =
    river.now && !river.stale
      ? `: ${showText(river.now.discharge, "discharge", system)}${river.now.trend ? `, ${river.now.trend}` : ""}`
      : "";
  return (
    <section aria-label="Session">
      <h1 className="text-2xl">{leave ? "Not now" : "Nobody is fishing"}</h1>
      <p className="mt-1 text-soft">
        {reach.reach.name}
        {state}.{" "}
        {leave
          ? "No session is started while the water is to be left; one already over can still be put in below."
          : "Check the local rules and the way out before wading."}
      </p>
      {!leave && (
        <Button
          tone="next"
          className="mt-3 min-h-16 w-full text-xl sm:w-80"
          onClick={() => act(() => perform(() => startSession(database(), reach.id, species, clockNow())))}
        >
          Start a session
        </Button>
      )}
    </section>
  );
}

/** The running session. Big targets; a catch is two taps, the fish and the place. */
function Fishing({
  session,
  river,
  book,
  onOpen,
  onCorrect,
}: {
  session: Session;
  river: River;
  book: BookView;
  onOpen: (fish: Catch) => void;
  onCorrect: (session: Session) => void;
}) {
  const system = useSettings((settings) => settings.system);
  const name = river.reaches.find((one) => one.id === session.reach)?.reach.name ?? "a reach no longer in the book";
  const fish = book.catches.filter((one) => one.session === session.id).sort((a, b) => byTime(b, a));
  const landed = fish.filter((one) => one.lost === undefined).length;
  const lost = fish.length - landed;
  const end = () =>
    act(() =>
      perform(
        () => endSession(database(), session, clockNow()),
        landed ? "Session ended." : "Session ended. A blank is in the book: it counts.",
      ),
    );
  return (
    <section aria-label="Session" className="rounded-lg border-2 border-ink p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h1 className="text-2xl">Fishing {name}</h1>
        <p className="text-lg">
          {figureText(rodHours(session, river.minute), 1)} h · {landed} fish{lost > 0 ? `, ${lost} lost` : ""}
        </p>
      </div>
      <p className="text-soft">
        Since {dayAndTime(session.start)}
        {session.river?.discharge != null
          ? ` at ${showText(session.river.discharge, "discharge", system)}`
          : "; no gauge reading then"}
      </p>
      <Landing session={session} book={book} onEnd={end} />
      <button type="button" className="mt-2 min-h-11 underline" onClick={() => onCorrect(session)}>
        It began or ended at another time
      </button>
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

/** Places named before on this reach, offered again. */
const MOST_PLACES = 5;

function placesSeen({ catches, sessions }: BookView, reach: string): string[] {
  const here = new Set(sessions.filter((one) => one.reach === reach).map((one) => one.id));
  const named = catches.filter((one) => one.lie && here.has(one.session)).map((one) => one.lie);
  return [...new Set(named)].slice(0, MOST_PLACES);
}

/** A fish in two taps: that it is landed, and where it took. */
function Landing({ session, book, onEnd }: { session: Session; book: BookView; onEnd: () => void }) {
  const system = useSettings((settings) => settings.system);
  const router = useRouter();
  // The L key comes here with ?fish=1 from any station.
  const asked = useSearchParams().get("fish") === "1";
  const [pressed, setPressed] = useState(false);
  const [losing, setLosing] = useState(false);
  const setChoosing = (open: boolean) => {
    setPressed(open);
    if (!open && asked) router.replace("/log");
  };
  const log = (lie: string) => {
    // The hour is that of the press, however often it must be tried.
    const at = clockNow();
    act(async () => {
      setChoosing(false);
      const before = book.catches.filter((one) => one.session === session.id && one.lost === undefined).length;
      const { fish, undo } = await logCatch(database(), session, { lie }, at);
      const flow = fish.river?.discharge;
      say(`Fish ${before + 1} is in the book${flow != null ? ` at ${showText(flow, "discharge", system)}` : ""}.`, {
        label: "Undo",
        run: () => act(undo),
      });
    });
  };
  const lose = (cause: LostCause) => {
    const at = clockNow();
    act(async () => {
      setLosing(false);
      const { undo } = await logCatch(database(), session, { lost: cause }, at);
      say("A lost fish is in the book; it counts for no rate.", { label: "Undo", run: () => act(undo) });
    });
  };
  if (losing) return <WhyLost onCause={lose} onNot={() => setLosing(false)} />;
  if (!pressed && !asked)
    return (
      <div className="mt-3 grid gap-3 sm:grid-cols-[2fr_1fr]">
        <Button tone="next" className="min-h-20 text-2xl" onClick={() => setChoosing(true)}>
          Fish landed
        </Button>
        <div className="grid gap-3">
          <Button className="min-h-14" onClick={() => setLosing(true)}>
            Fish lost
          </Button>
          <Button className="min-h-14" onClick={onEnd}>
            End the session
          </Button>
        </div>
      </div>
    );
  return (
    <div className="mt-3">
      <p className="mb-2 text-lg font-semibold">Where did it take?</p>
      <div className="grid gap-2 sm:grid-cols-3">
        {placesSeen(book, session.reach).map((lie) => (
          <Button key={lie} className="min-h-16" onClick={() => log(lie)}>
            {lie}
          </Button>
        ))}
        <Button tone="ink" className="min-h-16" onClick={() => log("")}>
          Say later
        </Button>
        <Button className="min-h-16" onClick={() => setChoosing(false)}>
          Not a fish
        </Button>
      </div>
    </div>
  );
}

/** Why it was lost: one tap, while it is still known. */
const WhyLost = ({ onCause, onNot }: { onCause: (cause: LostCause) => void; onNot: () => void }) => (
  <div className="mt-3">
    <p className="mb-2 text-lg font-semibold">How was it lost?</p>
    <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
      {LOST_CAUSES.map((cause) => (
        <Button key={cause} className="min-h-16" onClick={() => onCause(cause)}>
          {capital(LOST_WORDS[cause])}
        </Button>
      ))}
      <Button className="min-h-16" onClick={onNot}>
        Not a fish
      </Button>
    </div>
  </div>
);

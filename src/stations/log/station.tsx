"use client";
import Link from "next/link";
import { useState } from "react";
import type { Catch, Session } from "../../core/book/records";
import { useSettings } from "../../state/settings";
import { useBook } from "../../state/use-book";
import { useSafety } from "../../state/use-cautions";
import { useRiver } from "../../state/use-river";
import { Button } from "../../widgets/button";
import { Cautions } from "../cautions";
import { Running } from "./running";
import { SessionRow } from "./session-row";
import { later } from "../../widgets/later";

const PastSession = later(() => import("./past-session").then((one) => one.PastSession));
const SessionDialog = later(() => import("./session-dialog").then((one) => one.SessionDialog));
const CatchDialog = later(() => import("./catch-dialog").then((one) => one.CatchDialog));

/** Rows shown at first. */
const SHORT = 25;

/** Log: the session that runs, and the book of those before. */
export function LogStation() {
  const river = useRiver();
  const safety = useSafety(river);
  const book = useBook();
  const system = useSettings((settings) => settings.system);
  const [open, setOpen] = useState<Catch | undefined>();
  const [adding, setAdding] = useState(false);
  const [correcting, setCorrecting] = useState<Session | undefined>();
  const [all, setAll] = useState(false);
  const past = book.sessions.filter((session) => session.end !== null);
  return (
    <div className="mx-auto max-w-5xl">
      <Cautions safety={safety} />
      {!river.reach ? (
        <p className="rounded-md border border-line p-4">
          No reach in the book yet.{" "}
          <Link href="/reach" className="underline">
            Make one on Reach
          </Link>
          , then log sessions on it.
        </p>
      ) : (
        <Running river={river} book={book} leave={safety.leave} onOpen={setOpen} onCorrect={setCorrecting} />
      )}
      <div className="mt-6 mb-2 flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-xl">Sessions</h2>
        {river.reach && <Button onClick={() => setAdding(true)}>Add one already over</Button>}
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
              onCorrect={setCorrecting}
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
      {correcting && (
        <SessionDialog key={correcting.id} session={correcting} onClose={() => setCorrecting(undefined)} />
      )}
      {adding && <PastSession river={river} onClose={() => setAdding(false)} />}
    </div>
  );
}

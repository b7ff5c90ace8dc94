"use client";
import { useWaterClocks, WaterClocksOf } from "../../state/water-clocks";
import Link from "next/link";
import * as Tabs from "radix-ui/tabs";
import { useDeferredValue, useMemo, useState } from "react";
import { EVERYTHING, indexed, type LogFilter, filterLog } from "../../core/book/log-filter";
import type { Catch, Session } from "../../core/book/records";
import { type BookView, useBook } from "../../state/use-book";
import { useFishes } from "../../state/use-fishes";
import { useRiver } from "../../state/use-river";
import { Button } from "../../widgets/button";
import { later } from "../../widgets/later";
import { TabList } from "../../widgets/tab-list";
import { dayKey } from "../../words/river";
import { SessionList } from "./session-list";
import { SieveBar } from "./sieve-bar";

const PastSession = later(() => import("./past-session").then((one) => one.PastSession));
const SessionDialog = later(() => import("./session-dialog").then((one) => one.SessionDialog));
const CatchDialog = later(() => import("./catch-dialog").then((one) => one.CatchDialog));
const FishTable = later(() => import("./fish-table").then((one) => one.FishTable));
const Calendar = later(() => import("./calendar").then((one) => one.Calendar));
const Bests = later(() => import("./bests").then((one) => one.Bests));
const Places = later(() => import("./places").then((one) => one.Places));
const RulesPanel = later(() => import("./rules-panel").then((one) => one.RulesPanel));
const Bin = later(() => import("./bin").then((one) => one.Bin));
const Files = later(() => import("./files").then((one) => one.Files));

const TABS = ["Sessions", "Fish", "Calendar", "Bests", "Spots", "Rules", "Bin"] as const;
type Tab = (typeof TABS)[number];
const TAB_LIST = TABS.map((name) => [name, name] as const);

/** Log: sessions and fish, found, corrected, exported and imported. */
export function LogStation() {
  const book = useBook();
  return (
    <WaterClocksOf sessions={book.sessions}>
      <Log book={book} />
    </WaterClocksOf>
  );
}

function Log({ book }: { book: BookView }) {
  const river = useRiver();
  const [tab, setTab] = useState<Tab>("Sessions");
  const [sieve, setSieve] = useState<LogFilter>(EVERYTHING);
  const [open, setOpen] = useState<Catch | undefined>();
  const [adding, setAdding] = useState(false);
  const [correcting, setCorrecting] = useState<Session | undefined>();
  const found = useFound(book, sieve);
  const sifted = tab === "Sessions" || tab === "Fish";
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="sr-only">The log</h1>
      {book.ready && !river.reach && (
        <p className="mb-4 rounded-md border border-line p-4">
          No reach yet.{" "}
          <Link href="/reach" className="underline">
            Add one on Reach
          </Link>
          , then log sessions on it.
        </p>
      )}
      <Tabs.Root value={tab} onValueChange={(value) => setTab(value as Tab)}>
        <div className="mb-4 flex flex-wrap items-center justify-between gap-3">
          <TabList label="Backup" tabs={TAB_LIST} />
          {river.reach && <Button onClick={() => setAdding(true)}>Log a past session</Button>}
        </div>
        {sifted && <SieveBar sieve={sieve} onChange={setSieve} river={river} />}
        <Tabs.Content value="Sessions" className="outline-none">
          <SessionList
            book={book}
            found={found}
            sieve={sieve}
            river={river}
            onOpen={setOpen}
            onCorrect={setCorrecting}
          />
        </Tabs.Content>
        <Tabs.Content value="Fish" className="outline-none">
          <FishTable found={found} river={river} onOpen={setOpen} />
        </Tabs.Content>
        <Tabs.Content value="Calendar" className="outline-none">
          <Calendar
            book={book}
            now={river.minute}
            onDay={(day) => {
              setSieve({ ...EVERYTHING, from: day, to: day });
              setTab("Sessions");
            }}
          />
        </Tabs.Content>
        <Tabs.Content value="Bests" className="outline-none">
          <Bests catches={book.catches} onOpen={setOpen} />
        </Tabs.Content>
        <Tabs.Content value="Spots" className="outline-none">
          <Places book={book} river={river} />
        </Tabs.Content>
        <Tabs.Content value="Rules" className="outline-none">
          <RulesPanel river={river} />
        </Tabs.Content>
        <Tabs.Content value="Bin" className="outline-none">
          <Bin river={river} />
        </Tabs.Content>
      </Tabs.Root>
      {sifted && book.ready && <Files book={book} river={river} />}
      {open && <CatchDialog key={open.id} fish={open} onClose={() => setOpen(undefined)} />}
      {correcting && (
        <SessionDialog key={correcting.id} session={correcting} onClose={() => setCorrecting(undefined)} />
      )}
      {adding && <PastSession river={river} onClose={() => setAdding(false)} />}
    </div>
  );
}

/** The fish that pass; typing is never held up by them. */
function useFound({ catches, sessions }: BookView, sieve: LogFilter) {
  const { nameOf } = useFishes();
  const { ofReach } = useWaterClocks();
  const all = useMemo(() => {
    // Fish of sessions that were taken out are in no list.
    const alive = new Set(sessions.map((one) => one.id));
    return indexed(
      catches.filter((one) => alive.has(one.session)),
      sessions,
      (at, session) => dayKey(at, ofReach(session?.reach)),
      nameOf,
    );
  }, [catches, sessions, nameOf, ofReach]);
  const late = useDeferredValue(sieve);
  return useMemo(() => filterLog(all, late), [all, late]);
}

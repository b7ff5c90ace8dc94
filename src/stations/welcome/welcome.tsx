"use client";
import Link from "next/link";
import { useEffect, useState } from "react";
import { act } from "../../state/act";
import { loadDemo } from "../../state/demo";
import { Button } from "../../widgets/button";
import { useDemoWanted } from "../../state/providers";
import { useSettings } from "../../state/settings";
import { useBookHolds } from "../../state/use-book-holds";
import { useRiver } from "../../state/use-river";
import { laterDialog } from "../../widgets/later";

const ImportGauge = laterDialog(() => import("../water/import-gauge").then((one) => one.ImportGauge));
const NewReach = laterDialog(() => import("../reach/new-reach").then((one) => one.NewReach));
const BookDialog = laterDialog(() => import("../book-dialog").then((one) => one.BookDialog));
const SoundingsDialog = laterDialog(() => import("../reach/soundings-dialog").then((one) => one.SoundingsDialog));

/** An empty book: start with the demo river, a gauge file, or a reach. */
export function Welcome() {
  const wanted = useDemoWanted();
  const removed = useSettings((settings) => settings.demoRemoved);
  const [loading, setLoading] = useState(false);
  const [importing, setImporting] = useState(false);
  const [building, setBuilding] = useState(false);
  const [sounding, setSounding] = useState(false);
  const [opening, setOpening] = useState(false);
  const holds = useBookHolds();
  const river = useRiver();

  const load = () => {
    // A frame first, so that the press is seen before a second of made-up weather is worked out.
    requestAnimationFrame(() => {
      setLoading(true);
      setTimeout(() => act(() => loadDemo().finally(() => setLoading(false))), 0);
    });
  };

  useEffect(() => {
    if (wanted && !removed) load();
  }, [wanted, removed]);

  return (
    <div className="mx-auto max-w-2xl pt-6 lg:pt-16">
      <h1 className="text-3xl lg:text-4xl">{holds ? "No river yet" : "The log is empty"}</h1>
      <p className="mt-3 max-w-xl text-lg text-soft">
        Low Heron shows where the seams are at today’s flow, where fish hold, and how deep to set a float. Then it logs
        your catches by flow.
      </p>
      <ul className="mt-8 grid gap-3">
        <Row
          title="Look around first"
          text="A demo river with four years of gauge data, two reaches and a season of sessions. You can remove it any time."
        >
          <Button tone="next" onClick={load} disabled={loading}>
            {loading ? "Loading …" : "Load the demo river"}
          </Button>
        </Row>
        <Row title="Your own river, step by step" text="A gauge file, a reach, and the first plan: about two minutes.">
          <Link
            href="/today"
            className="inline-flex min-h-11 items-center justify-center rounded-md border border-edge px-4 font-semibold hover:bg-deep"
          >
            Start
          </Link>
        </Row>
        <Row title="Your river’s gauge" text="A CSV or RDB file with stage, discharge, temperature or turbidity.">
          <Button onClick={() => setImporting(true)}>Open a gauge file</Button>
        </Row>
        <Row
          title="A reach of your own"
          text="Draw it on a picture, shape one from a template, from soundings, or open a reach file."
        >
          <Button onClick={() => setBuilding(true)}>Add a reach</Button>
        </Row>
        <Row title="A backup" text="Restore it, or merge it into this log.">
          <Button onClick={() => setOpening(true)}>Open a backup</Button>
        </Row>
      </ul>
      <p className="mt-8 text-sm text-soft">
        Your data stays in this browser. Local rules, closed seasons and landowners come first.{" "}
        <Link href="/help" className="underline">
          What it knows, and what it does not
        </Link>
        .
      </p>
      <ImportGauge open={importing} onOpenChange={setImporting} stations={[]} />
      <NewReach
        open={building}
        onOpenChange={setBuilding}
        stations={[]}
        onSoundings={() => {
          setBuilding(false);
          setSounding(true);
        }}
      />
      <BookDialog open={opening} onOpenChange={setOpening} river={river} />
      <SoundingsDialog open={sounding} onOpenChange={setSounding} stations={[]} />
    </div>
  );
}

function Row({ title, text, children }: { title: string; text: string; children: React.ReactNode }) {
  return (
    <li className="flex flex-col gap-3 rounded-lg border border-line p-4 sm:flex-row sm:items-center">
      <div className="flex-1">
        <h2 className="text-lg">{title}</h2>
        <p className="text-soft">{text}</p>
      </div>
      {children}
    </li>
  );
}

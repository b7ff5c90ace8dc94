"use client";
import { Check } from "lucide-react";
import Link from "next/link";
import { type ReactNode, useState } from "react";
import type { River } from "../../state/use-river";
import { Button } from "../../widgets/button";
import { laterDialog } from "../../widgets/later";

const ImportGauge = laterDialog(() => import("../water/import-gauge").then((one) => one.ImportGauge));
const NewReach = laterDialog(() => import("../reach/new-reach").then((one) => one.NewReach));
const SoundingsDialog = laterDialog(() => import("../reach/soundings-dialog").then((one) => one.SoundingsDialog));

/** From an empty book to a first plan: the gauge, a reach on it, and the plan comes by itself. */
export function FirstSteps({ river }: { river: River }) {
  const [open, setOpen] = useState<"gauge" | "reach" | "soundings" | undefined>();
  const { stations, reaches } = river;
  const close = (isOpen: boolean) => !isOpen && setOpen(undefined);
  return (
    <section aria-label="First steps" className="mx-auto max-w-2xl">
      <h1 className="text-2xl">Two steps to a first plan</h1>
      <p className="mb-4 text-soft">
        Add a gauge and a reach to plan where and when to go. You can edit both any time.
      </p>
      <ol className="grid gap-3">
        <Step
          number={1}
          title="The gauge"
          done={stations[0]?.name}
          text="A CSV, RDB or WaterML file with stage or discharge, and temperature or turbidity if you have them. Half a year of data gives a forecast."
        >
          <Button tone={stations.length === 0 ? "next" : "plain"} onClick={() => setOpen("gauge")}>
            Open a gauge file
          </Button>
        </Step>
        <Step
          number={2}
          title="A reach"
          done={reaches[0]?.reach.name}
          text="Choose the kind of water, length, width and today’s depth to shape the bed. Add stones and wood afterwards."
        >
          <Button
            tone={stations.length > 0 && reaches.length === 0 ? "next" : "plain"}
            onClick={() => setOpen("reach")}
          >
            Add a reach
          </Button>
        </Step>
      </ol>
      <p className="mt-4 text-sm text-soft">
        {stations.length + reaches.length === 0 && (
          <>
            Just looking around? Load{" "}
            <Link href="/" className="underline">
              a demo river
            </Link>
            .{" "}
          </>
        )}
        No gauge nearby? Reach, Rig, Session and Log work without one. Set any flow on Reach.
      </p>
      <ImportGauge open={open === "gauge"} onOpenChange={close} stations={stations} stay />
      <NewReach
        open={open === "reach"}
        onOpenChange={close}
        stations={stations}
        onSoundings={() => setOpen("soundings")}
      />
      <SoundingsDialog open={open === "soundings"} onOpenChange={close} stations={stations} />
    </section>
  );
}

function Step({
  number,
  title,
  text,
  done,
  children,
}: {
  number: number;
  title: string;
  text: string;
  /** Name of what is there already. */
  done: string | undefined;
  children: ReactNode;
}) {
  return (
    <li className="flex flex-col gap-3 rounded-lg border border-line p-4 sm:flex-row sm:items-center">
      <div className="flex-1">
        <h2 className="flex items-center gap-2 text-lg">
          {done ? <Check aria-hidden size={20} /> : <span className="tabular-nums">{number}.</span>}
          {title}
          {done && <span className="font-normal text-soft">{done}, done</span>}
        </h2>
        {!done && <p className="text-soft">{text}</p>}
      </div>
      {!done && children}
    </li>
  );
}

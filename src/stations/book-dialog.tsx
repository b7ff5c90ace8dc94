"use client";
import { Download, Upload } from "lucide-react";
import { useTheme } from "next-themes";
import { useEffect, useRef, useState } from "react";
import { faultOf } from "../core/quantity/fault";
import { readArchive, writeArchive } from "../core/formats/archive";
import { type MergePlan, planMerge, readBook, writeBook } from "../store/book";
import { database } from "../store/database";
import { loadDemo, sendDemoAway } from "../ui/demo";
import { saveFile, sha256 } from "../ui/files";
import { Button, Dialog, FaultNote, Select } from "../ui/parts";
import type { River } from "../ui/river";
import { useSettings } from "../ui/settings";
import { say } from "../ui/toasts";
import { Holdings } from "./holdings";

/** The book as a whole: units, look, archive out and in, the made-up river. */
export function BookDialog({
  open,
  onOpenChange,
  river,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  river: River;
}) {
  const { system, set } = useSettings();
  const { theme, setTheme } = useTheme();
  const picker = useRef<HTMLInputElement>(null);
  const [plan, setPlan] = useState<{ name: string; plan: MergePlan } | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const [safe, setSafe] = useState<boolean | undefined>();
  const hasDemo = river.reaches.some((one) => one.demo) || river.stations.some((one) => one.demo);

  useEffect(() => {
    if (open) void navigator.storage?.persist?.().then(setSafe);
  }, [open]);

  async function take(file: File): Promise<void> {
    setFault(undefined);
    setPlan(undefined);
    try {
      const book = await readArchive(new Uint8Array(await file.arrayBuffer()), sha256, file.name);
      setPlan({ name: file.name, plan: await planMerge(database(), book) });
    } catch (error) {
      const { message, line } = faultOf(error);
      setFault(`${message}${line ? ` (line ${line})` : ""} Nothing was changed.`);
    }
  }

  async function merge(): Promise<void> {
    if (!plan) return;
    await writeBook(database(), plan.plan.take);
    say(`${plan.name} is in the book.`);
    setPlan(undefined);
  }

  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Book and settings">
      <div className="grid gap-5">
        <div className="grid grid-cols-2 gap-3">
          <Select
            label="Units"
            value={system}
            onChange={(value) => set({ system: value as typeof system })}
            choices={[
              { value: "metric", label: "Metric" },
              { value: "us", label: "US customary" },
            ]}
          />
          <Select
            label="Look"
            value={theme ?? "day"}
            onChange={setTheme}
            choices={[
              { value: "day", label: "Day" },
              { value: "dusk", label: "Dusk" },
              { value: "glare", label: "Glare: strongest contrast" },
            ]}
          />
        </div>
        <section>
          <h3 className="mb-1">Archive</h3>
          <p className="mb-2 text-soft">
            Everything in one file. Taking one in merges it: the newer of two records wins.
          </p>
          <div className="flex flex-wrap gap-2">
            <Button
              onClick={() =>
                void readBook(database()).then(async (book) =>
                  saveFile(
                    `low-heron-${new Date().toISOString().slice(0, 10)}.zip`,
                    await writeArchive(book, new Date().toISOString(), sha256),
                    "application/zip",
                  ),
                )
              }
            >
              <Download size={18} aria-hidden />
              Save archive
            </Button>
            <Button onClick={() => picker.current?.click()}>
              <Upload size={18} aria-hidden />
              Take in archive
            </Button>
            <input
              ref={picker}
              type="file"
              accept=".zip"
              aria-label="Archive file"
              className="sr-only"
              tabIndex={-1}
              onChange={(event) => {
                const file = event.target.files?.[0];
                event.target.value = "";
                if (file) void take(file);
              }}
            />
          </div>
          {fault && (
            <div className="mt-3">
              <FaultNote message={fault} />
            </div>
          )}
          {plan && (
            <div className="mt-3 rounded-md border border-line p-3">
              <p className="font-semibold">{plan.name} would do this:</p>
              <ul className="my-2">
                {Object.entries(plan.plan.parts).map(([name, count]) => (
                  <li key={name}>
                    {name}: {count.added} new, {count.replaced} newer than yours, {count.kept} left as they are
                  </li>
                ))}
              </ul>
              <div className="flex gap-2">
                <Button tone="next" onClick={() => void merge()}>
                  Take it in
                </Button>
                <Button onClick={() => setPlan(undefined)}>Leave it</Button>
              </div>
            </div>
          )}
        </section>
        <Holdings river={river} />
        <section>
          <h3 className="mb-1">Made-up river</h3>
          {hasDemo ? (
            <Button onClick={() => void sendDemoAway().then(() => onOpenChange(false))}>
              Remove the made-up river
            </Button>
          ) : (
            <Button onClick={() => void loadDemo().then(() => onOpenChange(false))}>Load the made-up river</Button>
          )}
        </section>
        {safe !== undefined && (
          <p className="text-sm text-soft">
            {safe
              ? "This browser has promised to keep the book."
              : "This browser may clear the book when the disk is full: save an archive now and then."}
          </p>
        )}
      </div>
    </Dialog>
  );
}

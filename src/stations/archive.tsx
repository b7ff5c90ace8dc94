"use client";
import { Download, Upload } from "lucide-react";
import { useState } from "react";
import { readArchive, writeArchive } from "../core/formats/archive";
import { PART_NAMES } from "../core/book/records";
import { act, faultText } from "../state/act";
import { recogniseDemo } from "../state/demo";
import { saveFile, sha256 } from "../state/files";
import { say } from "../state/notices";
import { applyPlan, type MergePlan, planMerge, readBook } from "../store/book";
import { database } from "../store/database";
import { PickFile } from "../widgets/file-field";
import { Button, FaultNote } from "../widgets/parts";
import { count } from "../words/text";

const save = () =>
  act(async () => {
    const at = new Date().toISOString();
    const book = await readBook(database());
    saveFile(`low-heron-${at.slice(0, 10)}.zip`, await writeArchive(book, at, sha256), "application/zip");
  });

/** The book out as one file, and in again: shown what it would do before anything is done. */
export function Archive() {
  const [opened, setOpened] = useState<{ name: string; plan: MergePlan } | undefined>();
  const [fault, setFault] = useState<string | undefined>();

  const take = async (file: File) => {
    setFault(undefined);
    setOpened(undefined);
    try {
      const book = await readArchive(new Uint8Array(await file.arrayBuffer()), sha256, file.name);
      setOpened({ name: file.name, plan: await planMerge(database(), book) });
    } catch (error) {
      setFault(faultText(error));
    }
  };

  return (
    <section>
      <h3 className="mb-1">Archive</h3>
      <p className="mb-2 text-soft">Everything in one file. Taking one in merges it: the newer of two records wins.</p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={save}>
          <Download size={18} aria-hidden />
          Save archive
        </Button>
        <PickFile label="Archive file" accept=".zip" onFile={(file) => act(() => take(file))}>
          <Upload size={18} aria-hidden />
          Take in archive
        </PickFile>
      </div>
      {fault && (
        <div className="mt-3">
          <FaultNote message={fault} todo="Nothing was changed." />
        </div>
      )}
      {opened && <Plan key={opened.name} {...opened} onFault={setFault} onDone={() => setOpened(undefined)} />}
    </section>
  );
}

/** What taking an archive in would do. */
function Plan({
  name,
  plan,
  onFault,
  onDone,
}: {
  name: string;
  plan: MergePlan;
  onFault: (fault: string | undefined) => void;
  onDone: () => void;
}) {
  const [back, setBack] = useState(false);
  const removed = PART_NAMES.reduce((sum, part) => sum + plan.removed[part].length, 0);
  const merge = async () => {
    onFault(undefined);
    try {
      await applyPlan(database(), plan, back);
      await recogniseDemo();
    } catch (error) {
      return onFault(faultText(error));
    }
    say(`${name} is in the book.`);
    onDone();
  };
  return (
    <div className="mt-3 rounded-md border border-line p-3">
      <p className="font-semibold">{name} would do this:</p>
      <ul className="my-2">
        {Object.entries(plan.parts).map(([part, { added, replaced, kept }]) => (
          <li key={part}>
            {part}: {added} new, {replaced} newer than yours, {kept} left as they are
          </li>
        ))}
      </ul>
      {removed > 0 && (
        <label className="mb-2 flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 shrink-0"
            checked={back}
            onChange={(event) => setBack(event.target.checked)}
          />
          Bring back {count(removed, "record")} of it that {removed === 1 ? "was" : "were"} removed here since
        </label>
      )}
      <div className="flex gap-2">
        <Button tone="next" onClick={() => act(merge)}>
          Take it in
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </div>
  );
}

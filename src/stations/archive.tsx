"use client";
import { Download, Upload } from "lucide-react";
import { useState } from "react";
import { readArchive, type SetAside } from "../core/formats/archive";
import { PART_NAMES } from "../core/book/log-contents";
import type { SettingsRecord } from "../core/book/preferences";
import { act, type Unkept, unkept } from "../state/act";
import { recogniseDemo } from "../state/demo";
import { sha256 } from "../state/files";
import { say } from "../state/notices";
import { applySettings } from "../state/settings";
import { saveBook } from "../state/save-book";
import { applyPlan, type MergePlan, planMerge, type TakeIn } from "../store/book";
import { database } from "../store/database";
import { PickFile } from "../widgets/file-field";
import { Button } from "../widgets/button";
import { NotKept } from "./not-kept";
import { setAsideWords } from "../words/archive";
import { count } from "../words/text";

/** The book out as one file, and in again: shown what it would do before anything is done. */
export function Archive() {
  const [opened, setOpened] = useState<
    { name: string; plan: MergePlan; setAside: SetAside[]; settings?: SettingsRecord } | undefined
  >();
  const [fault, setFault] = useState<Unkept | undefined>();

  const take = async (file: File): Promise<void> => {
    setFault(undefined);
    setOpened(undefined);
    try {
      const { book, setAside } = await readArchive(new Uint8Array(await file.arrayBuffer()), sha256, file.name);
      const settings = book.preferences.find((one) => one.schema === "low-heron/settings@1");
      // Settings are of a browser: they are applied, and are no record of the log.
      const records = { ...book, preferences: book.preferences.filter((one) => one !== settings) };
      setOpened({ name: file.name, plan: await planMerge(database(), records), setAside, settings });
    } catch (error) {
      setFault(unkept(error, () => take(file)));
    }
  };

  return (
    <section>
      <h3 className="mb-1">Backup</h3>
      <p className="mb-2 text-soft">
        Everything in one file. Restoring merges it into this log: the newer of two records is kept and gauge records
        are joined.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => act(saveBook)}>
          <Download size={18} aria-hidden />
          Save a backup
        </Button>
        <PickFile label="Backup file" accept=".zip" onFile={(file) => act(() => take(file))}>
          <Upload size={18} aria-hidden />
          Open a backup
        </PickFile>
      </div>
      {fault && (
        <div className="mt-3">
          <NotKept fault={fault} />
        </div>
      )}
      {opened && <MergePlan key={opened.name} {...opened} onFault={setFault} onDone={() => setOpened(undefined)} />}
    </section>
  );
}

type Counts = MergePlan["parts"][string];
const changes = ({ added, replaced, joined, gone }: Counts): boolean => added + replaced + joined + gone > 0;

/** What would become of one part; nothing is said where all stays as it is. */
function PartLine({ part, counts }: { part: string; counts: Counts }) {
  if (!changes(counts)) return null;
  const { added, replaced, joined, gone, kept } = counts;
  const said: readonly (readonly [number, string])[] = [
    [added, "new"],
    [replaced, "newer than yours"],
    [joined, "merged with yours"],
    [gone, "deleted there since"],
    [kept, "unchanged"],
  ];
  return (
    <li>
      {part}:{" "}
      {said
        .filter(([number]) => number > 0)
        .map(([number, words]) => `${number} ${words}`)
        .join(", ")}
    </li>
  );
}

/** Records told before the rest of them is only counted. */
const MOST_TOLD = 12;

/** What the archive holds that cannot be taken. */
function SetAsideList({ of }: { of: readonly SetAside[] }) {
  if (of.length === 0) return null;
  return (
    <div className="my-2" role="note">
      <p className="font-semibold">{count(of.length, "record")} records can’t be imported:</p>
      <ul className="text-soft">
        {of.slice(0, MOST_TOLD).map((one, index) => (
          <li key={index} className="break-words">
            {setAsideWords(one)}
          </li>
        ))}
        {of.length > MOST_TOLD && <li>and {of.length - MOST_TOLD} more</li>}
      </ul>
    </div>
  );
}

/** What a restore would do beyond a merge. */
function restoreWords(removed: number, older: number): string {
  const parts = [
    removed > 0 && `${count(removed, "record")} deleted since ${removed === 1 ? "comes" : "come"} back`,
    older > 0 && `${count(older, "record")} changed since ${older === 1 ? "is" : "are"} as there`,
  ].filter(Boolean);
  return `Restore it exactly: ${parts.join(", ")}`;
}

/** What taking an archive in would do. */
function MergePlan({
  name,
  plan,
  setAside,
  settings,
  onFault,
  onDone,
}: {
  name: string;
  plan: MergePlan;
  setAside: readonly SetAside[];
  settings?: SettingsRecord;
  onFault: (fault: Unkept | undefined) => void;
  onDone: () => void;
}) {
  const [how, setHow] = useState<TakeIn>("merge");
  const [alsoSettings, setAlsoSettings] = useState(true);
  const [removed, older] = [plan.removed, plan.older].map((book) =>
    PART_NAMES.reduce((sum, part) => sum + book[part].length, 0),
  ) as [number, number];
  const merge = async (): Promise<void> => {
    onFault(undefined);
    try {
      await applyPlan(database(), plan, how);
      if (settings && alsoSettings) applySettings(JSON.parse(settings.values));
      await recogniseDemo();
    } catch (error) {
      return onFault(unkept(error, merge));
    }
    say(`${name} restored.`);
    onDone();
  };
  return (
    <div className="mt-3 rounded-md border border-line p-3">
      <p className="font-semibold">{name} would:</p>
      <ul className="my-2">
        {Object.entries(plan.parts).map(([part, counts]) => (
          <PartLine key={part} part={part} counts={counts} />
        ))}
        {Object.values(plan.parts).every((counts) => !changes(counts)) && (
          <li>
            {removed > 0
              ? "Change nothing: its records are already here, or you deleted them since."
              : "Change nothing: it is all here already."}
          </li>
        )}
      </ul>
      <SetAsideList of={setAside} />
      {removed + older > 0 && (
        <fieldset className="mb-2">
          <legend className="font-semibold">Records deleted or changed here since the backup:</legend>
          {(
            [
              ["merge", "Merge: keep the newest of each record"],
              ["restore", restoreWords(removed, older)],
            ] as const
          ).map(([value, words]) => (
            <label key={value} className="flex min-h-11 items-center gap-3">
              <input
                type="radio"
                name="take-in"
                className="size-5 shrink-0"
                checked={how === value}
                onChange={() => setHow(value)}
              />
              {words}
            </label>
          ))}
        </fieldset>
      )}
      {settings && (
        <label className="mb-2 flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 shrink-0"
            checked={alsoSettings}
            onChange={({ target }) => setAlsoSettings(target.checked)}
          />
          Also restore settings: units, style, columns
        </label>
      )}
      <div className="flex gap-2">
        <Button tone="next" onClick={() => act(merge)}>
          Restore
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </div>
  );
}

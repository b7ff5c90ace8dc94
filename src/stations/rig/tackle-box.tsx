"use client";
import { habitsOf } from "../../core/fish/species-habits";
import { Minus, Pencil, Plus } from "lucide-react";
import { useState } from "react";
import { LARGEST_FILE } from "../../core/formats/largest-file";
import type { TackleFile } from "../../core/formats/tackle-csv";
import { starterBox } from "../../core/rig/starter-box";
import { TACKLE_KINDS, type TackleItem } from "../../core/rig/tackle-item";
import { InputError } from "../../core/quantity/fault";
import { fetched } from "../../core/quantity/fetched";
import { act, perform } from "../../state/act";
import { saveFile } from "../../state/files";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { addPieces, countPiece } from "../../store/tackle";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { PickFile } from "../../widgets/file-field";
import { Panel } from "../../widgets/panel";
import { Refused } from "../../widgets/refused";
import { asFault } from "../../core/quantity/answer";
import { faultText } from "../../words/messages";
import { KIND_NAMES, pieceText, starterName } from "../../words/tackle";
import { count } from "../../words/text";
import { PieceDialog } from "./piece-dialog";

/** The angler's own tackle: what the rigs are made of. What is not in it is taken as is usual for the fish. */
export function TackleBox({ box, base, fish }: { box: readonly TackleItem[]; base: string; fish: string }) {
  const system = useSettings((settings) => settings.system);
  const [open, setOpen] = useState<TackleItem | "new" | undefined>();
  const [read, setRead] = useState<TackleFile | { fault: string } | undefined>();
  const take = async (file: File) => {
    try {
      if (file.size > LARGEST_FILE)
        throw new InputError("file-too-large", { megabytes: LARGEST_FILE / 1048576 }, { file: file.name });
      const { readTackle } = await fetched(import("../../core/formats/tackle-csv"));
      const found = readTackle(await file.text(), file.name);
      const { items } = found;
      if (items.length > 0)
        await perform(() => addPieces(database(), items), `${count(items.length, "piece")} added to the box.`);
      setRead(found);
    } catch (error) {
      setRead({ fault: faultText(asFault(error), system) });
    }
  };
  return (
    <Panel
      title="Tackle box"
      className="mt-6 print:hidden"
      aside={
        <span className="flex flex-wrap gap-2">
          <Button onClick={() => setOpen("new")}>
            <Plus size={18} aria-hidden />
            Add tackle
          </Button>
          <PickFile
            label="Import a tackle box (CSV)"
            accept=".csv,.txt,text/csv"
            onFile={(file) => act(() => take(file))}
          >
            Import CSV
          </PickFile>
          {box.length > 0 && <Button onClick={() => act(() => saveBox(box))}>Export CSV</Button>}
        </span>
      }
    >
      {box.length === 0 ? (
        <div className="rounded-md border border-line p-3">
          <p>
            Your box is empty, so rigs use typical tackle for {fish.toLowerCase()}. Start with a typical box and edit
            it, or add items one by one.
          </p>
          <Button
            tone="next"
            className="mt-2"
            onClick={() =>
              act(() =>
                perform(
                  () =>
                    addPieces(
                      database(),
                      starterBox(habitsOf(base).family, base).map((piece) => ({ ...piece, name: starterName(piece) })),
                    ),
                  `A box for ${fish.toLowerCase()} to start with.`,
                ),
              )
            }
          >
            Add a typical box for {fish.toLowerCase()}
          </Button>
        </div>
      ) : (
        <div className="columns-1 gap-8 sm:columns-2">
          {TACKLE_KINDS.filter((kind) => box.some((item) => item.kind === kind)).map((kind) => (
            <section key={kind} aria-label={KIND_NAMES[kind]} className="mb-3 break-inside-avoid">
              <h3 className="border-b border-line text-[15px] text-soft">{KIND_NAMES[kind]}</h3>
              <ul>
                {box
                  .filter((item) => item.kind === kind)
                  .map((item) => (
                    <Piece key={item.id} item={item} onEdit={() => setOpen(item)} />
                  ))}
              </ul>
            </section>
          ))}
        </div>
      )}
      {read &&
        ("fault" in read ? (
          <FaultNote message={read.fault} todo="Nothing was added." />
        ) : (
          <Refused rejected={read.rejected} lines={read.lines} system={system} />
        ))}
      {open && <PieceDialog item={open === "new" ? undefined : open} onClose={() => setOpen(undefined)} />}
    </Panel>
  );
}

function Piece({ item, onEdit }: { item: TackleItem; onEdit: () => void }) {
  const system = useSettings((settings) => settings.system);
  const told = `${item.name}, ${pieceText(item, system)}`;
  const lose = () => perform(() => countPiece(database(), item.id, -1), `Removed one ${item.name}.`);
  return (
    <li className="flex items-center gap-2 border-b border-line">
      <span className="grow py-1">
        <strong>{item.name}</strong> <span className="text-[15px] text-soft">{pieceText(item, system)}</span>
        {item.count !== null && (
          <span className={`text-[15px] ${item.count === 0 ? "font-semibold" : "text-soft"}`}>
            {" "}
            · {item.count === 0 ? "none left" : `${item.count} left`}
          </span>
        )}
      </span>
      {item.count !== null && (
        <button
          type="button"
          aria-label={`Lost one: ${told}`}
          disabled={item.count === 0}
          className="grid size-11 place-items-center rounded-md hover:bg-deep disabled:opacity-40"
          onClick={() => act(lose)}
        >
          <Minus size={18} aria-hidden />
        </button>
      )}
      <button
        type="button"
        aria-label={`Change ${told}`}
        className="grid size-11 place-items-center rounded-md hover:bg-deep"
        onClick={onEdit}
      >
        <Pencil size={18} aria-hidden />
      </button>
    </li>
  );
}

/** Saves the box as a file; its writer comes with the first press. */
async function saveBox(box: readonly TackleItem[]): Promise<void> {
  const { writeTackle } = await fetched(import("../../core/formats/tackle-csv"));
  saveFile("tackle.csv", writeTackle(box), "text/csv");
}

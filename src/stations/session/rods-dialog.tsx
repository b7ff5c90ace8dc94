"use client";
import { useState } from "react";
import type { EffortInterval, RigRecord } from "../../core/book/bank-records";
import { METHOD } from "../../core/tactics/methods";
import type { Retrieve } from "../../core/tactics/retrieve-kinds";
import { RETRIEVE_NAMES } from "../../words/retrieves";
import { rodsAllowed } from "../../core/book/rules-for";
import type { Bank } from "../../state/use-bank";
import { patchSession } from "../../store/sessions";
import { database } from "../../store/database";
import { fishSpot, putAway } from "../../store/effort-intervals";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { TextField } from "../../widgets/field";
import { Select } from "../../widgets/select";
import { count } from "../../words/text";
import { tackleLine } from "./tackle-line";
import type { BankActions } from "./use-bank-action";

const MOST_RODS = 6;

/** Each rod its own: who holds it, what is on it, whether it lies; and who fishes along. */
export function RodsDialog({
  bank,
  number,
  actions,
  onClose,
}: {
  bank: Bank;
  number: number;
  actions: BankActions;
  onClose: () => void;
}) {
  const { session, open, stretches } = bank;
  const [partner, setPartner] = useState("");
  const partners = session.partners ?? [];
  const who = [{ value: "self", label: "me" }, ...partners.map((name) => ({ value: name, label: name }))];
  const free = Array.from({ length: MOST_RODS }, (_, k) => k + 1).find((rod) => !open.some((one) => one.rod === rod));
  const most = rodsAllowed(bank.rules, session);
  const like = open.find((one) => one.rod === number) ?? stretches.at(-1);
  const set = (fields: { partners?: string[]; holdsBoat?: string }, told: string) =>
    actions.run(told, async () => (await patchSession(database(), session, fields)).undo);
  return (
    <Dialog
      open
      onOpenChange={(to) => !to && onClose()}
      title="Rods and partners"
      about="Each rod has its own hours; each angler their own bag."
    >
      <ul className="grid gap-3">
        {open.map((one) => (
          <Rod key={one.rod} rod={one} who={who} bank={bank} actions={actions} />
        ))}
      </ul>
      {open.length > most && <p className="mt-3 font-semibold">▲ {count(most, "rod")} at most by your rules here.</p>}
      {free !== undefined && !session.paused && (
        <Button
          className="mt-3 min-h-12"
          onClick={() =>
            actions.run(`rod ${free} started`, (at) =>
              fishSpot(database(), session, free, { lie: like?.lie ?? "", place: like?.place ?? null }, at),
            )
          }
        >
          Add a rod
        </Button>
      )}
      <form
        className="mt-4 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          const name = partner.trim();
          if (!name || partners.includes(name) || partners.length >= 5) return;
          set({ partners: [...partners, name] }, `${name} added`);
          setPartner("");
        }}
      >
        <TextField
          label="Partner’s name"
          className="flex-1"
          value={partner}
          maxLength={60}
          onChange={(event) => setPartner(event.target.value)}
        />
        <Button type="submit">Add partner</Button>
      </form>
      {partners.length > 0 && (
        <Select
          label="Who controls the boat"
          className="mt-3"
          value={session.holdsBoat === undefined ? "nobody" : session.holdsBoat || "self"}
          onChange={(name) =>
            set({ holdsBoat: name === "nobody" ? undefined : name === "self" ? "" : name }, "who controls the boat")
          }
          choices={[{ value: "nobody", label: "nobody" }, ...who]}
        />
      )}
    </Dialog>
  );
}

/** A rig of which nothing is known. */
const NO_RIG: RigRecord = { retrieve: null, grams: null, leader: null, size: "", castAngle: null };

function Rod({
  rod,
  who,
  bank,
  actions,
}: {
  rod: EffortInterval;
  who: { value: string; label: string }[];
  bank: Bank;
  actions: BankActions;
}) {
  const [lure, setLure] = useState(rod.lure);
  const [piece, setPiece] = useState(rod.piece);
  const db = database();
  const change = (spot: Parameters<typeof fishSpot>[3], told: string) =>
    actions.run(told, (at) => fishSpot(db, bank.session, rod.rod, spot, at));
  return (
    <li className="rounded-md border border-line p-3">
      <p className="font-semibold">
        Rod {rod.rod}: <span className="font-normal">{tackleLine(rod)}</span>
      </p>
      <div className="mt-2 grid gap-2 sm:grid-cols-2">
        <TextField
          label={`Lure or bait of rod ${rod.rod}`}
          value={lure}
          maxLength={120}
          onChange={(event) => setLure(event.target.value)}
        />
        <TextField label="Bait piece" value={piece} maxLength={60} onChange={(event) => setPiece(event.target.value)} />
        {rod.method && (
          <Select
            label={`Retrieve of rod ${rod.rod}`}
            value={rod.rig?.retrieve ?? "unknown"}
            onChange={(value) =>
              change(
                { rig: { ...(rod.rig ?? NO_RIG), retrieve: value === "unknown" ? null : (value as Retrieve) } },
                `rod ${rod.rod}: ${value === "unknown" ? "no retrieve" : RETRIEVE_NAMES[value as Retrieve]}`,
              )
            }
            choices={[
              { value: "unknown", label: "not noted" },
              ...METHOD[rod.method].retrieves.map((value) => ({ value, label: RETRIEVE_NAMES[value] })),
            ]}
          />
        )}
        {who.length > 1 && (
          <Select
            label="Angler"
            value={rod.angler || "self"}
            onChange={(name) => change({ angler: name === "self" ? "" : name }, `rod ${rod.rod} has a new angler`)}
            choices={who}
          />
        )}
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        {(lure !== rod.lure || piece !== rod.piece) && (
          <Button
            tone="ink"
            onClick={() =>
              change(
                { lure: lure.trim(), piece: piece.trim(), rig: undefined },
                `rod ${rod.rod}: ${lure.trim() || "nothing set"}`,
              )
            }
          >
            Save this rod
          </Button>
        )}
        <Button
          aria-pressed={rod.fixed}
          onClick={() => change({ fixed: !rod.fixed }, rod.fixed ? `rod ${rod.rod} is in hand` : `rod ${rod.rod} lies`)}
        >
          {rod.fixed ? "Pick it up" : "Set it down"}
        </Button>
        {bank.open.length > 1 && (
          <Button
            onClick={() => actions.run(`rod ${rod.rod} put away`, (at) => putAway(db, bank.session, rod.rod, at))}
          >
            Put it away
          </Button>
        )}
      </div>
    </li>
  );
}

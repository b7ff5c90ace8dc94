"use client";
import { Download, Pencil, Trash2 } from "lucide-react";
import { type ReactNode, useState } from "react";
import { CommitField } from "../widgets/commit-field";
import { toldApart } from "../words/text";
import { act, perform } from "../state/act";
import { saveFile } from "../state/files";
import type { River } from "../state/use-river";
import type { Undo } from "../store/change";
import { database } from "../store/database";
import { removeGauge, renameGauge } from "../store/gauges";
import { patchReach, removeReach } from "../store/reaches";

/** The reaches and gauges in the book: named, saved as files, or taken out, each with undo. */
export function StoredData({ river }: { river: River }) {
  const reaches = toldApart(river.reaches.map((one) => one.reach.name));
  const gauges = toldApart(river.stations.map((one) => one.name));
  if (river.reaches.length + river.stations.length === 0) return null;
  return (
    <section>
      <h3 className="mb-1">Reaches and gauges</h3>
      <ul className="divide-y divide-line border-y border-line">
        {river.reaches.map((record, k) => (
          <Row
            key={record.id}
            name={record.reach.name}
            shown={reaches[k]!}
            about="reach"
            onName={(name) => patchReach(database(), record.id, { name })}
          >
            <IconButton
              label={`Save ${reaches[k]} as a reach file`}
              onClick={() =>
                saveFile(
                  `${record.reach.name.toLowerCase().replace(/[^a-z0-9]+/g, "-")}.json`,
                  JSON.stringify(record.reach, null, 2),
                  "application/json",
                )
              }
            >
              <Download size={18} aria-hidden />
            </IconButton>
            <Remove
              label={`Remove ${reaches[k]}`}
              command={() => removeReach(database(), record.id)}
              done={`${record.reach.name} deleted. Its sessions stay in the log.`}
            />
          </Row>
        ))}
        {river.stations.map((station, k) => (
          <Row
            key={station.id}
            name={station.name}
            shown={gauges[k]!}
            about={station.source === "stand-in" ? "demo gauge" : "gauge"}
            onName={(name) => renameGauge(database(), station.id, name)}
          >
            <Remove
              label={`Remove the gauge ${gauges[k]}`}
              command={() => removeGauge(database(), station.id)}
              done={`Gauge ${station.name} deleted.`}
            />
          </Row>
        ))}
      </ul>
    </section>
  );
}

function Row({
  name,
  shown,
  about,
  onName,
  children,
}: {
  name: string;
  /** The name, told apart from others like it. */
  shown: string;
  about: string;
  onName: (name: string) => Promise<Undo>;
  children: ReactNode;
}) {
  const [naming, setNaming] = useState(false);
  const rename = (to: string) =>
    act(async () => {
      if (await perform(() => onName(to), `${name} is ${to} now.`)) setNaming(false);
    });
  return (
    <li className="flex min-h-12 flex-wrap items-center gap-2 py-1">
      {naming ? (
        <CommitField
          label={`Name of ${shown}`}
          className="min-w-[min(12rem,100%)] flex-1"
          maxLength={120}
          shown={name}
          read={(text) =>
            text.trim() === "" ? { ok: false, fault: "Enter a name." } : { ok: true, value: text.trim() }
          }
          onKeep={rename}
        />
      ) : (
        <span className="min-w-0 flex-1 truncate">
          {shown} <span className="text-sm text-soft">{about}</span>
        </span>
      )}
      <IconButton label={`Rename ${shown}`} pressed={naming} onClick={() => setNaming(!naming)}>
        <Pencil size={18} aria-hidden />
      </IconButton>
      {children}
    </li>
  );
}

const Remove = ({ label, command, done }: { label: string; command: () => Promise<Undo>; done: string }) => (
  <IconButton label={label} onClick={() => act(() => perform(command, done))}>
    <Trash2 size={18} aria-hidden />
  </IconButton>
);

function IconButton({
  label,
  pressed,
  onClick,
  children,
}: {
  label: string;
  pressed?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={pressed}
      onClick={onClick}
      className="grid size-11 place-items-center rounded-md hover:bg-deep"
    >
      {children}
    </button>
  );
}

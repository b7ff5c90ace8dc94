"use client";
import { Download, Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { database } from "../store/database";
import { removeGauge } from "../store/gauges";
import { removeReach } from "../store/reaches";
import { saveFile } from "../state/files";
import type { River } from "../state/use-river";
import { act, perform } from "../state/act";

/** The reaches and gauges in the book: saved as files, or taken out with undo. */
export function Holdings({ river }: { river: River }) {
  if (river.reaches.length + river.stations.length === 0) return null;
  return (
    <section>
      <h3 className="mb-1">Reaches and gauges</h3>
      <ul className="divide-y divide-line border-y border-line">
        {river.reaches.map((record) => (
          <Row key={record.id} name={record.reach.name} about="reach">
            <IconButton
              label={`Save ${record.reach.name} as a reach file`}
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
            <IconButton
              label={`Remove ${record.reach.name}`}
              onClick={() =>
                act(() =>
                  perform(
                    () => removeReach(database(), record.id),
                    `${record.reach.name} is out of the book; its sessions stay.`,
                  ),
                )
              }
            >
              <Trash2 size={18} aria-hidden />
            </IconButton>
          </Row>
        ))}
        {river.stations.map((station) => (
          <Row key={station.id} name={station.name} about={station.source === "stand-in" ? "made-up gauge" : "gauge"}>
            <IconButton
              label={`Remove the gauge ${station.name}`}
              onClick={() =>
                act(() =>
                  perform(() => removeGauge(database(), station.id), `The gauge ${station.name} is out of the book.`),
                )
              }
            >
              <Trash2 size={18} aria-hidden />
            </IconButton>
          </Row>
        ))}
      </ul>
    </section>
  );
}

function Row({ name, about, children }: { name: string; about: string; children: ReactNode }) {
  return (
    <li className="flex min-h-12 items-center gap-2">
      <span className="min-w-0 flex-1 truncate">
        {name} <span className="text-sm text-soft">{about}</span>
      </span>
      {children}
    </li>
  );
}

function IconButton({ label, onClick, children }: { label: string; onClick: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onClick}
      className="grid size-11 place-items-center rounded-md hover:bg-deep"
    >
      {children}
    </button>
  );
}

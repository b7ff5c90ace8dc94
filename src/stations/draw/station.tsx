"use client";
import Link from "next/link";
import { useSearchParams } from "next/navigation";
import { useEffect } from "react";
import { act } from "../../state/act";
import { NEW, openDraft, useDrawing } from "../../state/drawing";
import { type River, useRiver } from "../../state/use-river";
import { LayPanel } from "./lay-panel";
import { MarkList } from "./mark-list";
import { PicturePanel } from "./picture-panel";
import { ScalePanel } from "./scale-panel";
import { Sheet } from "./sheet";
import { Tools } from "./tools";
import { WalkPanel } from "./walk-panel";
import { useLaidPicture } from "./use-laid-picture";
import { useSheetFiles } from "./use-picture";
import { useTraced } from "./use-traced";

/** Drawing a reach on a picture of it: scale, banks, what lies between them, and the bed that follows. */
export function DrawStation() {
  const river = useRiver();
  const wanted = useSearchParams().get("reach") ?? NEW;
  const id = useDrawing((state) => state.id);
  const record = river.reaches.find((one) => one.id === wanted);
  const ready = river.ready && (wanted === NEW || record !== undefined);
  useEffect(() => {
    if (!ready) return;
    if (id === wanted) return;
    const from = record?.traced && { name: record.reach.name, drawing: record.traced.drawing };
    act(() => openDraft(wanted, from));
  }, [ready, wanted, record, id]);
  if (river.ready && wanted !== NEW && !record?.traced)
    return <p className="text-soft">This reach wasn’t drawn on a picture, so there’s no drawing to change.</p>;
  if (id !== wanted) return <p role="status">Opening the drawing …</p>;
  return <Drawn key={wanted} name={record?.reach.name} river={river} />;
}

/** A draft that is open: each has a picture of its own. */
function Drawn({ name, river }: { name: string | undefined; river: River }) {
  const drawing = useDrawing((state) => state.drawing);
  const files = useSheetFiles();
  const traced = useTraced();
  const laid = useLaidPicture(traced.value, drawing);
  // On a phone what is drawn on comes first, while there is nothing.
  const bare = !files.picture && drawing.marks.length === 0;
  return (
    <div className="mx-auto max-w-[1400px]">
      <div className="mb-3 flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-2xl">{name === undefined ? "Draw a reach" : `Draw ${name}`}</h1>
        <Link href="/reach" className="min-h-11 underline">
          Back to Reach
        </Link>
      </div>
      <div className="flex flex-col gap-x-8 lg:grid lg:grid-cols-[minmax(0,1fr)_23rem]">
        <div>
          <Sheet picture={files.picture?.url} laid={laid} />
          <Tools />
          <MarkList />
        </div>
        <div className={`lg:mt-0 ${bare ? "order-first mb-6 lg:order-none" : "mt-6"}`}>
          <PicturePanel files={files} />
          <WalkPanel isPicture={files.picture !== undefined} />
          <ScalePanel />
          <LayPanel traced={traced} river={river} />
        </div>
      </div>
    </div>
  );
}

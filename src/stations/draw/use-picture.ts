"use client";
import { useEffect, useState } from "react";
import { asFault } from "../../core/quantity/answer";
import type { Drawing } from "../../core/trace/drawing-schema";
import type { Fault } from "../../core/quantity/fault";
import { DEMO_AERIAL } from "../../demo/aerial";
import { draw, openDrawing, replaceSheet, useDrawing } from "../../state/drawing";
import { act } from "../../state/act";
import { database } from "../../store/database";
import { dropPicture, keepPicture, pictureOf } from "../../store/drawings";
import type { SheetPicture } from "../../workers/land.worker";
import { demoFile, readFiles } from "./read-files";

type Opened = Pick<SheetPicture, "picture" | "width" | "height"> & { url: string };

const opened = ({ picture, width, height }: Pick<SheetPicture, "picture" | "width" | "height">): Opened => ({
  picture,
  width,
  height,
  url: URL.createObjectURL(picture),
});

/** What the last file has told. */
interface Told {
  fault: Fault | undefined;
  /** What a drawing's file held that was refused. */
  refused: number;
  /** Of ground heights: was a river found in them, on cells of how many m, and was its surface laid level? */
  ground: { found: boolean; cell: number; level: boolean } | undefined;
  /** It is the demo picture. */
  demo: boolean;
}
const NOTHING: Told = { fault: undefined, refused: 0, ground: undefined, demo: false };

export interface SheetFiles extends Told {
  picture: Opened | undefined;
  busy: boolean;
  open: (files: readonly File[]) => void;
  openDemo: () => void;
  /** The picture stays in this browser with the reach. */
  kept: boolean;
  keep: (wanted: boolean) => void;
}

/** The picture that is drawn on: opened in a worker, kept only when that is wanted. */
export function useSheetFiles(): SheetFiles {
  const id = useDrawing((state) => state.id);
  const [picture, setPicture] = useState<Opened | undefined>();
  const [busy, setBusy] = useState(false);
  const [told, setTold] = useState<Told>(NOTHING);
  const [kept, setKept] = useState(false);

  useEffect(() => {
    if (id === undefined) return;
    return keptPicture(id, (found) => {
      setPicture(found);
      setKept(true);
    });
  }, [id]);
  useEffect(() => picture && (() => URL.revokeObjectURL(picture.url)), [picture]);

  const show = async (next: SheetPicture) => {
    replaceSheet(next);
    setPicture(opened(next));
    if (kept && id !== undefined) await keepPicture(database(), { id, ...sized(next) });
  };
  const take = async (work: () => Promise<void>) => {
    setBusy(true);
    setTold(NOTHING);
    try {
      await work();
    } catch (error) {
      setTold({ ...NOTHING, fault: asFault(error) });
    } finally {
      setBusy(false);
    }
  };
  const open = async (files: readonly File[]) => {
    const read = await readFiles(files);
    // What comes after its drawing was left is not put on another.
    if (!read || useDrawing.getState().id !== id) return;
    if (read.kind === "drawing") {
      openDrawing(read.name, read.drawing);
      // The picture is that of the drawing before.
      setPicture(undefined);
      setKept(false);
      if (id !== undefined) await dropPicture(database(), id);
      setTold({ ...NOTHING, refused: read.refused });
      return;
    }
    await show(read.sheet);
    if (read.kind === "heights") {
      if (read.drawing) draw((now) => overHeights(now, read.drawing!));
      setTold({
        ...NOTHING,
        ground: { found: read.drawing !== null, cell: read.cell, level: read.drawing?.slope === null },
      });
    }
  };
  const openDemo = async () => {
    await open([await demoFile()]);
    setTold({ ...NOTHING, demo: true });
    draw(asDemo);
  };
  return {
    picture,
    busy,
    ...told,
    open: (files) => act(() => take(() => open(files))),
    openDemo: () => act(() => take(openDemo)),
    kept,
    keep: (wanted) =>
      act(async () => {
        if (id === undefined) return;
        setKept(wanted);
        try {
          if (wanted && picture) await keepPicture(database(), { id, ...sized(picture) });
          else if (!wanted) await dropPicture(database(), id);
        } catch (error) {
          setKept(!wanted);
          throw error;
        }
      }),
  };
}

/** Reads the picture that was kept with a drawing; what comes after it was given up is not told. */
function keptPicture(id: string, onFound: (picture: Opened) => void): () => void {
  let gone = false;
  act(async () => {
    const found = await pictureOf(database(), id);
    if (!gone && found) onFound(opened(found));
  });
  return () => {
    gone = true;
  };
}

/** The river found in ground heights, with the water that was entered before. */
const overHeights = (now: Drawing, found: Drawing): Drawing => ({
  ...found,
  discharge: now.discharge,
  slope: found.slope ?? now.slope,
});

const asDemo = (now: Drawing): Drawing => ({
  ...now,
  discharge: DEMO_AERIAL.discharge,
  slope: DEMO_AERIAL.slope,
});

const sized = ({ picture, width, height }: Pick<SheetPicture, "picture" | "width" | "height">) => ({
  picture,
  width,
  height,
});

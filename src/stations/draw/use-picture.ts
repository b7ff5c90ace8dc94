"use client";
import { useEffect, useState } from "react";
import { asFault } from "../../core/quantity/answer";
import type { Fault } from "../../core/quantity/fault";
import { DEMO_AERIAL, demoAerial } from "../../demo/aerial";
import { draw, openDrawing, replaceSheet, useDrawing } from "../../state/drawing";
import { act } from "../../state/act";
import { valueOf } from "../../state/query";
import { database } from "../../store/database";
import { dropPicture, keepPicture, pictureOf } from "../../store/drawings";
import { land } from "../../workers/land";
import type { SheetPicture } from "../../workers/land.worker";

type Opened = Pick<SheetPicture, "picture" | "width" | "height"> & { url: string };

const opened = ({ picture, width, height }: Pick<SheetPicture, "picture" | "width" | "height">): Opened => ({
  picture,
  width,
  height,
  url: URL.createObjectURL(picture),
});

/** World files go by these endings. */
const WORLD = /\.(wld|tfw|jgw|pgw|wpw|tifw|jpgw|pngw)$/i;
const OUTLINE = /\.(geojson|json)$/i;

export interface SheetFiles {
  picture: Opened | undefined;
  busy: boolean;
  fault: Fault | undefined;
  /** What a drawing's file held that was refused. */
  refused: number;
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
  const [fault, setFault] = useState<Fault | undefined>();
  const [refused, setRefused] = useState(0);
  const [kept, setKept] = useState(false);

  useEffect(() => {
    if (id === undefined) return;
    let gone = false;
    act(async () => {
      const found = await pictureOf(database(), id);
      if (gone || !found) return;
      setPicture(opened(found));
      setKept(true);
    });
    return () => {
      gone = true;
    };
  }, [id]);
  useEffect(() => () => void (picture && URL.revokeObjectURL(picture.url)), [picture]);

  const show = async (next: SheetPicture) => {
    replaceSheet(next);
    setPicture(opened(next));
    if (kept && id !== undefined) await keepPicture(database(), { id, ...sized(next) });
  };
  const take = async (work: () => Promise<void>) => {
    setBusy(true);
    setFault(undefined);
    setRefused(0);
    try {
      await work();
    } catch (error) {
      setFault(asFault(error));
    } finally {
      setBusy(false);
    }
  };
  const open = async (files: readonly File[]) => {
    const world = files.find((one) => WORLD.test(one.name));
    const file = files.find((one) => one !== world);
    if (!file) return;
    if (OUTLINE.test(file.name)) {
      const read = valueOf(await land.ask(async (api) => api.outline(file)));
      openDrawing(read.name ?? file.name.replace(/\.[^.]+$/, ""), read.drawing);
      setPicture(undefined);
      setRefused(read.rejected.length);
      return;
    }
    await show(valueOf(await land.ask(async (api) => api.picture(file, world))));
  };
  return {
    picture,
    busy,
    fault,
    refused,
    open: (files) => act(() => take(() => open(files))),
    openDemo: () =>
      act(() =>
        take(async () => {
          const file = await demoFile();
          await show(valueOf(await land.ask(async (api) => api.picture(file))));
          draw((now) => ({ ...now, discharge: DEMO_AERIAL.discharge, slope: DEMO_AERIAL.slope }));
        }),
      ),
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

const sized = ({ picture, width, height }: Pick<SheetPicture, "picture" | "width" | "height">) => ({
  picture,
  width,
  height,
});

/** The demo stream as a file, as if it had been saved from somewhere. */
async function demoFile(): Promise<File> {
  const { width, height, name } = DEMO_AERIAL;
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext("2d")!.putImageData(new ImageData(demoAerial(), width, height), 0, 0);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/png"));
  return new File([blob!], name, { type: "image/png" });
}

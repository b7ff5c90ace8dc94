"use client";
import { useEffect, useMemo, useState } from "react";
import type { ReachRecord } from "../../core/book/records";
import type { Place } from "../../core/trace/channel";
import { georeferenceOf } from "../../core/trace/georeference";
import { inReach } from "../../core/trace/place-in-reach";
import { act } from "../../state/act";
import { database } from "../../store/database";
import { pictureOf } from "../../store/drawings";

/** The picture that a reach was drawn on, and how its pixels lie on the plan (an SVG matrix, m). */
export interface Underlay {
  url: string;
  width: number;
  height: number;
  matrix: readonly number[];
}

/** The picture kept with a reach; undefined where none was. */
export function useUnderlay(record: ReachRecord | undefined): Underlay | undefined {
  const [picture, setPicture] = useState<(Omit<Underlay, "matrix"> & { of: string }) | undefined>();
  const id = record?.traced && record.id;
  useEffect(() => {
    if (!id) return;
    let url: string | undefined;
    let gone = false;
    act(async () => {
      const found = await pictureOf(database(), id);
      if (!found || gone) return;
      url = URL.createObjectURL(found.picture);
      setPicture({ of: id, url, width: found.width, height: found.height });
    });
    return () => {
      gone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [id]);
  const traced = record?.traced;
  const matrix = useMemo(() => traced && matrixOf(traced), [traced]);
  return picture && matrix && picture.of === id ? { ...picture, matrix } : undefined;
}

/** Pixels of the picture to m of the reach. */
function matrixOf({ drawing, corner, heading }: NonNullable<ReachRecord["traced"]>): readonly number[] | undefined {
  const ground = georeferenceOf(drawing.scale);
  if (!ground) return undefined;
  const onReach = (on: Place): Place => inReach({ corner, heading }, ground.toPlane(on));
  const [o, right, down] = [onReach([0, 0]), onReach([1, 0]), onReach([0, 1])];
  return [right[0] - o[0], right[1] - o[1], down[0] - o[0], down[1] - o[1], o[0], o[1]];
}

"use client";
import { later } from "../widgets/later";

/** The stations, each after the frame with its navigation, river strip and faults: those are there at once. */

const meanwhile = (
  <p role="status" className="grid h-60 place-items-center text-soft">
    Opening the station …
  </p>
);

export const Today = later(() => import("./today/station").then((one) => one.TodayStation), meanwhile);
export const Water = later(() => import("./water/station").then((one) => one.WaterStation), meanwhile);
export const Reach = later(() => import("./reach/station").then((one) => one.ReachStation), meanwhile);
export const Draw = later(() => import("./draw/station").then((one) => one.DrawStation), meanwhile);
export const Film = later(() => import("./film/station").then((one) => one.FilmStation), meanwhile);
export const Rig = later(() => import("./rig/station").then((one) => one.RigStation), meanwhile);
export const Session = later(() => import("./session/station").then((one) => one.SessionStation), meanwhile);
export const Log = later(() => import("./log/station").then((one) => one.LogStation), meanwhile);
export const Help = later(() => import("./help/station").then((one) => one.HelpStation), meanwhile);
export const Learn = later(() => import("./learn/station").then((one) => one.LearnStation), meanwhile);

import type { FieldReading } from "../core/book/records";
import type { Undo } from "../store/change";
import { database } from "../store/database";
import { addReading } from "../store/gauges";
import { clockNow } from "./clock";

type Given = Pick<FieldReading, "station" | "reach" | "kind" | "value"> &
  Partial<Pick<FieldReading, "place" | "mark" | "flow" | "how">>;

/** Keeps a reading of the angler's own, taken now; how far off it may be is not known. */
export const takeReading = (given: Given): Promise<Undo> =>
  addReading(database(), { how: "", ...given, at: new Date(clockNow()).toISOString(), error: null });

import Dexie, { type DexieOptions, type EntityTable } from "dexie";
import type {
  Catch,
  FieldReading,
  Profile,
  ReachRecord,
  Session,
  StationRecord,
  WaterRecord,
} from "../core/book/records";
import type { Observation, Photo, RuleRecord, EffortInterval } from "../core/book/bank-records";
import type { TackleItem } from "../core/rig/tackle-item";
import type { PackedField } from "../core/flow/precomputed";
import type { Drawing } from "../core/trace/drawing-schema";
import type { Preference, WeatherRecord } from "../core/book/preferences";
import { withFeatureIds } from "../core/flow/feature-ids";
import { clampOld } from "./clamp-old";
import { validation } from "./validation";
import type { StoredSeries } from "./series-stored";

/** A solved field kept for next time, packed. `bed` tells which reach it belongs to and in which state. */
export interface StoredField {
  id: string;
  bed: string;
  packed: PackedField;
  ground: { bed: Float32Array; roughness: Float32Array };
  solvedAt: string;
}

/** A reach that is being drawn: under the id of the reach that it will change, or "new". */
export interface DrawingDraft {
  id: string;
  name: string;
  drawing: Drawing;
  updatedAt: string;
}

/** A picture that a reach was drawn on, as it was shrunk; under the reach's id, or "new" while that is drawn. */
export interface KeptPicture {
  id: string;
  picture: Blob;
  width: number;
  height: number;
}

/** Everything in the browser. Strict durability: a write that has been acknowledged is on the disk. */
export class Database extends Dexie {
  stations!: EntityTable<StationRecord, "id">;
  series!: EntityTable<StoredSeries, "id">;
  reaches!: EntityTable<ReachRecord, "id">;
  sessions!: EntityTable<Session, "id">;
  catches!: EntityTable<Catch, "id">;
  fields!: EntityTable<StoredField, "id">;
  waters!: EntityTable<WaterRecord, "id">;
  readings!: EntityTable<FieldReading, "id">;
  profiles!: EntityTable<Profile, "id">;
  tackle!: EntityTable<TackleItem, "id">;
  stretches!: EntityTable<EffortInterval, "id">;
  observations!: EntityTable<Observation, "id">;
  rules!: EntityTable<RuleRecord, "id">;
  photos!: EntityTable<Photo, "id">;
  weather!: EntityTable<WeatherRecord, "id">;
  preferences!: EntityTable<Preference, "id">;
  drawings!: EntityTable<DrawingDraft, "id">;
  pictures!: EntityTable<KeptPicture, "id">;

  /** Nothing of it outlives the page. */
  readonly inMemory: boolean;
  /** What it lies on; undefined where the browser has none. */
  readonly factory: IDBFactory | undefined;
  /** The schema that this version of the application knows. */
  readonly schema: number;

  /** @param ground another store than the browser's own */
  constructor(name = "low-heron", ground: Pick<DexieOptions, "indexedDB" | "IDBKeyRange"> = {}) {
    super(name, { chromeTransactionDurability: "strict", ...ground });
    this.inMemory = ground.indexedDB !== undefined;
    this.factory = ("indexedDB" in ground ? (ground.indexedDB ?? undefined) : globalThis.indexedDB) as
      IDBFactory | undefined;
    this.version(1).stores({
      stations: "id",
      series: "id, station",
      reaches: "id, station",
      sessions: "id, reach, start",
      catches: "id, session, at",
      fields: "id, bed, solvedAt",
    });
    // What the angler knows of a water, and readings taken by hand; and an index that tells whether a long series has
    // changed without reading it.
    this.version(2)
      .stores({ series: "id, station, [station+updatedAt]", waters: "id", readings: "id, station, reach, at" })
      // Fields are kept packed from here on; those kept before are worked out again when they are wanted.
      .upgrade((transaction) => transaction.table("fields").clear());
    // Fish as the angler knows them.
    this.version(3).stores({ profiles: "id" });
    // Objects of a bed are known by ids from here on, so that two hands can move two of them.
    this.version(4)
      .stores({})
      .upgrade(async (transaction) => {
        await transaction
          .table<ReachRecord>("reaches")
          .toCollection()
          .modify((record) => {
            record.reach = withFeatureIds(record.reach);
          });
        // Kept fields have a part by another name; they are worked out again when they are wanted.
        await transaction.table("fields").clear();
      });
    // Readings of a series know when they came in, so that those of two devices join; and nothing is kept from here on
    // that an archive could not hold.
    this.version(5).stores({}).upgrade(clampOld);
    // The tackle box.
    this.version(6).stores({ tackle: "id" });
    // Effort in stretches, what is seen on the bank, local rules, photos.
    this.version(7).stores({
      stretches: "id, session",
      observations: "id, session",
      rules: "id, reach",
      photos: "id, catch",
    });
    // Weather forecasts.
    this.version(8).stores({ weather: "id" });
    // What the angler has said once, and forecasts as records, both in backups from here on.
    this.version(9)
      .stores({ preferences: "id" })
      .upgrade((transaction) =>
        transaction
          .table<WeatherRecord>("weather")
          .toCollection()
          .modify((record) => {
            record.schema = "low-heron/weather@1";
            record.updatedAt = new Date(record.issued).toISOString();
          }),
      );
    // Reaches that are being drawn, and pictures that are kept under a plan: of this browser alone.
    this.version(10).stores({ drawings: "id", pictures: "id" });
    this.schema = this.verno;
    this.use(validation);
  }
}

let shared: Database | undefined;
/** The book that is open: the browser's own, or one in memory. */
export const database = (): Database => (shared ??= new Database());
/** From here on the book is another one. Who looks at the book must look anew. */
export const changeDatabase = (to: Database): void => {
  shared = to;
};

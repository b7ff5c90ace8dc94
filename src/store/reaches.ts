import { InputError } from "../core/quantity/fault";
import { fetched } from "../core/quantity/fetched";
import type { ReachRecord } from "../core/book/records";
import { identified, withFeatureIds } from "../core/flow/feature-ids";
import { moved, placeOf } from "../core/flow/features";
import { reachSize } from "../core/flow/rasterise";
import type { Feature, Reach, Template, WaterReading } from "../core/flow/reach-schema";
import { change, patch, same, setDeleted, type Undo, unpatched } from "./change";
import type { Database } from "./database";
import { newId } from "./identity";

/** Puts a new reach in the book, its objects known by ids. Throws a located fault when it cannot be laid. */
export async function addReach(
  db: Database,
  reach: Reach,
  station: string | null,
  traced?: ReachRecord["traced"],
): Promise<ReachRecord> {
  const sound = await soundness();
  const record: ReachRecord = {
    schema: "low-heron/reach-record@1",
    id: reach.id,
    updatedAt: new Date().toISOString(),
    station,
    reach: sound(reach),
    ...(traced && { traced }),
  };
  await db.reaches.put(record);
  return record;
}

/** Takes a reach out of the book; its sessions stay. */
export const removeReach = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.reaches, id, true);

/** Says which gauge a reach goes by. */
export const setGauge = (db: Database, reach: string, station: string | null): Promise<Undo> =>
  patch(db, db.reaches, reach, { station });

/** What tries whether a reach can be laid comes with the first change of one. */
const soundness = async () => (await fetched(import("../core/flow/sound-reach"))).soundReach;

/** Changes a reach by a function of what it is now; what cannot be laid is not kept. */
async function changeReach(
  db: Database,
  id: string,
  by: (reach: Reach) => Reach,
  back: (reach: Reach, before: Reach) => Reach,
): Promise<Undo> {
  const sound = await soundness();
  return change(
    db,
    db.reaches,
    id,
    (record) => ({ ...record, reach: sound(by(withFeatureIds(record.reach))) }),
    (record, before) => ({ ...record, reach: sound(back(withFeatureIds(record.reach), withFeatureIds(before.reach))) }),
  );
}

/** Sets fields of a reach: roughness, outlet, bearing, name. */
export const patchReach = (
  db: Database,
  id: string,
  fields: Partial<Pick<Reach, "name" | "roughness" | "downstream" | "bearing">>,
): Promise<Undo> =>
  changeReach(
    db,
    id,
    (reach) => ({ ...reach, ...fields }),
    (reach, before) => unpatched<Reach>(reach, before, fields),
  );

/**
 * Takes a fit that moved the bed too: bed, roughness and outlet.
 * @throws InputError "bed-changed" where the bed, or on undo the fit, is another than this step knew
 */
export const takeFittedBed = (
  db: Database,
  id: string,
  from: Reach["bed"],
  { bed, roughness, downstream }: Reach,
): Promise<Undo> => {
  const fields = { bed, roughness, downstream };
  const demandBed = (reach: Reach, known: Reach["bed"]) => {
    if (!same(reach.bed, known)) throw new InputError("bed-changed");
  };
  return changeReach(
    db,
    id,
    (reach) => {
      demandBed(reach, from);
      return { ...reach, ...fields };
    },
    (reach, before) => {
      demandBed(reach, bed);
      return unpatched<Reach>(reach, before, fields);
    },
  );
};

const featuresOf = (reach: Reach) => identified(reach.features ?? []);

/** Changes one object of a bed by a function of what it is now. */
const changeFeature = (
  db: Database,
  reach: string,
  feature: string,
  by: (own: Feature, reach: Reach) => Feature,
  back: (own: Feature, before: Feature, then: Reach) => Feature,
): Promise<Undo> =>
  changeReach(
    db,
    reach,
    (now) => ({
      ...now,
      features: featuresOf(now).map((own) => (own.id === feature ? { ...by(own, now), id: feature } : own)),
    }),
    (now, then) => {
      const before = featuresOf(then).find((own) => own.id === feature);
      if (!before) return now;
      return {
        ...now,
        features: featuresOf(now).map((own) =>
          own.id === feature ? { ...back(own, before, then), id: feature } : own,
        ),
      };
    },
  );

/** Moves an object by so much, m: steps of a held key add up, whoever else moves what. */
export const moveFeature = (
  db: Database,
  reach: string,
  feature: string,
  [dx, dy]: readonly [number, number],
): Promise<Undo> =>
  changeFeature(
    db,
    reach,
    feature,
    (own, now) => moved(own, dx, dy, reachSize(now)),
    (own, before, then) => {
      // What it truly moved by: at an edge it stops.
      const size = reachSize(then);
      const [[ax, ay], [bx, by]] = [placeOf(before), placeOf(moved(before, dx, dy, size))];
      return moved(own, ax - bx, ay - by, size);
    },
  );

/** Sets measures or the name of an object. */
export const patchFeature = (
  db: Database,
  reach: string,
  feature: string,
  fields: Readonly<Record<string, unknown>>,
): Promise<Undo> =>
  changeFeature(
    db,
    reach,
    feature,
    (own) => ({ ...own, ...fields }) as Feature,
    (own, before) => unpatched<Feature>(own, before, fields as Partial<Feature>),
  );

/** Puts an object on the bed; its id comes back. */
export async function addFeature(db: Database, reach: string, feature: Feature): Promise<{ id: string; undo: Undo }> {
  const id = newId();
  const undo = await changeReach(
    db,
    reach,
    (now) => ({ ...now, features: [...featuresOf(now), { ...feature, id }] }),
    (now) => ({ ...now, features: featuresOf(now).filter((own) => own.id !== id) }),
  );
  return { id, undo };
}

/** Takes an object off the bed; undo puts it back where it stood in the list. */
export const removeFeature = (db: Database, reach: string, feature: string): Promise<Undo> =>
  changeReach(
    db,
    reach,
    (now) => ({ ...now, features: featuresOf(now).filter((own) => own.id !== feature) }),
    (now, before) => {
      const index = featuresOf(before).findIndex((own) => own.id === feature);
      const features = featuresOf(now);
      if (index < 0 || features.some((own) => own.id === feature)) return now;
      return { ...now, features: features.toSpliced(index, 0, featuresOf(before)[index]!) };
    },
  );

/** Changes measures of a reach made from a template; its objects keep their places by share. */
export async function reshapeReach(db: Database, id: string, measures: Partial<Omit<Template, "kind">>): Promise<Undo> {
  const { reshaped } = await fetched(import("../core/flow/reshape"));
  return changeReach(
    db,
    id,
    (reach) => reshaped(reach, measures),
    (reach, before) => {
      const { bed } = before;
      if (bed.kind !== "template" || reach.bed.kind !== "template") return reach;
      const back = unpatched(reach.bed, bed, measures);
      return reshaped(reach, back);
    },
  );
}

const sameReading = (a: WaterReading, b: WaterReading): boolean => JSON.stringify(a) === JSON.stringify(b);

export const addWaterReadings = (db: Database, reach: string, readings: readonly WaterReading[]): Promise<Undo> =>
  changeReach(
    db,
    reach,
    (now) => ({ ...now, readings: [...(now.readings ?? []), ...readings] }),
    (now) => readings.reduce((left, reading) => ({ ...left, readings: withoutReading(left, reading) }), now),
  );

export const removeWaterReading = (db: Database, reach: string, reading: WaterReading): Promise<Undo> =>
  changeReach(
    db,
    reach,
    (now) => ({ ...now, readings: withoutReading(now, reading) }),
    (now) => ({ ...now, readings: [...(now.readings ?? []), reading] }),
  );

/** The readings but one: of several that are alike, the last goes. */
function withoutReading({ readings = [] }: Reach, reading: WaterReading): WaterReading[] {
  const index = readings.findLastIndex((one) => sameReading(one, reading));
  return index < 0 ? readings : readings.toSpliced(index, 1);
}

import { fetched } from "../core/quantity/fetched";
import Dexie, { type DBCore, type DBCoreTable, type Middleware } from "dexie";
import { PART_NAMES, type PartName } from "../core/book/log-contents";
import type { checkRecord } from "../core/book/records";
import { unsoundReadings } from "../core/book/series-join";
import { InputError } from "../core/quantity/fault";
import { message } from "../core/quantity/message";
import type { StoredSeries } from "./series-stored";
import { toRecord } from "./series-stored";

type Check = typeof checkRecord;
let check: Check | undefined;

/** The schemas are large and only writes ask for them: they come with the first one, or earlier in a page at rest. */
async function readyGate(): Promise<Check> {
  return (check ??= (await fetched(import("../core/book/records"))).checkRecord);
}

/** Fetches the schemas ahead. Nobody asked for it: where it fails, the first write asks again and tells. */
export function warmValidation(): void {
  readyGate().catch(() => undefined);
}

/**
 * The one gate to the disk: whatever writes, a record is kept only when the schema of the archive holds it, so that
 * what is written can be read back. Refused with its part and field; the transaction that it belongs to leaves nothing.
 */
export const validation: Middleware<DBCore> = {
  stack: "dbcore",
  name: "schema",
  create: (core) => ({
    ...core,
    table: (name) => (PART_NAMES.some((part) => part === name) ? guarded(core.table(name)) : core.table(name)),
  }),
};

/** The same for a series as it is stored: its readings are too many to go through the schema one by one. */
function checkSeries(holds: Check, series: StoredSeries): void {
  const none = { times: new Float64Array(0), values: new Float64Array(0), marks: new Uint16Array(0) };
  holds("series", toRecord({ ...series, ...none }));
  const wrong = unsoundReadings(series);
  if (wrong) throw new InputError("unsound-record", { part: "series", field: wrong.field, issue: message(wrong.rule) });
}

const guarded = (table: DBCoreTable): DBCoreTable => ({
  ...table,
  mutate: (request) => {
    // Upgrades make old records sound; they may not stumble over them.
    const upgrading = (request.trans as IDBTransaction & { mode?: string }).mode === "versionchange";
    if (upgrading || (request.type !== "add" && request.type !== "put")) return table.mutate(request);
    const values = request.values as readonly unknown[];
    const part = table.name as PartName;
    const write = (holds: Check) => {
      for (const value of values)
        if (part === "series") checkSeries(holds, value as StoredSeries);
        else holds(part, value);
      return table.mutate(request);
    };
    // The transaction is kept alive meanwhile.
    return check ? write(check) : Dexie.waitFor(readyGate()).then(write);
  },
});

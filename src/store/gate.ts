import type { DBCore, DBCoreTable, Middleware } from "dexie";
import { checkRecord, type PartName, PARTS } from "../core/book/records";
import { unsoundReadings } from "../core/book/series-join";
import { InputError } from "../core/quantity/fault";
import { message } from "../core/quantity/message";
import type { StoredSeries } from "./series-stored";
import { toRecord } from "./series-stored";

/**
 * The one gate to the disk: whatever writes, a record is kept only when the schema of the archive holds it, so that
 * what is written can be read back. Refused with its part and field; the transaction that it belongs to leaves nothing.
 */
export const gate: Middleware<DBCore> = {
  stack: "dbcore",
  name: "schema",
  create: (core) => ({ ...core, table: (name) => (name in PARTS ? guarded(core.table(name)) : core.table(name)) }),
};

/** The same for a series as it is stored: its readings are too many to go through the schema one by one. */
function checkSeries(series: StoredSeries): void {
  const none = { times: new Float64Array(0), values: new Float64Array(0), marks: new Uint16Array(0) };
  checkRecord("series", toRecord({ ...series, ...none }));
  const wrong = unsoundReadings(series);
  if (wrong) throw new InputError("unsound-record", { part: "series", field: wrong.field, issue: message(wrong.rule) });
}

const guarded = (table: DBCoreTable): DBCoreTable => ({
  ...table,
  mutate: (request) => {
    // Upgrades make old records sound; they may not stumble over them.
    const upgrading = (request.trans as IDBTransaction & { mode?: string }).mode === "versionchange";
    if ((request.type === "add" || request.type === "put") && !upgrading)
      for (const value of request.values as unknown[]) {
        const part = table.name as PartName;
        if (part === "series") checkSeries(value as StoredSeries);
        else checkRecord(part, value);
      }
    return table.mutate(request);
  },
});

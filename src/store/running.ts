import type { Session } from "../core/book/records";
import type { Database } from "./database";

/** The session that runs; undefined without one. */
export const runningSession = (db: Database): Promise<Session | undefined> =>
  db.sessions.filter((one) => one.end === null && !one.deleted).first();

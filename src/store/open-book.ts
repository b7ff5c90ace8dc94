import { InputError } from "../core/quantity/fault";
import type { Database } from "./database";
import { namesOf } from "./failure";

/** A browser that says nothing for so long is not waited for any more, ms. */
export const PATIENCE = 5000;

/** Why a browser does not open its book. */
type NotOpened = "absent" | "denied" | "full" | "newer" | "blocked" | "slow" | "broken";

const REASONS: Readonly<Record<string, NotOpened>> = {
  MissingAPIError: "absent",
  SecurityError: "denied",
  InvalidStateError: "denied",
  QuotaExceededError: "full",
};

const notOpened = (reason: NotOpened, detail = "") => new InputError("book-not-opened", { reason, detail });

/** Dexie counts ten of the browser's versions to one of its own, and takes steps between them for itself. */
const STEPS = 10;

/** Opens a book that this version knows: Dexie by itself would open a newer one as well, and change it. */
async function openKnown(db: Database): Promise<void> {
  const found = await db.factory?.databases?.().catch(() => []);
  const version = found?.find((one) => one.name === db.name)?.version ?? 0;
  if (Math.floor(version / STEPS) > db.schema) throw notOpened("newer");
  await db.open();
}

/**
 * Opens the book, or tells within five seconds why it cannot be.
 * @throws InputError "book-not-opened" with its reason
 */
export async function openBook(db: Database, patience = PATIENCE): Promise<void> {
  let blocked = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const onBlocked = () => {
    blocked = true;
  };
  db.on.blocked.subscribe(onBlocked);
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(notOpened(blocked ? "blocked" : "slow")), patience);
  });
  try {
    await Promise.race([openKnown(db), late]);
  } catch (error) {
    if (error instanceof InputError) throw error;
    const reason = namesOf(error)
      .map((name) => REASONS[name])
      .find((one) => one !== undefined);
    throw notOpened(reason ?? "broken", (error as Error).message.split("\n")[0]!.slice(0, 200));
  } finally {
    clearTimeout(timer);
    db.on.blocked.unsubscribe(onBlocked);
  }
}

import Dexie, { type DexieOptions, type EntityTable } from "dexie";
import { shortName } from "../scenario/key";

/** What was worked out under a key, kept for next time. */
interface StoredAnswer {
  id: string;
  /** In full: the id is a short name of it, and two keys may share one. */
  key: string;
  value: unknown;
  /** Version of the models that it was worked out by. */
  models: string;
  bytes: number;
  /** ms */
  usedAt: number;
}

/**
 * Answers of the models by content. A store apart from the log: it can be deleted at any time, and nothing but time is
 * lost with it, so that its writes need not reach the disk at once.
 */
export class AnswerStore extends Dexie {
  answers!: EntityTable<StoredAnswer, "id">;

  constructor(
    /** Version of the models: answers of another are deleted. */
    readonly models: string,
    /** Most bytes that are kept, about; the least recently used go first. */
    readonly most = 30e6,
    ground: Pick<DexieOptions, "indexedDB" | "IDBKeyRange"> = {},
  ) {
    super("low-heron-answers", { chromeTransactionDurability: "relaxed", ...ground });
    this.version(1).stores({ answers: "id, models, [usedAt+bytes]" });
    this.on("ready", () => this.answers.where("models").notEqual(models).delete());
  }
}

/** An answer that is used again is marked so not more often than this, ms. */
const MARKED = 6 * 3_600_000;

/** The answer that is kept under a key, or undefined. */
export async function keptAnswer(
  store: AnswerStore,
  key: string,
  now: number,
): Promise<{ value: unknown } | undefined> {
  const kept = await store.answers.get(shortName(key));
  if (!kept || kept.key !== key || kept.models !== store.models) return undefined;
  if (now - kept.usedAt > MARKED) await store.answers.update(kept.id, { usedAt: now });
  return { value: kept.value };
}

/** Keeps an answer; the least recently used go where there are too many. One that is too large alone is not kept. */
export async function keepAnswer(store: AnswerStore, key: string, value: unknown, now: number): Promise<void> {
  const bytes = bytesOf(value) + 2 * key.length;
  if (bytes > store.most / 4) return;
  await store.transaction("rw", store.answers, async () => {
    await store.answers.put({ id: shortName(key), key, value, models: store.models, bytes, usedAt: now });
    const all = await sizes(store);
    let over = all.reduce((sum, one) => sum + one.bytes, 0) - store.most;
    const gone: string[] = [];
    for (const { id, bytes: each } of all) {
      if (over <= 0) break;
      over -= each;
      gone.push(id);
    }
    await store.answers.bulkDelete(gone);
  });
}

/** What each kept answer takes, the least recently used first: the index alone tells, and no answer is read. */
async function sizes(store: AnswerStore): Promise<{ id: string; bytes: number }[]> {
  const found: { id: string; bytes: number }[] = [];
  await store.answers.orderBy("[usedAt+bytes]").eachKey((key, { primaryKey }) => {
    found.push({ id: primaryKey, bytes: (key as unknown as [number, number])[1] });
  });
  return found;
}

/** Bytes that all kept answers take, about. */
export const answersSize = async (store: AnswerStore): Promise<number> =>
  (await sizes(store)).reduce((sum, { bytes }) => sum + bytes, 0);

/** What a value takes in a store, bytes, about. */
export function bytesOf(value: unknown): number {
  if (typeof value === "string") return 2 * value.length;
  if (typeof value !== "object" || value === null) return 8;
  if (ArrayBuffer.isView(value)) return value.byteLength;
  if (value instanceof Map) return bytesOf([...value.entries()]);
  return Object.entries(value).reduce(
    (sum, [name, one]) => sum + (Array.isArray(value) ? 0 : name.length) + bytesOf(one),
    16,
  );
}

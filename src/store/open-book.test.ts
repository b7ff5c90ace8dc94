import "fake-indexeddb/auto";
import { IDBFactory, IDBKeyRange } from "fake-indexeddb";
import { InputError } from "../core/quantity/fault";
import { faultText } from "../words/messages";
import { Database } from "./database";
import { openBook } from "./open-book";

type Ground = NonNullable<ConstructorParameters<typeof Database>[1]>;

/** Why a book on this ground does not open. */
async function refusal(ground: Ground, patience?: number): Promise<string> {
  const error: unknown = await openBook(new Database("book", ground), patience).then(
    () => undefined,
    (thrown: unknown) => thrown,
  );
  expect(error).toBeInstanceOf(InputError);
  const { fault } = error as InputError;
  expect(fault.code).toBe("book-not-opened");
  expect(faultText(fault)).toMatch(/^The log couldn’t be opened\. [A-Z][^.]*\./);
  return String(fault.values.reason);
}

const opening = (open: () => IDBOpenDBRequest): Ground => {
  const indexedDB = new IDBFactory();
  indexedDB.open = open;
  return { indexedDB, IDBKeyRange };
};
const thrown = (name: string) =>
  opening(() => {
    throw new DOMException("not here", name);
  });

test.each([
  ["SecurityError", "denied"],
  ["InvalidStateError", "denied"],
  ["QuotaExceededError", "full"],
  ["ConstraintError", "broken"],
])("storage that answers %s is told as %s", async (name, reason) => {
  expect(await refusal(thrown(name))).toBe(reason);
});

test("storage that is not there, and storage that never answers, are told", async () => {
  expect(await refusal({ indexedDB: null as unknown as IDBFactory, IDBKeyRange })).toBe("absent");
  const begun = Date.now();
  expect(
    await refusal(
      opening(() => new EventTarget() as IDBOpenDBRequest),
      60,
    ),
  ).toBe("slow");
  expect(Date.now() - begun).toBeLessThan(3000);
});

test("another tab with an older book is told; once it is closed, the same book opens", async () => {
  const indexedDB = new IDBFactory();
  const older = await new Promise<IDBDatabase>((resolve) => {
    const request = indexedDB.open("book", 10);
    request.onupgradeneeded = () => request.result.createObjectStore("stations", { keyPath: "id" });
    request.onsuccess = () => resolve(request.result);
  });
  // It holds on to it, as a tab of an older version would.
  older.onversionchange = () => undefined;
  const db = new Database("book", { indexedDB, IDBKeyRange });
  await expect(openBook(db, 150)).rejects.toMatchObject({ fault: { values: { reason: "blocked" } } });
  older.close();
  await openBook(db);
  expect(await db.reaches.count()).toBe(0);
});

test("a book of a newer version is not touched, and is told as newer", async () => {
  const indexedDB = new IDBFactory();
  const versionOf = async () => (await indexedDB.databases())[0]!.version;
  const open = new Database("book", { indexedDB, IDBKeyRange });
  await openBook(open);
  open.close();
  // Steps that Dexie takes for itself are no newer version.
  const make = (version: number) =>
    new Promise<void>((resolve) => {
      const request = indexedDB.open("book", version);
      request.onsuccess = () => {
        request.result.close();
        resolve();
      };
    });
  await make(open.schema * 10 + 1);
  await openBook(new Database("book", { indexedDB, IDBKeyRange })).then();
  const newer = (open.schema + 1) * 10;
  const again = new IDBFactory();
  await new Promise<void>((resolve) => {
    const request = again.open("book", newer);
    request.onupgradeneeded = () => request.result.createObjectStore("flights", { keyPath: "id" });
    request.onsuccess = () => {
      request.result.close();
      resolve();
    };
  });
  expect(await refusal({ indexedDB: again, IDBKeyRange })).toBe("newer");
  expect((await again.databases())[0]!.version).toBe(newer);
  expect(await versionOf()).toBeGreaterThanOrEqual(open.schema * 10 + 1);
});

test("a sound book opens, and opening it again is no harm", async () => {
  const db = new Database("sound", { indexedDB: new IDBFactory(), IDBKeyRange });
  await openBook(db);
  await openBook(db);
  expect(db.isOpen()).toBe(true);
  expect(db.inMemory).toBe(true);
});

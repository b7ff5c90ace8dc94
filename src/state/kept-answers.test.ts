import "fake-indexeddb/auto";
import { answered } from "./kept-answers";
import { deleteCalculations, savedCalculations } from "./saved-calculations";
import * as store from "../store/answers";

jest.mock("../store/answers", () => ({ __esModule: true, ...jest.requireActual<object>("../store/answers") }));
const mocked = store as jest.Mocked<typeof store>;

/** Until what is kept after it is shown is kept. */
const rest = () => new Promise((resolve) => setTimeout(resolve, 50));

afterEach(() => jest.restoreAllMocks());

test("what was worked out is not worked out again, until its space is freed; another key is another question", async () => {
  let worked = 0;
  const ask = (key: string) => answered("stage", key, async () => ({ turn: ++worked }));
  expect(await ask("a")).toEqual({ turn: 1 });
  await rest();
  expect(await ask("a")).toEqual({ turn: 1 });
  expect(await ask("b")).toEqual({ turn: 2 });
  expect(await answered("other", "a", async () => 7)).toBe(7);
  await rest();
  expect((await savedCalculations()).bytes).toBeGreaterThan(0);
  await deleteCalculations();
  expect((await savedCalculations()).bytes).toBe(0);
  expect(await ask("a")).toEqual({ turn: 3 });
});

test("what failed, or what nobody waits for any more, is not kept", async () => {
  await expect(answered("stage", "fails", () => Promise.reject(new Error("no")))).rejects.toThrow("no");
  await rest();
  expect(await answered("stage", "fails", async () => 1)).toBe(1);
  const control = new AbortController();
  const late = answered(
    "stage",
    "late",
    async () => {
      control.abort();
      return "of a log that has changed";
    },
    control.signal,
  );
  expect(await late).toBe("of a log that has changed");
  await rest();
  expect(await answered("stage", "late", async () => "anew")).toBe("anew");
});

test("a browser that refuses to keep answers, or does not say what it keeps, holds nothing up", async () => {
  jest.spyOn(mocked, "keepAnswer").mockRejectedValue(new DOMException("full", "QuotaExceededError"));
  expect(await answered("stage", "full", async () => 1)).toBe(1);
  await rest();
  let answer!: () => void;
  const asked = jest
    .spyOn(mocked, "keptAnswer")
    .mockImplementationOnce(() => new Promise((resolve) => (answer = () => resolve(undefined))));
  jest.useFakeTimers();
  const waiting = answered("stage", "hangs", async () => 2);
  await jest.advanceTimersByTimeAsync(1000);
  expect(await waiting).toBe(2);
  jest.useRealTimers();
  // It is not waited for a second time, until it has answered.
  expect(await answered("stage", "hangs", async () => 3)).toBe(3);
  expect(asked).toHaveBeenCalledTimes(1);
  answer();
  await rest();
  expect(await answered("stage", "hangs", async () => 4)).toBe(4);
  expect(asked).toHaveBeenCalledTimes(2);
});

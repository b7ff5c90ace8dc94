import { useNotices } from "./notices";
import { useSettings } from "./settings";

const KEY = "low-heron-settings";
const reload = async (kept: unknown) => {
  localStorage.setItem(KEY, typeof kept === "string" ? kept : JSON.stringify({ state: kept, version: 0 }));
  await useSettings.persist.rehydrate();
  return useSettings.getState();
};

test("what was kept comes back; what cannot be read falls back by itself, field by field", async () => {
  const settings = await reload({ system: "us", species: "walleye", school: "from-the-moon", height: 99, light: 3 });
  expect(settings).toMatchObject({ system: "us", species: "walleye", school: "from-below", light: "auto" });
  expect(settings.height).toBeGreaterThan(1);
  expect(settings.height).toBeLessThan(2.3);
});

test.each([
  ["not an object", "7"],
  ["nothing", null],
  ["a list", []],
])("%s gives a new browser's settings", async (_, kept) => {
  expect(await reload(kept)).toMatchObject({ demo: null, thunderAt: null, demoRemoved: false });
});

test("choices and what the bottom has taught come back for each method; what is none of them falls back", async () => {
  localStorage.setItem(
    "low-heron-settings",
    JSON.stringify({
      state: {
        choices: { jig: { purpose: "down", nonsense: "x", leader: 4 }, kite: { purpose: "down" } },
        learned: { drift: { pull: 99, dragArea: -1 }, jig: { pull: "x", dragArea: 0.0004 } },
      },
      version: 0,
    }),
  );
  await useSettings.persist.rehydrate();
  const { choices, learned } = useSettings.getState();
  expect(choices).toEqual({ jig: { purpose: "down" } });
  expect(learned).toEqual({ drift: { pull: 5 }, jig: { pull: 1, dragArea: 0.0004 } });
});

test("what the angler expects of the sky is kept with its day; what is none of the known words is not said", async () => {
  const kept = async (expected: unknown) => (await reload({ expected })).expected;
  expect(await kept({ day: "2026-05-14", cloud: "overcast", wind: "gale" })).toEqual({
    day: "2026-05-14",
    cloud: "overcast",
    wind: null,
  });
  expect(await kept({ cloud: "overcast" })).toBeNull();
  expect(await kept("overcast")).toBeNull();
});

test("what is looked at just now is not kept", () => {
  useSettings.getState().set({ flow: 12, lie: { x: 1, y: 2 }, system: "metric" });
  const kept = JSON.parse(localStorage.getItem(KEY)!) as { state: Record<string, unknown> };
  expect(kept.state).not.toHaveProperty("flow");
  expect(kept.state).not.toHaveProperty("lie");
  expect(kept.state).toMatchObject({ system: "metric" });
});

test("where the browser keeps no settings they hold for the page, and that is said once", () => {
  const keep = jest.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
    throw new DOMException("full", "QuotaExceededError");
  });
  useSettings.getState().set({ system: "us" });
  useSettings.getState().set({ species: "walleye" });
  keep.mockRestore();
  expect(useSettings.getState()).toMatchObject({ system: "us", species: "walleye" });
  expect(useNotices.getState().list.map((one) => one.text)).toEqual([
    expect.stringMatching(/doesn’t save settings/) as string,
  ]);
});

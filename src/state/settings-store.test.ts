import fc from "fast-check";
import { SETTINGS_NAME, sharedSettings } from "./settings-store";

/** A browser's storage that all tabs share. */
function storage(): Storage {
  const kept = new Map<string, string>();
  return {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, text: string) => void kept.set(name, text),
    removeItem: (name: string) => void kept.delete(name),
  } as unknown as Storage;
}

const FIELDS = ["system", "style", "drills", "columns"] as const;
type Fields = Record<(typeof FIELDS)[number], number>;

test("tabs that set different things keep all of them: the last word on each field stands", () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.constantFrom(...FIELDS), fc.integer()), { maxLength: 30 }),
      (steps) => {
        const place = storage();
        const first: Fields = { system: 0, style: 0, drills: 0, columns: 0 };
        place.setItem(SETTINGS_NAME, JSON.stringify({ state: first, version: 0 }));
        const tabs = [0, 1, 2].map(() => {
          const store = sharedSettings(
            () => place,
            () => undefined,
          );
          const { state } = JSON.parse(store.getItem(SETTINGS_NAME)!) as { state: Fields };
          return { store, state };
        });
        const wanted: Fields = { ...first };
        for (const [tab, field, value] of steps) {
          const { store, state } = tabs[tab]!;
          // What a tab sees as its own value already is no change of it.
          if (state[field] !== value) wanted[field] = value;
          state[field] = value;
          store.setItem(SETTINGS_NAME, JSON.stringify({ state, version: 0 }));
        }
        expect(JSON.parse(place.getItem(SETTINGS_NAME)!)).toEqual({ state: wanted, version: 0 });
      },
    ),
    { numRuns: 300 },
  );
});

test("a place that is blocked is told once, and nothing throws", () => {
  const told = jest.fn();
  const store = sharedSettings(() => {
    throw new Error("denied");
  }, told);
  expect(store.getItem(SETTINGS_NAME)).toBeNull();
  for (let k = 0; k < 3; k++) store.setItem(SETTINGS_NAME, JSON.stringify({ state: { system: k } }));
  expect(told).toHaveBeenCalledTimes(1);
});

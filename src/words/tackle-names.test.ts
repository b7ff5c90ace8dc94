import { readTackle } from "../core/formats/tackle-csv";
import { KIND_NAMES, MEASURE_NAMES } from "./tackle";

test("a tackle file reads what the screens say: kinds, measures, and units of its header", () => {
  for (const [kind, name] of Object.entries(KIND_NAMES)) {
    const { items, rejected } = readTackle(`Kind,Name,Length (ft)\n${name},mine,\n${name.toUpperCase()}s,mine,\n`);
    const refusedFor = rejected.map(({ reason }) => reason.values.name);
    // Some kinds need a measure; what is asked for is never the kind.
    expect(refusedFor).not.toContain("kind");
    for (const item of items) expect(item.kind).toBe(kind);
  }
  const file = readTackle(
    `Kind,Name,Weight (oz),${MEASURE_NAMES.dives} (ft)\nSpoon,heavy,1 3/4,\nSinker,small,1/4 oz,\nPlug,deep,0.5,6\n`,
  );
  expect(file.rejected).toEqual([]);
  expect(file.items[0]).toMatchObject({ kind: "spoon", grams: expect.closeTo(49.612, 2) as number });
  expect(file.items[2]).toMatchObject({ kind: "plug", dives: expect.closeTo(1.8288, 6) as number });
  expect(file.items[1]).toMatchObject({ kind: "weight", grams: expect.closeTo(7.087, 2) as number });
});

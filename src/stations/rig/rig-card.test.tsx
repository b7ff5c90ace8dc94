import "@testing-library/jest-dom";
import { render, screen, within } from "@testing-library/react";
import type { Lie } from "../../core/fish/read";
import { adviseRig } from "../../core/rig/advise";
import { RigCard } from "./rig-card";
import { tackleEntries, tackleSchema } from "./tackle";

const lie = { depth: 1.2, meanSpeed: 0.4 } as Lie;
const request = {
  method: "float" as const,
  species: "brown-trout",
  water: { depth: 1.2, meanSpeed: 0.4, visibleDepth: 0.3, temperature: 10 },
};

test("the card says what the advice says: setting, lure, colours in order, every shot", () => {
  const advice = adviseRig(request);
  render(<RigCard lie={lie} advice={advice} system="metric" />);
  expect(screen.getByTestId("setting")).toHaveTextContent(`${advice.setting.toFixed(2)}m`);
  const colours = within(screen.getByRole("list", { name: "Colours, best first" })).getAllByRole("listitem");
  expect(colours.map((one) => one.textContent)).toEqual(advice.lure.colours.map((one, k) => `${k + 1}. ${one}`));
  const rows = within(screen.getByRole("table", { name: "Shot on the line" }))
    .getAllByRole("row")
    .slice(1);
  expect(rows).toHaveLength(advice.shot.length);
  rows.forEach((row, k) => {
    const { count, size, below } = advice.shot[k]!;
    expect(row).toHaveTextContent(`${count} × ${size}`);
    expect(row).toHaveTextContent(`${below.toFixed(2)} m`);
  });
});

test("in US units, and with the cautions of a fish that is rigged as for trout in water too warm for it", () => {
  const advice = adviseRig({ ...request, species: "walleye", water: { ...request.water, temperature: 30 } });
  render(<RigCard lie={lie} advice={advice} system="us" />);
  expect(screen.getByTestId("setting")).toHaveTextContent(`${(advice.setting / 0.3048).toFixed(1)}ft`);
  expect(advice.cautions.length).toBeGreaterThan(0);
  expect(screen.getAllByText("▲")).toHaveLength(advice.cautions.length);
});

describe("the tackle", () => {
  const schema = tackleSchema("metric");
  const entries = tackleEntries("metric");

  test("as it stands at first is what the rig takes by itself", () => {
    const own = schema.parse(entries);
    expect(own.tackle).not.toHaveProperty("capacity");
    expect(own.style).toEqual({});
    expect(adviseRig({ ...request, ...own }).setting).toBeCloseTo(adviseRig(request).setting, 9);
    expect(own.tackle).toMatchObject({ lineDiameter: 0.0002, leader: 0.4, metal: "tin" });
  });

  test("in any unit, the float in grams of shot", () => {
    const own = schema.parse({ ...entries, capacity: "0.1 oz", line: "0.008 in", leader: "1 ft", shotting: "bulk" });
    expect(own.tackle!.capacity).toBeCloseTo(2.8349523, 5);
    expect(own.tackle!.lineDiameter).toBeCloseTo(0.0002032, 8);
    expect(own.tackle!.leader).toBeCloseTo(0.3048, 6);
    expect(own.style).toEqual({ shotting: "bulk" });
  });

  test.each([
    ["capacity", "0.19 g"],
    ["capacity", "31 g"],
    ["line", "0.04 mm"],
    ["line", "2.1 mm"],
    ["leader", "9 cm"],
    ["leader", "3.1 m"],
    ["leader", "long"],
  ])("%s of “%s” is refused", (field, text) => {
    const { error } = schema.safeParse({ ...entries, [field]: text });
    expect(error!.issues.map((issue) => issue.path[0])).toEqual([field]);
  });
});

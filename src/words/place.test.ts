import { breakName, placeWords } from "./place";

test("a break by its own name, or by its kind", () => {
  expect(breakName({ kind: "stone", name: "split stone" })).toBe("the split stone");
  expect(breakName({ kind: "wood" })).toBe("the log jam");
});

test("places by the break or the piece of structure they belong to", () => {
  const stone = { kind: "stone", name: "split stone" } as const;
  expect(placeWords({ kind: "above", break: stone })).toBe("Cushion above the split stone");
  expect(placeWords({ kind: "below", break: stone })).toBe("Slack below the split stone");
  expect(placeWords({ kind: "slot" })).toBe("Slot below the riffle");
  expect(placeWords({ kind: "seam-edge", side: "left" })).toBe("Edge of the fast water, slack on the left");
  expect(placeWords({ kind: "seam-off", break: { kind: "stone", name: "split stone" } })).toBe(
    "Seam off the split stone",
  );
  expect(placeWords({ kind: "bank-edge", side: "right" })).toBe("Soft edge by the right bank");
});

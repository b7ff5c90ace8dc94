import { speciesSchema } from "../core/fish/species-schema";
import { checkReach } from "../core/flow/reach";
import { InputError } from "../core/quantity/fault";
import { answer } from "../core/quantity/answer";
import { fieldWords } from "./fields";
import { faultText } from "./messages";

test.each([
  ["bed.slope", "slope of the bed"],
  ["features[2].diameter", "diameter of no. 3 of the objects"],
  ["bed.poolDepth", "depth of the pool of the bed"],
  ["downstream", "foot of the reach"],
  ["bed.z[4]", "no. 5 of the heights of the bed"],
  ["someNewField", "some new field"],
])("%s is told as “%s”", (path, words) => {
  expect(fieldWords(path)).toBe(words);
});

test("what a reach file holds wrong is told by field, what was read and what is wanted: no path, no code", () => {
  const reach = (bed: object) => ({
    schema: "low-heron/reach@1",
    id: "r",
    name: "r",
    roughness: 0.03,
    downstream: { kind: "normal", slope: 0.001 },
    bed: {
      kind: "template",
      template: "riffle-run-pool",
      length: 60,
      width: 12,
      poolDepth: 1,
      slope: 0.002,
      wiggle: 1,
      cell: 1,
      ...bed,
    },
  });
  const told = (bed: object) => {
    const found = answer(() => checkReach(reach(bed)));
    if (found.ok) throw new Error("it was taken");
    return faultText(found.fault);
  };
  expect(told({ slope: NaN })).toBe("The slope of the bed is not valid: NaN was found, but a number is needed.");
  expect(told({ width: "wide" })).toBe("The width of the bed is not valid: “wide” was found, but a number is needed.");
  expect(told({ slope: undefined })).toBe("The slope of the bed is not valid: nothing is there; a number is needed.");
  expect(told({ length: -4 })).toMatch(/^The length of the bed is not valid: −?-?4 was found, but it must be /);
  for (const words of [told({ slope: NaN }), told({ width: [] })]) expect(words).not.toMatch(/expected|received|bed\./);
});

test("a profile too", () => {
  expect(speciesSchema.safeParse({}).success).toBe(false);
  expect(
    faultText(
      new InputError("bad-rig", {
        path: "water.depth",
        issue: { code: "wrong-type", values: { expected: "number", read: "x" } },
      }).fault,
    ),
  ).toBe("The depth of the water is not valid: “x” was found, but a number is needed.");
});

import fc from "fast-check";
import { SPECIES } from "../fish/species-list";
import { speciesById } from "../fish/species";
import { InputError } from "../quantity/fault";
import { methodsFor } from "../tactics/fished-with";
import { adviseRig, parseRigRequest } from "./advise";
import { CHOICES } from "./choice-names";
import { choicesFor } from "./choices";
import { learnedFrom, UNLEARNED, withLearned } from "./learned";
import type { RigRequest } from "./request";
import { withChoices } from "./with-choices";

const request = (change: Partial<RigRequest> = {}, at: Partial<RigRequest["water"]> = {}): RigRequest => ({
  method: "jig",
  species: "walleye",
  ...change,
  water: { depth: 3, meanSpeed: 0.6, bedRoughness: 0.1, visibleDepth: 1, temperature: 13, ...at },
});

test("each answer, chosen, is what the rig is then: its figures are those of the advice with it", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SPECIES.map(({ id }) => id)),
      fc.nat(20),
      fc.double({ min: 0.6, max: 5, noNaN: true }),
      fc.double({ min: 0.1, max: 1.2, noNaN: true }),
      fc.nat(100),
      fc.nat(100),
      (species, at, depth, meanSpeed, which, answer) => {
        const methods = methodsFor(species);
        const asked = request({ species, method: methods[at % methods.length]! }, { depth, meanSpeed });
        const choices = choicesFor(parseRigRequest(asked), speciesById(species));
        expect(choices.length).toBeGreaterThan(0);
        for (const { answers } of choices) expect(answers.filter(({ chosen }) => chosen).length).toBeLessThanOrEqual(1);
        const { choice, answers } = choices[which % choices.length]!;
        const { value, figures } = answers[answer % answers.length]!;
        const taken = withChoices(asked, { [choice]: value });
        const again = choicesFor(parseRigRequest(taken), speciesById(species));
        const same = again.find((one) => one.choice === choice)!.answers.find((one) => one.value === value)!;
        expect([choice, same]).toEqual([choice, { value, chosen: true, figures }]);
      },
    ),
    { numRuns: 10 },
  );
}, 60_000);

test("a choice that has no such answer is passed over; every choice applies somewhere", () => {
  expect(withChoices(request(), { purpose: "sideways", retrieve: "dead-drift" })).toEqual(request());
  const all = new Set(
    (["float", "jig", "sinker"] as const).flatMap((method) =>
      choicesFor(parseRigRequest(request({ method })), speciesById("walleye")).map(({ choice }) => choice),
    ),
  );
  expect(all).toEqual(new Set(CHOICES));
});

test("own bait stays where bait is fished, and is told where a lure is in its place", () => {
  const bait = { kind: "fish-strip" as const };
  const told = (method: RigRequest["method"]) => adviseRig(request({ method, tackle: { bait } }));
  expect(told("sinker").lure.size).toMatchObject({ bait: "fish-strip" });
  expect(told("float").lure.size).toMatchObject({ bait: "fish-strip" });
  for (const method of ["jig", "plug", "spinner"] as const)
    expect(told(method).reasons.map(({ code }) => code)).toContain("bait-not-used");
  expect(() => adviseRig(request({ tackle: { bait: {} } }))).toThrow(InputError);
});

test("what the bottom says moves the pull of the line: heavier where it never touches, lighter where it drags, and back", () => {
  const grams = (learned = UNLEARNED) =>
    adviseRig(
      withLearned(
        request({ method: "drift", species: "brown-trout" }, { depth: 1, meanSpeed: 0.8 }),
        learned,
      ) as RigRequest & { method: "drift" },
    ).grams;
  const times = (said: "never-touches" | "drags") => [1, 2, 3, 4].reduce((one) => learnedFrom(one, said), UNLEARNED);
  const [heavier, lighter] = [times("never-touches"), times("drags")];
  expect(grams(heavier)).toBeGreaterThan(grams());
  expect(grams(lighter)).toBeLessThan(grams());
  expect(learnedFrom(learnedFrom(UNLEARNED, "drags"), "never-touches").pull).toBeCloseTo(1, 9);
  let far = UNLEARNED;
  for (let k = 0; k < 30; k++) far = learnedFrom(far, "never-touches");
  expect(far.pull).toBeLessThanOrEqual(5);
  // A timed drop is kept beside it; what the box says of the lure goes first.
  const dropped = learnedFrom({ pull: 1, dragArea: 1e-4 }, "drags");
  expect(dropped.dragArea).toBe(1e-4);
  expect(withLearned(request(), dropped).tackle).toMatchObject({ dragArea: 1e-4 });
  expect(withLearned(request({ tackle: { dragArea: 2e-4 } }), dropped).tackle).toMatchObject({ dragArea: 2e-4 });
});

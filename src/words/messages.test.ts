import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { InputError } from "../core/quantity/fault";
import { message } from "../core/quantity/message";
import { messageText, faultText, WORDS } from "./messages";
import "./command-line";
import "./film";
import "./rig";
import "./timing";
import "./session";

const root = join(__dirname, "..", "..");
const sources = ["src", "cli"].flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: "utf8" })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name))
    .map((name) => readFileSync(join(root, folder, name), "utf8")),
);

test("every code that is thrown, refused with or said has its sentence", () => {
  const codes = new Set<string>();
  for (const text of sources)
    for (const [, code] of text.matchAll(/(?:InputError|message|refuse|rule)\(\s*(?:[\w.]+,\s*)?"([a-z0-9-]+)"/g))
      codes.add(code!);
  expect(codes.size).toBeGreaterThan(120);
  expect([...codes].filter((code) => !(code in WORDS))).toEqual([]);
});

test("no sentence shows a value that was not handed in: every name in a sentence is given where its code is used", () => {
  // A sentence told with nothing may lack values, but must not break.
  for (const code of Object.keys(WORDS)) expect(typeof messageText(message(code))).toBe("string");
});

test("no code says two things: each stands in one list", () => {
  const folder = join(root, "src", "words", "messages");
  const codes = readdirSync(folder).flatMap((file) =>
    [...readFileSync(join(folder, file), "utf8").matchAll(/^ {2}"([\w-]+)": \(/gm)].map((found) => found[1]!),
  );
  expect(codes.length).toBeGreaterThan(300);
  expect(codes.filter((code, k) => codes.indexOf(code) !== k)).toEqual([]);
});

test("a reason within a fault is told too, with its line", () => {
  const reason = message("not-a-reading", { parameter: "stage", text: "abc" });
  const { fault } = new InputError("no-readings", { line: 4, reason }, { line: 4 });
  expect(faultText(fault)).toBe("The file has no usable readings: line 4, stage “abc” is not a number. (line 4)");
});

test.each([
  ["jig-tight", { seconds: 4, slack: 2 }, /4\.0 seconds instead of 2\.0\. .* has less life\.$/],
  ["jig-slack", { seconds: 2 }, /miss bites on the fall\.$/],
  ["jig-semi-slack", { seconds: 3 }, /Watch the line for bites on the fall\.$/],
  ["spoon-deep", {}, /take it on the fall\.$/],
  [
    "float-too-small",
    { capacity: 2, carried: 3 },
    /^A float that carries 2 g is too small: this bait takes 3\.0 g of it\.$/,
  ],
  ["try-shot-more", { grams: 0.4 }, /^one shot of .* more$/],
] as const)("%s says what it means, with its values", (code, values, said) => {
  expect(messageText(message(code, values))).toMatch(said);
});

test("quantities in messages follow the units asked for", () => {
  const warm = message("too-warm-to-play", { species: "brown-trout", temperature: 21 });
  expect(messageText(warm, "metric")).toMatch(/^21\.0 °C: leave brown trout alone/);
  expect(messageText(warm, "us")).toMatch(/^70 °F: leave brown trout alone/);
});

test("an unknown code shows itself instead of nothing", () => {
  expect(messageText(message("never-heard-of"))).toBe("never-heard-of");
});

import { SPECIES } from "../core/fish/species-list";
import { speciesName } from "./species";
import { speciesMatcher } from "./species-text";

const shipped = SPECIES.map(({ id }) => ({ id, name: speciesName(id) }));

test("fish are known by id, by name, and as people write them (common practice)", () => {
  const find = speciesMatcher(shipped);
  for (const { id, name } of shipped) {
    expect(find(id)).toBe(id);
    expect(find(name.toUpperCase())).toBe(id);
    expect(find(`  ${name}s `)).toBe(id);
  }
  const said: Record<string, string | undefined> = {
    Brown: "brown-trout",
    SMB: "smallmouth-bass",
    smallies: "smallmouth-bass",
    "L.M.B.": "largemouth-bass",
    "channel cat": "channel-catfish",
    Chinook: "king-salmon",
    bass: undefined,
    trout: undefined,
    eel: undefined,
    "": undefined,
  };
  for (const [text, id] of Object.entries(said)) expect([text, find(text)]).toEqual([text, id]);
});

test("the angler's own fish is found by its id and its name, before the one it was copied from", () => {
  const own = { id: "01JABCDEFGHJKMNPQRSTVWXYZ0", name: "Chub" };
  const find = speciesMatcher([own, ...shipped]);
  expect(find(own.id)).toBe(own.id);
  expect(find("Chub")).toBe(own.id);
  expect(find("chub")).toBe(own.id);
});

import "@testing-library/jest-dom";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { TackleItem } from "../../core/rig/tackle-item";
import { pieceEntries, pieceSchema } from "./piece-entries";
import { PieceDialog } from "./piece-dialog";

const changed = jest.fn((...all: unknown[]) => Promise.resolve(() => Promise.resolve(all)));
jest.mock("../../store/database", () => ({ database: () => ({}) }));
jest.mock("../../store/tackle", () => ({ changePiece: (...all: unknown[]) => changed(...all) }));

const stamp = { schema: "low-heron/tackle@1" as const, updatedAt: "2026-05-01T00:00:00Z" };
const PIECES: TackleItem[] = [
  { ...stamp, id: "a", kind: "line", name: "braid", count: 1, test: 6.8, material: "braid", diameter: 0.00016 },
  { ...stamp, id: "b", kind: "rod", name: "long", count: 1, length: 3.9, flex: "soft" },
  {
    ...stamp,
    id: "c",
    kind: "body",
    name: "tube",
    count: null,
    length: 0.075,
    form: "tube",
    drop: { grams: 3.5, metal: "lead", depth: 2, seconds: 4 },
  },
  { ...stamp, id: "d", kind: "plug", name: "diver", count: 2, grams: 9, dives: 2, buoyancy: -1, least: 0.4, best: 0.9 },
  { ...stamp, id: "e", kind: "hook", name: "big", count: 10, hook: -1 },
];

test.each(PIECES.map((piece) => [piece.kind, piece] as const))(
  "a %s that is opened and kept is as it was",
  (_, piece) => {
    for (const system of ["metric", "us"] as const) {
      const kept = pieceSchema(system, piece).parse(pieceEntries(piece, piece.kind, system));
      const { schema, id, updatedAt, ...before } = piece;
      expect(JSON.parse(JSON.stringify(kept))).toEqual(before);
    }
  },
);

test("what is shown for a kind is what it has; a change is handed on with how the piece stood", async () => {
  const user = userEvent.setup();
  render(<PieceDialog item={PIECES[0]} onClose={() => undefined} />);
  expect(screen.getByRole("combobox", { name: "Material" })).toHaveTextContent("braid");
  expect(screen.queryByLabelText("Dives to")).toBeNull();
  await user.clear(screen.getByLabelText("Name"));
  await user.type(screen.getByLabelText("Name"), "new braid");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(changed).toHaveBeenCalled());
  expect(changed.mock.calls[0]![1]).toBe(PIECES[0]);
  expect(changed.mock.calls[0]![2]).toMatchObject({
    name: "new braid",
    material: "braid",
    test: expect.closeTo(6.8, 6),
  });
});

import "fake-indexeddb/auto";
import { act, configure, renderHook, waitFor } from "@testing-library/react";
import { useLiveAnswer } from "../../state/live-answer";
import { demoBook } from "../../demo/book";
import { DEMO_HOUR } from "../../demo/hour";
import { useNotices } from "../../state/notices";
import { writeBook } from "../../store/book";
import { database } from "../../store/database";
import { patchFeature } from "../../store/reaches";
import { useBedEditor } from "./use-bed-editor";

// Each step lays the bed anew, which takes its time in here.
configure({ asyncUtilTimeout: 20_000 });
jest.setTimeout(60_000);
const book = demoBook(DEMO_HOUR);
const id = book.reaches[0]!.id;

beforeEach(async () => {
  await database().delete();
  await database().open();
  await writeBook(database(), { ...book, sessions: [], catches: [] });
  useNotices.setState({ list: [] });
});
async function editing() {
  const { result } = renderHook(() => useBedEditor(useLiveAnswer(() => database().reaches.get(id), [])));
  await waitFor(() => expect(result.current).toBeDefined());
  return result;
}
const stoneOf = (editor: ReturnType<typeof useBedEditor>) =>
  editor!.features.find((one) => one.kind === "boulder") as { id: string; x: number; name?: string };

test("steps of a key add up, undo takes them back one by one, and what another tab said stays", async () => {
  const editor = await editing();
  const { id: stone, x } = stoneOf(editor.current);
  act(() => {
    for (let k = 0; k < 4; k++) editor.current!.move(stone, [0.5, 0]);
  });
  await waitFor(() => expect(stoneOf(editor.current).x).toBeCloseTo(x + 2, 6));
  await patchFeature(database(), id, stone, { name: "from elsewhere" });
  await waitFor(() => expect(stoneOf(editor.current).name).toBe("from elsewhere"));
  for (let left = 3; left >= 2; left--) {
    act(() => editor.current!.undo!());
    await waitFor(() => expect(stoneOf(editor.current).x).toBeCloseTo(x + 0.5 * left, 6));
  }
  expect(stoneOf(editor.current).name).toBe("from elsewhere");
});

test("what is let go of stays where it is until it is kept, and goes back where it cannot be", async () => {
  const editor = await editing();
  const { id: stone, x } = stoneOf(editor.current);
  const held = () => (editor.current!.held.find((one) => one.id === stone) as { x: number }).x;
  act(() => editor.current!.preview({ id: stone, by: [6, 0] }));
  expect([held(), stoneOf(editor.current).x]).toEqual([x + 6, x]);
  const seen: number[] = [];
  act(() => editor.current!.move(stone, [6, 0]));
  await waitFor(() => {
    seen.push(held());
    expect(stoneOf(editor.current).x).toBeCloseTo(x + 6, 6);
  });
  expect(new Set([...seen, held()])).toEqual(new Set([x + 6]));
  // A write that fails: it stands where the log has it.
  act(() => editor.current!.preview({ id: stone, by: [4, 0] }));
  expect(held()).toBe(x + 10);
  act(() => editor.current!.change(stone, { diameter: -1 }));
  await waitFor(() => expect(editor.current!.fault).toBeTruthy());
  expect(held()).toBe(x + 6);
});

test("an object put in is chosen; taken out it is said, and comes back from there", async () => {
  const editor = await editing();
  const before = editor.current!.features.length;
  act(() => editor.current!.add({ kind: "pier", x: 60, y: 14, diameter: 1.5, height: 2 }));
  await waitFor(() => expect(editor.current!.features).toHaveLength(before + 1));
  const pier = editor.current!.features.at(-1)!;
  await waitFor(() => expect(editor.current!.chosen).toBe(pier.id));
  act(() => editor.current!.remove(pier.id));
  await waitFor(() => expect(editor.current!.features).toHaveLength(before));
  expect(editor.current!.chosen).toBeUndefined();
  expect(useNotices.getState().list.at(-1)!.text).toMatch(/was removed/);
  act(() => useNotices.getState().list.at(-1)!.action!.run());
  await waitFor(() => expect(editor.current!.features.at(-1)!.id).toBe(pier.id));
});

test("what cannot be laid is told and not kept, and the next good step clears the fault", async () => {
  const editor = await editing();
  const { id: stone } = stoneOf(editor.current);
  act(() => editor.current!.change(stone, { diameter: -1 }));
  await waitFor(() => expect(editor.current!.fault).toBeTruthy());
  expect(stoneOf(editor.current)).not.toMatchObject({ diameter: -1 });
  act(() => editor.current!.change(stone, { name: "pulpit" }));
  await waitFor(() => expect(stoneOf(editor.current).name).toBe("pulpit"));
  expect(editor.current!.fault).toBeUndefined();
});

test("a template is reshaped, its readings kept and taken, and each is undone", async () => {
  const editor = await editing();
  const { width } = editor.current!.template!;
  act(() => editor.current!.reshape({ width: width + 2 }));
  await waitFor(() => expect(editor.current!.template!.width).toBe(width + 2));
  act(() => editor.current!.undo!());
  await waitFor(() => expect(editor.current!.template!.width).toBe(width));
  const reading = { x: 20, y: 12, kind: "depth" as const, value: 0.8, discharge: 5, at: "2026-05-01T10:00:00Z" };
  act(() => editor.current!.addReading(reading));
  await waitFor(() => expect(editor.current!.readings).toEqual([reading]));
  act(() => editor.current!.removeReading(reading));
  await waitFor(() => expect(editor.current!.readings).toEqual([]));
  act(() => editor.current!.undo!());
  await waitFor(() => expect(editor.current!.readings).toEqual([reading]));
  act(() =>
    editor.current!.take({
      fitted: ["roughness"],
      reach: { ...editor.current!.reach, roughness: 0.041, downstream: { kind: "normal", slope: 0.002 } },
    }),
  );
  await waitFor(() => expect(editor.current!.reach.roughness).toBe(0.041));
});

test("without a reach there is nothing to edit", () => {
  expect(renderHook(() => useBedEditor(undefined)).result.current).toBeUndefined();
});

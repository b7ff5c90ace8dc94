import "fake-indexeddb/auto";
import { act, render, screen, waitFor } from "@testing-library/react";
import { useLiveAnswer } from "./live-answer";

const ends = new Map<string, (value: string) => void>();
const shown: string[] = [];

function Shown({ of }: { of: string }) {
  const answer = useLiveAnswer(() => new Promise<string>((resolve) => ends.set(of, resolve)), [of]);
  shown.push(`${of}: ${answer ?? "nothing yet"}`);
  return <p>{answer ?? "nothing yet"}</p>;
}

test("the answer to another question is never shown, however late the answers come", async () => {
  const { rerender } = render(<Shown of="river a" />);
  const asked = (of: string) => waitFor(() => expect(ends.has(of)).toBe(true));
  await asked("river a");
  await act(async () => ends.get("river a")!("flow of a"));
  expect(await screen.findByText("flow of a")).toBeTruthy();
  rerender(<Shown of="river b" />);
  expect(screen.getByText("nothing yet")).toBeTruthy();
  await asked("river b");
  rerender(<Shown of="river c" />);
  await act(async () => ends.get("river b")!("flow of b"));
  expect(screen.getByText("nothing yet")).toBeTruthy();
  await asked("river c");
  await act(async () => ends.get("river c")!("flow of c"));
  expect(await screen.findByText("flow of c")).toBeTruthy();
  for (const one of shown) expect(one).toMatch(/^river (.): (nothing yet|flow of \1)$/);
});

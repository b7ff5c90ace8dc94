import "@testing-library/jest-dom";
import { fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { landsOnNew, useOneTap } from "./one-tap";

function Page({ onLog }: { onLog: () => void }) {
  useOneTap();
  const [open, setOpen] = useState(false);
  return open ? <button onClick={onLog}>log it</button> : <button onClick={() => setOpen(true)}>open</button>;
}

const tap = (name: string, x: number) =>
  fireEvent.click(screen.getByRole("button", { name }), { detail: 1, clientX: x });

test("a second quick tap does not press what the first one brought up", () => {
  const log = jest.fn();
  render(<Page onLog={log} />);
  tap("open", 100);
  tap("log it", 104);
  expect(log).not.toHaveBeenCalled();
  // Elsewhere it is meant.
  tap("log it", 300);
  expect(log).toHaveBeenCalledTimes(1);
});

test("keys are not taps", () => {
  const log = jest.fn();
  render(<Page onLog={log} />);
  tap("open", 100);
  fireEvent.click(screen.getByRole("button", { name: "log it" }), { detail: 0 });
  expect(log).toHaveBeenCalledTimes(1);
});

test("the same thing may be tapped quickly, and anything half a second later", () => {
  const [one, two] = [document.createElement("a"), document.createElement("b")];
  const first = { at: 0, x: 10, y: 10, on: one, said: "a" };
  expect(landsOnNew(first, { at: 200, x: 12, y: 10, on: one, said: "a" })).toBe(false);
  expect(landsOnNew(first, { at: 200, x: 12, y: 10, on: two, said: "a" })).toBe(true);
  expect(landsOnNew(first, { at: 501, x: 12, y: 10, on: two, said: "a" })).toBe(false);
  expect(landsOnNew(first, { at: 200, x: 60, y: 10, on: two, said: "a" })).toBe(false);
  expect(landsOnNew(first, { at: 200, x: 12, y: 10, on: one, said: "b" })).toBe(true);
  expect(landsOnNew(undefined, { at: 200, x: 60, y: 10, on: two, said: "a" })).toBe(false);
});

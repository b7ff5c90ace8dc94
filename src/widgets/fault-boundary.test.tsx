import "@testing-library/jest-dom";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { InputError } from "../core/quantity/fault";
import { FaultBoundary } from "./fault-boundary";

let broken: unknown;
function Part() {
  if (broken) throw broken;
  return <p>all is well</p>;
}

test("a part that cannot be drawn is told by its name and fault, and can be tried again", async () => {
  const quiet = jest.spyOn(console, "error").mockImplementation(() => undefined);
  const saved = jest.fn();
  broken = new InputError("record-gone");
  render(
    <FaultBoundary name="Log" onSave={saved}>
      <Part />
    </FaultBoundary>,
  );
  expect(screen.getByRole("alert")).toHaveTextContent(
    "Log couldn’t be shown. It is no longer in the log. It was deleted in another tab or place.",
  );
  broken = undefined;
  const user = userEvent.setup();
  await user.click(screen.getByRole("button", { name: "Save a backup" }));
  expect(saved).toHaveBeenCalledTimes(1);
  await user.click(screen.getByRole("button", { name: "Retry" }));
  expect(screen.getByText("all is well")).toBeInTheDocument();
  expect(screen.queryByRole("alert")).toBeNull();
  quiet.mockRestore();
});

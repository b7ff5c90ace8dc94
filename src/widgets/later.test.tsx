import "@testing-library/jest-dom";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { FaultBoundary } from "./fault-boundary";
import { later } from "./later";

test("a part that cannot be fetched is told, and comes when it is tried again", async () => {
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  let network = false;
  const Part = later(
    () => (network ? Promise.resolve(() => <p>Here it is</p>) : Promise.reject(new TypeError("Failed to fetch"))),
    <p>Coming …</p>,
  );
  const user = userEvent.setup();
  render(
    <FaultBoundary name="Log" onSave={() => undefined}>
      <Part />
    </FaultBoundary>,
  );
  expect(screen.getByText("Coming …")).toBeInTheDocument();
  expect(await screen.findByRole("alert")).toHaveTextContent(/could not be loaded/);
  // Still no network: told once more, and not in silence.
  await user.click(screen.getByRole("button", { name: "Retry" }));
  expect(await screen.findByRole("alert")).toHaveTextContent(/could not be loaded/);
  network = true;
  await user.click(screen.getByRole("button", { name: "Retry" }));
  expect(await screen.findByText("Here it is")).toBeInTheDocument();
  jest.restoreAllMocks();
});

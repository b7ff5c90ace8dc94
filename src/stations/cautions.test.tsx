import "@testing-library/jest-dom";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useSettings } from "../state/settings";
import { Cautions } from "./cautions";

beforeEach(() => useSettings.setState({ thunderAt: null, demo: null, system: "metric" }));

test("what sends everybody off the water is an alert, in the words of all stations", () => {
  render(<Cautions safety={{ cautions: [{ kind: "rising", ratePerHour: 0.2 }, { kind: "dark" }], leave: true }} />);
  const alert = screen.getByRole("alert");
  expect(alert).toHaveTextContent(/Rising fast, 20 % an hour: leave the water/);
  expect(alert).toHaveTextContent(/Dark: stay out/);
});

test("what only warns is no alert, and what always holds is said where it is asked for", () => {
  const { rerender } = render(<Cautions safety={{ cautions: [{ kind: "tide" }], leave: false }} />);
  expect(screen.queryByRole("alert")).toBeNull();
  expect(screen.queryByText(/^Always: thunder/)).toBeNull();
  rerender(<Cautions safety={{ cautions: [], leave: false }} always />);
  expect(screen.getByText(/^Always: thunder/)).toBeInTheDocument();
});

test("thunder heard is kept with its time; heard in error it is taken back", async () => {
  const user = userEvent.setup();
  const before = Date.now();
  const { rerender } = render(<Cautions safety={{ cautions: [], leave: false }} always />);
  await user.click(screen.getByRole("button", { name: "I hear thunder" }));
  expect(useSettings.getState().thunderAt).toBeGreaterThanOrEqual(before);
  rerender(<Cautions safety={{ cautions: [{ kind: "thunder", minutesLeft: 30 }], leave: true }} always />);
  expect(screen.getByRole("button", { name: "Thunder again" })).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "That was none" }));
  expect(useSettings.getState().thunderAt).toBeNull();
});

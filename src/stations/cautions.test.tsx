import "@testing-library/jest-dom";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useSettings } from "../state/settings";
import { Cautions } from "./cautions";

beforeEach(() =>
  useSettings.setState({ thunderAt: null, demo: null, system: "metric", hiddenCautions: { day: "", kinds: [] } }),
);

test("what sends everybody off the water is an alert, in the words of all stations", () => {
  render(<Cautions safety={{ cautions: [{ kind: "rising", ratePerHour: 0.2 }, { kind: "dark" }], leave: true }} />);
  const alert = screen.getByRole("alert");
  expect(alert).toHaveTextContent(/Rising fast, 20 % an hour: leave the water/);
  // What stands all night is a line of its own, outside the box.
  expect(alert).not.toHaveTextContent(/Dark/);
  expect(screen.getByText(/Dark: don’t wade/)).toBeInTheDocument();
});

test("what only warns is no alert", () => {
  render(<Cautions safety={{ cautions: [{ kind: "tide" }], leave: false }} />);
  expect(screen.queryByRole("alert")).toBeNull();
  expect(screen.getByText(/tide is coming in/)).toBeInTheDocument();
});

test("what stands all day can be hidden until tomorrow, and is back then; what is grave cannot", async () => {
  const user = userEvent.setup();
  const safety = { cautions: [{ kind: "cold", temperature: 8 } as const, { kind: "tide" } as const], leave: false };
  const { rerender } = render(<Cautions safety={safety} />);
  expect(screen.getAllByRole("button", { name: /^Hide until tomorrow/ })).toHaveLength(1);
  await user.click(screen.getByRole("button", { name: "Hide until tomorrow: cold water" }));
  expect(screen.queryByText(/Cold water/)).toBeNull();
  expect(screen.getByText(/tide is coming in/)).toBeInTheDocument();
  const { kinds } = useSettings.getState().hiddenCautions;
  useSettings.setState({ hiddenCautions: { day: "2020-01-01", kinds } });
  rerender(<Cautions safety={safety} />);
  expect(screen.getByText(/Cold water/)).toBeInTheDocument();
});

test("thunder heard in error is taken back", async () => {
  useSettings.setState({ thunderAt: Date.now() });
  const user = userEvent.setup();
  render(<Cautions safety={{ cautions: [{ kind: "thunder", minutesLeft: 30 }], leave: true }} />);
  await user.click(screen.getByRole("button", { name: "False alarm: no thunder" }));
  expect(useSettings.getState().thunderAt).toBeNull();
});

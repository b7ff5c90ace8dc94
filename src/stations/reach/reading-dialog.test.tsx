import "@testing-library/jest-dom";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { ReadingDialog } from "./reading-dialog";

const kept = jest.fn();
const felt = jest.fn();
beforeEach(() => {
  kept.mockClear();
  felt.mockClear();
  render(
    <ReadingDialog
      place={[12.345, 6]}
      where="12 m down the reach"
      flow={6.5}
      gauged={null}
      minute={Date.parse("2026-05-01T08:00:00Z")}
      system="metric"
      height={1.8}
      onClose={() => undefined}
      onKeep={kept}
      onOwn={felt}
    />,
  );
});
const save = () => screen.getByRole("button", { name: "Save" });
const pick = async (user: ReturnType<typeof userEvent.setup>, name: string) => {
  await user.click(screen.getByRole("combobox", { name: "Reading" }));
  await user.click(await screen.findByRole("option", { name }));
};

test("what was typed into the fields of another kind does not keep a reading back", async () => {
  const user = userEvent.setup();
  await user.type(screen.getByLabelText("Depth"), "abc");
  await user.clear(screen.getByLabelText("River flow at that time"));
  await user.click(save());
  expect(await screen.findByText("Enter a depth, such as 0.6 m, 2 ft or knee.")).toBeInTheDocument();
  expect(kept).not.toHaveBeenCalled();
  await pick(user, "Water temperature");
  await user.type(screen.getByLabelText("Temperature, °C"), "54 F");
  await user.click(save());
  await waitFor(() => expect(felt).toHaveBeenCalledTimes(1));
  expect(felt.mock.calls[0]![0].kind).toBe("temperature");
  expect(felt.mock.calls[0]![0].value).toBeCloseTo(12.22, 2);
});

test("a timed float is a speed at its place, at the flow of that time", async () => {
  const user = userEvent.setup();
  await pick(user, "Speed, by a timed float");
  await user.type(screen.getByLabelText("Float distance"), "10 ft");
  await user.type(screen.getByLabelText("Seconds"), "4");
  await user.click(save());
  await waitFor(() => expect(kept).toHaveBeenCalledTimes(1));
  expect(kept.mock.calls[0]![0]).toEqual({
    x: 12.35,
    y: 6,
    kind: "surface-speed",
    value: 0.762,
    discharge: 6.5,
    at: "2026-05-01T08:00:00.000Z",
  });
});

test("clarity by a wader's own body, and a level on a mark, go to the water and not to the bed", async () => {
  const user = userEvent.setup();
  await pick(user, "How deep you can see");
  await user.type(screen.getByLabelText("Visible to"), "knee");
  await user.click(save());
  await waitFor(() => expect(felt).toHaveBeenCalledTimes(1));
  expect(felt.mock.calls[0]![0]).toMatchObject({ kind: "clarity" });
  expect(felt.mock.calls[0]![0].value).toBeCloseTo(0.5, 1);
  await pick(user, "Water level on a mark");
  await user.type(screen.getByLabelText("Water over it, cm"), "-5 cm");
  await user.click(save());
  expect(await screen.findByText("Name the mark, such as flat stone or staff.")).toBeInTheDocument();
  await user.type(screen.getByLabelText("Mark"), " flat stone ");
  // The flow that is shown is none that the gauge tells: it must not rate the mark.
  expect(screen.getByLabelText("Flow now, if you know it")).toHaveValue("");
  await user.click(save());
  await waitFor(() => expect(felt).toHaveBeenCalledTimes(2));
  expect(felt.mock.calls[1]![0]).toEqual({ kind: "level", value: -0.05, mark: "flat stone" });
  expect(kept).not.toHaveBeenCalled();
});

import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { TEMPLATES } from "../../core/flow/template-waters";
import { useNotices } from "../../state/notices";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { NewReach } from "./new-reach";
import { WATERS } from "./waters";

jest.setTimeout(30_000);
const opened = jest.fn();
const soundings = jest.fn();

beforeEach(async () => {
  opened.mockClear();
  soundings.mockClear();
  await database().delete();
  await database().open();
  useNotices.setState({ list: [] });
  useSettings.setState({ system: "metric", reach: null, flow: 9, lie: { x: 1, y: 1 } });
  render(<NewReach open onOpenChange={opened} stations={[]} onSoundings={soundings} />);
});
const fill = async (user: ReturnType<typeof userEvent.setup>, label: RegExp | string, text: string) => {
  const field = screen.getByLabelText(label);
  await user.clear(field);
  await user.type(field, text);
};
const choose = async (user: ReturnType<typeof userEvent.setup>, name: string, option: string) => {
  await user.click(screen.getByRole("combobox", { name }));
  await user.click(await screen.findByRole("option", { name: option }));
};

test("a reach is made of what was entered, in any unit, its objects with ids; undo takes it out again", async () => {
  const user = userEvent.setup();
  await fill(user, "Name", "Test pool");
  await choose(user, "Kind of water", WATERS.bend);
  await fill(user, "Length", "60 m");
  await fill(user, /^Channel width/, "33 ft");
  await fill(user, "Gradient, m per km", "2,5");
  await choose(user, "Large stones", "2");
  await choose(user, "Log jam", "On the right bank");
  await user.click(screen.getByRole("button", { name: "Add reach" }));
  await waitFor(() => expect(opened).toHaveBeenCalledWith(false));
  const [record] = await database().reaches.toArray();
  expect(record).toMatchObject({
    station: null,
    reach: {
      name: "Test pool",
      bed: { kind: "template", template: "bend", length: 60 },
      downstream: { kind: "normal", slope: 0.0025 },
    },
  });
  expect((record!.reach.bed as { width: number }).width).toBeCloseTo(10.0584, 6);
  const features = record!.reach.features!;
  expect(features.map((one) => one.kind)).toEqual(["boulder", "boulder", "log-jam"]);
  expect(new Set(features.map((one) => one.id)).size).toBe(3);
  // What was looked at before belongs to another reach.
  expect(useSettings.getState()).toMatchObject({ reach: record!.id, flow: null, lie: null });
  expect(useNotices.getState().list.at(-1)!.text).toBe("Test pool saved.");
  await act(async () => useNotices.getState().list.at(-1)!.action!.run());
  await waitFor(async () => expect((await database().reaches.get(record!.id))!.deleted).toBe(true));
});

test.each([
  [/^Channel width/, "wide", /doesn’t start with a number/],
  ["Length", "1,200 m", /could be/],
  ["Gradient, m per km", "0", /above 0, up to 50/],
  ["Gradient, m per km", "51", /above 0, up to 50/],
])("%s of “%s” is told beside the field, and nothing is kept", async (label, text, words) => {
  const user = userEvent.setup();
  await fill(user, label, text);
  await user.click(screen.getByRole("button", { name: "Add reach" }));
  expect(await screen.findByText(words)).toBeInTheDocument();
  expect(await database().reaches.count()).toBe(0);
  expect(opened).not.toHaveBeenCalled();
});

test("measures that no river has are refused by the reach itself, with what was typed still there", async () => {
  const user = userEvent.setup();
  await fill(user, "Length", "12 m");
  await user.click(screen.getByRole("button", { name: "Add reach" }));
  expect(await screen.findByRole("alert")).toHaveTextContent(/length/);
  expect(screen.getByLabelText("Length")).toHaveValue("12 m");
  expect(await database().reaches.count()).toBe(0);
});

test("a reach file that is none is told, and nothing is changed", async () => {
  const user = userEvent.setup();
  const file = Object.assign(new File(["{"], "reach.json", { type: "application/json" }), { text: async () => "{" });
  await user.upload(screen.getByLabelText("Reach file"), file);
  expect(await screen.findByRole("alert")).toHaveTextContent(/not JSON/);
  expect(await database().reaches.count()).toBe(0);
});

test("every kind of water has its name, and soundings are one press away", async () => {
  expect(new Set(TEMPLATES.map((one) => WATERS[one])).size).toBe(TEMPLATES.length);
  await userEvent.setup().click(screen.getByRole("button", { name: "From soundings" }));
  expect(soundings).toHaveBeenCalledTimes(1);
});

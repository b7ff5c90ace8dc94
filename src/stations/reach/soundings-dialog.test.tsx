import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { QueryClientProvider } from "@tanstack/react-query";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { SurveyOptions } from "../../core/flow/survey";
import { survey } from "../../core/flow/survey";
import { readSoundings } from "../../core/formats/soundings-file";
import type { SoundingsFile } from "../../core/formats/soundings-text";
import { answer } from "../../core/quantity/answer";
import { useNotices } from "../../state/notices";
import { newQueryClient } from "../../state/query";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { SoundingsDialog } from "./soundings-dialog";

jest.setTimeout(60_000);
const texts = new Map<string, string>();
/** The worker's own work, on this thread. */
const worker = {
  soundings: async (file: File) => answer(() => readSoundings(texts.get(file.name)!, file.name)),
  survey: (file: SoundingsFile, options: SurveyOptions) => answer(() => survey(file, options)),
};
jest.mock("../../workers/clients", () => ({
  reader: { ask: (work: (api: unknown) => unknown) => Promise.resolve(work(workerOf())) },
}));
function workerOf() {
  return worker;
}

/** A straight channel sounded on lines across it, with one shout of the sounder. */
const channel = () => {
  const rows = ["x,y,depth"];
  for (let x = 0; x <= 60; x += 3)
    for (let y = 0; y <= 12; y += 1.5) {
      const depth = 0.3 + 1.2 * (1 - ((y - 6) / 6) ** 2);
      rows.push(`${x},${y},${(x === 30 && y === 6 ? 5 : depth).toFixed(2)}`);
    }
  rows.push("nowhere,1,1");
  return rows.join("\n");
};

const closed = jest.fn();
beforeEach(async () => {
  closed.mockClear();
  await database().delete();
  await database().open();
  useNotices.setState({ list: [] });
  useSettings.setState({ system: "metric", reach: null });
  render(
    <QueryClientProvider client={newQueryClient()}>
      <SoundingsDialog open onOpenChange={closed} stations={[]} />
    </QueryClientProvider>,
  );
});
const give = async (name: string, text: string) => {
  texts.set(name, text);
  const user = userEvent.setup();
  await user.upload(screen.getByLabelText("File"), new File([text], name, { type: "text/csv" }));
  return user;
};

test("soundings are shown with what stands out and what was refused, before they become a reach", async () => {
  const user = await give("glide.csv", channel());
  expect(await screen.findByText(/189 soundings/)).toBeInTheDocument();
  expect(screen.getByLabelText("Name")).toHaveValue("glide");
  expect(screen.getByRole("checkbox", { name: /Keep 1 outlier / })).not.toBeChecked();
  expect(screen.getByText(/^Of \d+ data lines .*, 1 rejected\.$/)).toBeInTheDocument();
  // While a field is being written the survey by the last good ones stays, and cannot be made a reach of.
  const slope = screen.getByLabelText("Gradient, m per km");
  await user.clear(slope);
  expect(screen.getByText(/189 soundings/)).toBeInTheDocument();
  expect(screen.getByRole("button", { name: "Add this reach" })).toBeDisabled();
  await user.type(slope, "2,8");
  await user.clear(screen.getByLabelText("Name"));
  await user.type(screen.getByLabelText("Name"), "Sounded glide");
  expect(await database().reaches.count()).toBe(0);
  await waitFor(() => expect(screen.getByRole("button", { name: "Add this reach" })).toBeEnabled());
  await user.click(screen.getByRole("button", { name: "Add this reach" }));
  await waitFor(() => expect(closed).toHaveBeenCalledWith(false));
  const [record] = await database().reaches.toArray();
  expect(record!.reach).toMatchObject({
    name: "Sounded glide",
    bed: { kind: "soundings" },
    downstream: { kind: "normal", slope: 0.0028 },
  });
  // The shout is left out.
  const bed = record!.reach.bed as { points: { z: number }[] };
  expect(bed.points).toHaveLength(188);
  expect(Math.min(...bed.points.map((one) => one.z))).toBeGreaterThan(-2);
  expect(useSettings.getState().reach).toBe(record!.id);
  await act(async () => useNotices.getState().list.at(-1)!.action!.run());
  await waitFor(async () => expect((await database().reaches.get(record!.id))!.deleted).toBe(true));
});

test("kept on purpose, what stands out is part of the bed", async () => {
  const user = await give("glide.csv", channel());
  await user.click(await screen.findByRole("checkbox", { name: /Keep 1 outlier / }));
  await waitFor(() => expect(screen.getByRole("button", { name: "Add this reach" })).toBeEnabled());
  await user.click(screen.getByRole("button", { name: "Add this reach" }));
  await waitFor(() => expect(closed).toHaveBeenCalled());
  const [record] = await database().reaches.toArray();
  expect((record!.reach.bed as { points: unknown[] }).points).toHaveLength(189);
});

test("a file that gives no places is told, and another can be chosen", async () => {
  await give("bad.csv", "place,depth\nhere,1\n");
  expect(await screen.findByRole("alert")).toHaveTextContent(/No two columns give a place/);
  expect(screen.queryByRole("button", { name: "Add this reach" })).toBeNull();
  await give("glide.csv", channel());
  expect(await screen.findByText(/189 soundings/)).toBeInTheDocument();
  expect(screen.queryByRole("alert")).toBeNull();
});

import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { speciesById } from "../../core/fish/species";
import { useNotices } from "../../state/notices";
import { useSettings } from "../../state/settings";
import type { Fish } from "../../state/use-fishes";
import { database } from "../../store/database";
import { ProfileDialog } from "./profile-dialog";

const species = speciesById("smallmouth-bass");
const shipped = { id: species.id, base: species.id, name: "Smallmouth bass", species, profile: undefined } as Fish;
const closed = jest.fn();

beforeEach(async () => {
  closed.mockClear();
  await database().delete();
  await database().open();
  useNotices.setState({ list: [] });
  useSettings.setState({ species: species.id, system: "metric" });
});
const field = (label: string) => screen.getByLabelText(label);
const fill = async (user: ReturnType<typeof userEvent.setup>, label: string, text: string) => {
  await user.clear(field(label));
  await user.type(field(label), text);
};

test("a fish is copied and changed; what makes no sense is told beside its field, and nothing is kept until it does", async () => {
  const user = userEvent.setup();
  render(<ProfileDialog fish={shipped} onClose={closed} />);
  expect(field("Name")).toHaveValue("Smallmouth bass, mine");
  await fill(user, "Name", "Creek bass");
  await fill(user, "Fish length, cm", "14 in");
  await fill(user, "Minimum depth, m", "thin");
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByText("“thin” doesn’t start with a number.")).toBeInTheDocument();
  expect(await database().profiles.count()).toBe(0);
  await fill(user, "Minimum depth, m", "8 in");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(closed).toHaveBeenCalled());
  const [profile] = await database().profiles.toArray();
  expect(profile).toMatchObject({ base: species.id, species: { name: "Creek bass", model: "ambush" } });
  expect(profile!.species.forkLength).toBeCloseTo(35.56, 6);
  expect(profile!.species.leastDepth).toBeCloseTo(0.2032, 9);
  expect(useSettings.getState().species).toBe(profile!.id);
  await act(async () => useNotices.getState().list.at(-1)!.action!.run());
  await waitFor(async () => expect((await database().profiles.get(profile!.id))!.deleted).toBe(true));
  expect(useSettings.getState().species).toBe(species.id);
}, 30_000);

test("a profile of one's own is changed as it stands, removed, and brought back", async () => {
  const user = userEvent.setup();
  const own = { ...species, id: "mine", name: "Creek bass", source: "own" };
  const profile = {
    schema: "low-heron/profile@1" as const,
    id: "mine",
    updatedAt: "2026-05-01T00:00:00Z",
    base: species.id,
    species: own,
  };
  await database().profiles.add(profile as never);
  useSettings.setState({ species: "mine" });
  render(
    <ProfileDialog
      fish={{ id: "mine", base: species.id, name: "Creek bass", species: own, profile } as never}
      onClose={closed}
    />,
  );
  await user.click(screen.getByRole("button", { name: "Delete this profile" }));
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect((await database().profiles.get("mine"))!.deleted).toBe(true);
  expect(useSettings.getState().species).toBe(species.id);
  await act(async () => useNotices.getState().list.at(-1)!.action!.run());
  await waitFor(async () => expect((await database().profiles.get("mine"))!.deleted).toBeUndefined());
  expect(useSettings.getState().species).toBe("mine");
}, 30_000);

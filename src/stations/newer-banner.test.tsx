import "@testing-library/jest-dom";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useOffline, useServiceWorker } from "../state/offline";
import { NewerBanner } from "./newer-banner";

/** A browser's registration with its workers, as far as it is looked at. */
class Registration extends EventTarget {
  installing: EventTarget | null = null;
  waiting: (EventTarget & { postMessage: (what: string) => void }) | null = null;
  active: EventTarget | null = null;
  update = () => Promise.resolve();
}

function Page() {
  useServiceWorker();
  return <NewerBanner />;
}

/** A page in a browser whose worker is registered. */
async function opened(own: Registration): Promise<void> {
  const container = Object.assign(new EventTarget(), { register: () => Promise.resolve(own) });
  Object.defineProperty(navigator, "serviceWorker", { value: container, configurable: true });
  useOffline.setState({ ready: false, waiting: undefined, refused: false });
  render(<Page />);
  await act(() => Promise.resolve());
}

test("the first worker takes over unsaid; a newer one waits and is told, later or at once, and only then takes over", async () => {
  const own = new Registration();
  own.installing = new EventTarget();
  await opened(own);
  // Installed, and active at once since nothing is before it.
  own.active = own.installing;
  act(() => void own.installing!.dispatchEvent(new Event("statechange")));
  await waitFor(() => expect(useOffline.getState().ready).toBe(true));
  expect(screen.queryByRole("region")).toBeNull();

  const said: string[] = [];
  const newer = Object.assign(new EventTarget(), { postMessage: (what: string) => said.push(what) });
  own.installing = newer;
  act(() => void own.dispatchEvent(new Event("updatefound")));
  own.installing = null;
  own.waiting = newer;
  act(() => void newer.dispatchEvent(new Event("statechange")));
  expect(await screen.findByRole("region", { name: "Newer version" })).toHaveTextContent("Your log is safe");
  expect(said).toEqual([]);
  await userEvent.click(screen.getByRole("button", { name: "Update now" }));
  expect(said).toEqual(["take-over"]);
  await userEvent.click(screen.getByRole("button", { name: "Later" }));
  expect(screen.queryByRole("region")).toBeNull();
});

test("a browser that keeps no worker says so, and the application goes on", async () => {
  const container = Object.assign(new EventTarget(), { register: () => Promise.reject(new Error("no")) });
  Object.defineProperty(navigator, "serviceWorker", { value: container, configurable: true });
  useOffline.setState({ ready: false, waiting: undefined, refused: false });
  render(<Page />);
  await waitFor(() => expect(useOffline.getState().refused).toBe(true));
  expect(screen.queryByRole("region")).toBeNull();
});

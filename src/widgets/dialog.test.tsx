import "@testing-library/jest-dom";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { Dialog } from "./dialog";

function Page() {
  const [open, setOpen] = useState(false);
  const [gone, setGone] = useState(false);
  return (
    <main id="station" tabIndex={-1}>
      {!gone && <button onClick={() => setOpen(true)}>Open it</button>}
      <Dialog open={open} onOpenChange={setOpen} title="Something">
        <button onClick={() => setGone(true)}>Take the opener away</button>
      </Dialog>
    </main>
  );
}

test("the focus returns to where it was when a dialog closes, by any way out", async () => {
  const user = userEvent.setup();
  render(<Page />);
  const opener = screen.getByRole("button", { name: "Open it" });
  for (const leave of [
    () => user.keyboard("{Escape}"),
    () => user.click(screen.getByRole("button", { name: "Close" })),
  ]) {
    opener.focus();
    await user.keyboard("{Enter}");
    expect(await screen.findByRole("dialog", { name: "Something" })).toBeInTheDocument();
    expect(opener).not.toHaveFocus();
    await leave();
    await waitFor(() => expect(opener).toHaveFocus());
  }
});

test("where what opened it is gone, the focus goes to the station", async () => {
  const user = userEvent.setup();
  render(<Page />);
  screen.getByRole("button", { name: "Open it" }).focus();
  await user.keyboard("{Enter}");
  await user.click(await screen.findByRole("button", { name: "Take the opener away" }));
  await user.keyboard("{Escape}");
  await waitFor(() => expect(document.getElementById("station")).toHaveFocus());
});

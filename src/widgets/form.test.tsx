import "@testing-library/jest-dom";
import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { z } from "zod";
import { numberEntry, optional, quantityEntry } from "../words/entry";
import { CommitField } from "./commit-field";
import { FormField, useEntryForm } from "./form";

const schema = z.object({
  depth: quantityEntry("length", "m", { low: 0, open: true, high: 5, beyond: "From 0 to 5 m." }),
  count: optional(numberEntry()),
});

function Form({ onKeep }: { onKeep: (values: z.output<typeof schema>) => void }) {
  const form = useEntryForm(schema, { depth: "", count: "" });
  const submit = form.handleSubmit(onKeep);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        submit(event).catch(() => undefined);
      }}
    >
      <FormField form={form} name="depth" label="Depth" />
      <FormField form={form} name="count" label="Count" />
      <button type="submit">Save</button>
    </form>
  );
}

test("a form hands on values in SI, or says beside the field what is wrong with it", async () => {
  const user = userEvent.setup();
  const kept: unknown[] = [];
  render(<Form onKeep={(values) => kept.push(values)} />);
  const depth = screen.getByLabelText("Depth");
  await user.type(depth, "1,200");
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByRole("alert")).toHaveTextContent("1,200");
  expect(depth).toBeInvalid();
  expect(kept).toEqual([]);
  await user.clear(depth);
  await user.type(depth, "6 m");
  expect(await screen.findByText("From 0 to 5 m.")).toBeInTheDocument();
  await user.clear(depth);
  await user.type(depth, "3'6\"");
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(kept).toEqual([{ depth: expect.closeTo(1.0668, 6) as number, count: null }]);
  expect(screen.queryByRole("alert")).toBeNull();
});

function Committed({ onKeep }: { onKeep: (value: string) => void }) {
  const [shown, setShown] = useState("stone");
  return (
    <>
      <CommitField
        label="Name"
        shown={shown}
        read={(text) => (text === "" ? { ok: false, fault: "Say something." } : { ok: true, value: text })}
        onKeep={(value: string) => {
          onKeep(value);
          setShown(value);
        }}
      />
      <button type="button" onClick={() => setShown("from elsewhere")}>
        Elsewhere
      </button>
      <output>{shown}</output>
    </>
  );
}

test("a field that commits: what is being typed stays under the fingers whatever comes from elsewhere", async () => {
  const user = userEvent.setup();
  const kept: string[] = [];
  render(<Committed onKeep={(value) => kept.push(value)} />);
  const field = screen.getByLabelText("Name");
  await user.clear(field);
  await user.type(field, "old pul");
  // Another tab renames it while somebody types here.
  act(() => screen.getByRole("button", { name: "Elsewhere" }).click());
  expect(await screen.findByText("from elsewhere")).toBeInTheDocument();
  expect(field).toHaveValue("old pul");
  expect(field).toHaveFocus();
  await user.type(field, "pit{Enter}");
  expect(kept).toEqual(["old pulpit"]);
  expect(field).toHaveValue("old pulpit");
});

test("Escape gives up what was typed, and a fault keeps it", async () => {
  const user = userEvent.setup();
  const kept: string[] = [];
  render(<Committed onKeep={(value) => kept.push(value)} />);
  const field = screen.getByLabelText("Name");
  await user.clear(field);
  await user.keyboard("{Enter}");
  expect(screen.getByRole("alert")).toHaveTextContent("Say something.");
  expect(field).toHaveValue("");
  await user.keyboard("{Escape}");
  expect(field).toHaveValue("stone");
  expect(kept).toEqual([]);
});

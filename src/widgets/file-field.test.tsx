import "@testing-library/jest-dom";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { FileField } from "./file-field";
import { Refused } from "./refused";
import { message } from "../core/quantity/message";
import { messageText } from "../words/messages";

test("files chosen are handed over, and the same file, mended, can be chosen again", async () => {
  const user = userEvent.setup();
  const given: string[][] = [];
  render(
    <FileField label="File" accept=".csv" multiple onFiles={(files) => given.push(files.map((one) => one.name))} />,
  );
  const field = screen.getByLabelText("File");
  const files = ["a.csv", "b.csv"].map((name) => new File(["x"], name, { type: "text/csv" }));
  await user.upload(field, files);
  await user.upload(field, files[0]!);
  await user.upload(field, files[0]!);
  expect(given).toEqual([["a.csv", "b.csv"], ["a.csv"], ["a.csv"]]);
});

test("refused lines are told with their reasons; of very many the first, and how many more there are", () => {
  const rejected = (n: number) => Array.from({ length: n }, (_, k) => ({ line: k + 2, reason: message("no-place") }));
  const lines = (refused: number) => ({ read: 10, gaps: 2, rejected: refused });
  const { rerender } = render(<Refused rejected={[]} lines={lines(0)} system="metric" />);
  expect(screen.getByText("Of 12 data lines 10 read, 2 without a reading, 0 rejected.")).toBeInTheDocument();
  rerender(<Refused rejected={rejected(1)} lines={lines(1)} system="metric" />);
  expect(screen.getByText("Of 13 data lines 10 read, 2 without a reading, 1 rejected.")).toBeInTheDocument();
  expect(screen.getByRole("listitem")).toHaveTextContent(`line 2: ${messageText(message("no-place"))}`);
  rerender(<Refused rejected={rejected(203)} lines={lines(203)} system="metric" />);
  expect(screen.getAllByRole("listitem")).toHaveLength(200);
  expect(screen.getByText("and 3 more")).toBeInTheDocument();
});

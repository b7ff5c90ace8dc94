import ICAL from "ical.js";
import { writeCalendar } from "./calendar";

const entry = {
  id: "reach-1",
  start: Date.UTC(2026, 4, 14, 14, 10),
  end: Date.UTC(2026, 4, 14, 17),
  summary: "Kiln Glide; long, with \\ and ; and \n a line",
  description: `Coming down, green.\nStart: behind the flat stone. ${"Long words ".repeat(20)}`,
  location: "Kiln Glide",
};
const now = Date.UTC(2026, 4, 14, 12);

test("an independent parser reads back the hours, the words and the stamp (RFC 5545, ical.js)", () => {
  const text = writeCalendar([entry], now);
  const calendar = new ICAL.Component(ICAL.parse(text) as never);
  expect(calendar.getFirstPropertyValue("version")).toBe("2.0");
  const events = calendar.getAllSubcomponents("vevent");
  expect(events).toHaveLength(1);
  const event = new ICAL.Event(events[0]!);
  expect(event.startDate.toJSDate().getTime()).toBe(entry.start);
  expect(event.endDate.toJSDate().getTime()).toBe(entry.end);
  expect(event.summary).toBe(entry.summary);
  expect(event.description).toBe(entry.description);
  expect(event.location).toBe(entry.location);
  expect(event.uid).toBe("reach-1@low-heron");
  expect(events[0]!.getFirstPropertyValue("dtstamp")!.toString()).toBe("2026-05-14T12:00:00Z");
});

test("lines end in CRLF and are folded at 75 octets (RFC 5545, 3.1)", () => {
  const lines = writeCalendar([entry], now).split("\r\n");
  expect(lines.length).toBeGreaterThan(10);
  for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  expect(lines.join("")).not.toContain("\n");
});

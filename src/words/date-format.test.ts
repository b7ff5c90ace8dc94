import { formatDate } from "./date-format";
import { axisMoment, clock, dayAndTime, dayInUtc, dayOnly, moment } from "./river";

test("a kept formatter says what a new one says, for every style, moment after moment", () => {
  const styles: Intl.DateTimeFormatOptions[] = [
    { hour: "2-digit", minute: "2-digit" },
    { weekday: "short" },
    { day: "numeric", month: "long", timeZone: "UTC" },
    { day: "numeric", month: "short", year: "numeric" },
  ];
  for (const time of [0, Date.UTC(2026, 4, 14, 14, 5), Date.UTC(2026, 10, 28, 23, 59), -1])
    for (const style of styles)
      for (let again = 0; again < 2; again++)
        expect(formatDate(time, style)).toBe(new Intl.DateTimeFormat(undefined, style).format(new Date(time)));
});

test("each style is made once, however many moments are told", () => {
  const made = jest.spyOn(Intl, "DateTimeFormat");
  const now = Date.UTC(2026, 4, 14, 14);
  const all = () => {
    for (let k = 0; k < 50; k++) {
      const time = now + k * 3_600_000;
      [clock(time), moment(time, now), dayAndTime(time, now), dayOnly(time), dayInUtc(time)].join();
      for (const days of [1, 50, 900]) axisMoment(time, days * 86_400_000);
    }
  };
  all();
  const first = made.mock.calls.length;
  expect(first).toBeLessThan(12);
  all();
  expect(made.mock.calls.length).toBe(first);
  made.mockRestore();
});
